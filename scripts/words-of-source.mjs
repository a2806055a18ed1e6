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
 * Whether a source holds the words of a place: words.ts beside its screens, one of the folder words, or sentences put
 * together in a …-words.ts.
 *
 * @param {string} name - of the file, with its folders
 */
export function isWordsModule(name) {
  return /(?:[/-]words\.tsx?|\/words\/[^/]+\.tsx?)$/.test(name);
}

/**
 * Every piece of text of a source that may be shown, in its order, with the line it begins in. What stands over several
 * lines is one piece; what is put in between stands as “…”. In a module of words every text counts, elsewhere those of
 * more than one word: a single one is mostly a name of the program.
 *
 * @param {string} name - of the file
 * @param {string} text - its source
 * @returns {Array<{ line: number, words: string, isOnScreen: boolean }>} on screen is what stands between tags or in an
 *   attribute that is seen, and no string of the code
 */
export function wordsOfSource(name, text) {
  const source = ts.createSourceFile(name, text, ts.ScriptTarget.Latest, true, name.endsWith('x') ? ts.ScriptKind.TSX : ts.ScriptKind.TS);
  const found = [];
  const isSingleKept = isWordsModule(name);
  const keep = (node, words, isOnScreen = false) => {
    const plain = words.replace(/\s+/g, ' ').trim();
    if (/\p{L}{2}/u.test(plain))
      found.push({ line: source.getLineAndCharacterOfPosition(node.getStart(source)).line + 1, words: plain, isOnScreen });
  };
  const visit = (node) => {
    if (ts.isImportDeclaration(node) || ts.isExportDeclaration(node) || ts.isTypeNode(node)) return;
    if (ts.isJsxElement(node) || ts.isJsxFragment(node)) {
      const runs = node.children.map((child) => (ts.isJsxText(child) ? child.text : '…'));
      if (node.children.some((child) => ts.isJsxText(child) && /\p{L}{2}/u.test(child.text))) keep(node, runs.join(''), true);
    } else if (ts.isJsxAttribute(node) && node.initializer && ts.isStringLiteral(node.initializer)) {
      if (SEEN.has(node.name.getText(source))) keep(node, node.initializer.text, true);
      return;
    } else if (ts.isTemplateExpression(node)) {
      keep(node, [node.head.text, ...node.templateSpans.map(({ literal }) => `…${literal.text}`)].join(''));
    } else if (ts.isStringLiteral(node) || ts.isNoSubstitutionTemplateLiteral(node)) {
      // A name of the program has no spaces; what is said mostly has.
      if (/\s/.test(node.text.trim()) || (isSingleKept && !isCompared(node))) keep(node, node.text);
    }
    ts.forEachChild(node, visit);
  };
  visit(source);
  return found;
}

/** Whether a string is no words but a value that something is compared with, or the name of a property. */
function isCompared({ parent }) {
  return (
    (ts.isBinaryExpression(parent) && /^[!=]==?$/.test(parent.operatorToken.getText())) ||
    ts.isElementAccessExpression(parent) ||
    ts.isCaseClause(parent) ||
    ts.isLiteralTypeNode(parent)
  );
}
