/** Texts of fewer lines are typed text. */
export const LEAST_LINES = 5;

/** What was pasted, if it is a page or a table: its markup where the browser gives it, since that shows more. */
export function pastedPage(clipboard: Pick<DataTransfer, 'getData'>): string | null {
  const [html, text] = [clipboard.getData('text/html'), clipboard.getData('text/plain')];
  if (/<table[\s>]/i.test(html)) return html;
  const lines = text.split('\n').filter((line) => line.trim() !== '').length;
  if (lines >= LEAST_LINES) return html === '' ? text : html;
  return /\t/.test(text) && lines > 1 ? text : null;
}
