/** The demo's decision file with twenty candidates over 36 months. */
export function wideLineUp(): { readonly name: string };
