import { Select, type SelectProps } from 'antd';
import { steady } from './steady';

/** The component library's list to choose from, drawn anew only when it has changed. */
const ChoiceSelect = steady<SelectProps<string | null>>(Select);
export default ChoiceSelect;
