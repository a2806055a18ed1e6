/** Whether a source holds the words of a place. */
export function isWordsModule(name: string): boolean;

/** Every piece of text of a source that may be shown, in its order, with the line it begins in. */
export function wordsOfSource(
  name: string,
  text: string,
): Array<{ readonly line: number; readonly words: string; readonly isOnScreen: boolean }>;
