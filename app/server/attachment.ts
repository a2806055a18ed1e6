/** A file's name from a decision's: plain letters, not longer than most systems take. */
export function fileName(name: string, ending: string): string {
  const plain =
    name
      .toLowerCase()
      .replace(/[^a-z0-9]+/g, '-')
      .replace(/^-|-$/g, '')
      .slice(0, 60) || 'decision';
  return `${plain}.${ending}`;
}

/** An answer that the browser keeps as a file. */
export function attachment(body: BodyInit, type: string, name: string, ending: string): Response {
  return new Response(body, {
    headers: { 'Content-Type': type, 'Content-Disposition': `attachment; filename="${fileName(name, ending)}"` },
  });
}
