import { createContext } from 'react-router';

/** The number used once that lets this page's own inline scripts run under the content security policy. */
export const nonceContext = createContext<string>('');
