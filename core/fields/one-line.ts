/** Line breaks, tabs and other characters that move a cursor instead of standing for something. */
// eslint-disable-next-line no-control-regex -- they are what is looked for
const CONTROLS = /[\u0000-\u001f\u007f-\u009f\u2028\u2029]+/g;

/**
 * A text on one line: what cannot stand in a name becomes a space.
 *
 * @example oneLine('Kites\r\nand more') // 'Kites and more'
 */
export function oneLine(text: string): string {
  return text.replace(CONTROLS, ' ');
}
