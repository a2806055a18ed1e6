// The words of the interface, file by file, as a person would read them: for reading them through, and for the test of words.
import ts from 'typescript';

/** Attributes whose text a person sees or hears. */
const SEEN = new Set([
  'label',
  'title',
  'aria-label',
  'placeholder',
  'hint',
  'summary',
  'head',
  'suffix',
  'prefix',
  'alt',
  'words',
  'lacking',
]);

/**
 * Every piece of text of a source that may be shown, in its order, with the line it begins in. What stands over several
 * lines is one piece; what is put in between stands as “…”.
 *
 * @param {string} name - of the file
 * @param {string} text - its source
 * @returns {Array<{ line: number, words: string }>}
 */
export function wordsOfSource(name, text) {
  const source = ts.createSourceFile(name, text, ts.ScriptTarget.Latest, true, name.endsWith('x') ? ts.ScriptKind.TSX : ts.ScriptKind.TS);
  const found = [];
  const keep = (node, words) => {
    const plain = words.replace(/\s+/g, ' ').trim();
    if (/\p{L}{2}/u.test(plain)) found.push({ line: source.getLineAndCharacterOfPosition(node.getStart(source)).line + 1, words: plain });
  };
  const visit = (node) => {
    if (ts.isImportDeclaration(node) || ts.isExportDeclaration(node) || ts.isTypeNode(node)) return;
    if (ts.isJsxElement(node) || ts.isJsxFragment(node)) {
      const runs = node.children.map((child) => (ts.isJsxText(child) ? child.text : '…'));
      if (node.children.some((child) => ts.isJsxText(child) && /\p{L}{2}/u.test(child.text))) keep(node, runs.join(''));
    } else if (ts.isJsxAttribute(node) && node.initializer && ts.isStringLiteral(node.initializer)) {
      if (SEEN.has(node.name.getText(source))) keep(node, node.initializer.text);
      return;
    } else if (ts.isTemplateExpression(node)) {
      keep(node, [node.head.text, ...node.templateSpans.map(({ literal }) => `…${literal.text}`)].join(''));
    } else if (ts.isStringLiteral(node) || ts.isNoSubstitutionTemplateLiteral(node)) {
      // A name of the program has no spaces; what is said mostly has.
      if (/\s/.test(node.text.trim())) keep(node, node.text);
    }
    ts.forEachChild(node, visit);
  };
  visit(source);
  return found;
}
