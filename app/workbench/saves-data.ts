/** What a browser tells of its connection, as far as it tells anything (Network Information, a draft). */
interface Told {
  readonly connection?: { readonly saveData?: boolean } | undefined;
}

/** Whether the person has asked the browser to load no more than is needed: places are then fetched as they are opened. */
export function savesData(browser: object): boolean {
  return (browser as Told).connection?.saveData === true;
}
