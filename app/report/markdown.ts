import type { Report, ReportBlock } from './report-blocks';

/** A report as Markdown; whatever people typed stays text. */
export function reportMarkdown({ title, subtitle, sections, footer }: Report): string {
  const parts = [
    `# ${plain(title)}`,
    `*${plain(subtitle)}*`,
    ...sections.flatMap((section) => [`## ${plain(section.title)}`, ...section.blocks.map(block)]),
    '---',
    plain(footer),
  ];
  return `${parts.filter((part) => part !== '').join('\n\n')}\n`;
}

function block(one: ReportBlock): string {
  switch (one.kind) {
    case 'sentence':
      return one.style === 'answer' ? `**${plain(one.text)}**` : plain(one.text);
    case 'quote':
      return one.text
        .split('\n')
        .map((line) => `> ${plain(line)}`)
        .join('\n');
    case 'list':
      return one.items.map((item) => `- ${plain(item)}`).join('\n');
    case 'table':
      return [
        `| ${one.head.map(cell).join(' | ')} |`,
        `| ${one.head.map((_, index) => (one.figures.includes(index) ? '---:' : '---')).join(' | ')} |`,
        ...one.rows.map((row) => `| ${row.map(cell).join(' | ')} |`),
      ].join('\n');
    case 'chart':
      // A picture has no place in a text; the tables say the same.
      return '';
  }
}

/** Characters that mean something in Markdown are escaped, line breaks and all. */
function plain(text: string): string {
  return text
    .replace(/\s*\n\s*/g, ' ')
    .replace(/[\\`*_{}[\]<>#|~]/g, '\\$&')
    .replace(/^(\d+)([.)])(?=\s)/, '$1\\$2')
    .replace(/^([-+=])(?=[\s=])/, '\\$1');
}

function cell(text: string): string {
  return plain(text) || ' ';
}
