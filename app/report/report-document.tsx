import { DataTable } from '../components/data-table';
import type { Report, ReportBlock } from './report-blocks';
import { Brand } from '../components/brand';

export type Paper = 'a4' | 'letter';

/** A report as a document of its own: everything it needs is in it. */
export function ReportDocument({ report, styles, paper }: { report: Report; styles: string; paper: Paper }) {
  const { title, subtitle, sections, footer } = report;
  return (
    <html lang="en">
      <head>
        <meta charSet="utf-8" />
        <meta name="viewport" content="width=device-width, initial-scale=1" />
        <title>{title}</title>
        <style
          dangerouslySetInnerHTML={{ __html: `@page { size: ${paper === 'a4' ? 'A4' : 'letter'}; margin: 16mm 15mm 18mm; }\n${styles}` }}
        />
      </head>
      <body>
        <article>
          <header>
            <p className="brand">
              <Brand />
            </p>
            <h1>{title}</h1>
            <p className="subtitle">{subtitle}</p>
          </header>
          {sections.map((section) => (
            <section key={section.title}>
              <h2>{section.title}</h2>
              {section.blocks.map((block, index) => (
                <Block key={index} block={block} />
              ))}
            </section>
          ))}
          <footer>{footer}</footer>
        </article>
      </body>
    </html>
  );
}

function Block({ block }: { block: ReportBlock }) {
  switch (block.kind) {
    case 'sentence':
      return <p className={block.style}>{block.text}</p>;
    case 'quote':
      return <blockquote>{block.text}</blockquote>;
    case 'list':
      return (
        <ul>
          {block.items.map((item) => (
            <li key={item}>{item}</li>
          ))}
        </ul>
      );
    case 'chart':
      return (
        <figure aria-label={block.title}>
          <figcaption>{block.title}</figcaption>
          <div dangerouslySetInnerHTML={{ __html: block.svg }} />
        </figure>
      );
    case 'table':
      return (
        <DataTable
          columns={block.head.map((text, index) => ({
            head: text,
            ...columnKind(index, block.figures),
            cell: ({ row }: { row: readonly string[] }) => row[index],
          }))}
          rows={block.rows.map((row, at) => ({ row, at }))}
          keyOf={({ at }) => at}
          rowClass={({ at }) => (block.marked?.includes(at) ? 'marked' : '')}
          caption={block.caption && <caption>{block.caption}</caption>}
          hasOwnLook
          frame={null}
        />
      );
  }
}

/** The first column names its row; figures stand at the right. */
function columnKind(index: number, figures: readonly number[]): { kind?: 'names-row' | 'figures' } {
  if (index === 0) return { kind: 'names-row' };
  return figures.includes(index) ? { kind: 'figures' } : {};
}
