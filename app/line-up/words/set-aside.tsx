import type { ReactNode } from 'react';
// The words of this screen, in the order in which they stand there.

export const setAside = {
  thisVendor: 'this vendor',
  setAside: 'Set aside',
  since: (name: ReactNode, day: string, reason: string) => (
    <>
      {name}, since {day}
      {reason}.
    </>
  ),
  considerAgain: (name: string) => `Consider ${name} again`,
  consideredAgain: (name: string) => `${name} considered again`,
  considerItAgain: 'Consider it again',
};
