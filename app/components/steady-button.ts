import { Button, type ButtonProps } from 'antd';
import { steady } from './steady';

/** The component library's button, drawn anew only when it has changed. */
export const SteadyButton = steady<ButtonProps>(Button);
