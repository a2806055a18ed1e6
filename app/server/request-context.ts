import { createContext } from 'react-router';

/** The number used once that lets this page's own inline scripts run under the content security policy. */
export const nonceContext = createContext<string>('');

/** Whether somebody signed in with a password; without one nobody has to. */
export const signedInContext = createContext<boolean>(false);

/** Unexpected errors while a request is answered, in the order in which they came. */
export const failuresContext = createContext<unknown[]>([]);

/** Whether the data can only be looked at, because nothing can be written. */
export const onlyLookingContext = createContext<boolean>(false);
