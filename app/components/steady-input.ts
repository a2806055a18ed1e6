import type { InputProps } from 'antd';
import Input from 'antd/es/input/Input';
import { steady } from './steady';

/** The component library's input, drawn anew only when it has changed. */
export const SteadyInput = steady<InputProps>(Input);
