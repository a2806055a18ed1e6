import { Input, type InputProps } from 'antd';
import { steady } from './steady';

/** The component library's input, drawn anew only when it has changed. */
export const SteadyInput = steady<InputProps>(Input);
