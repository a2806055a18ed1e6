import franklin from '@fontsource-variable/libre-franklin/files/libre-franklin-latin-wght-normal.woff2?inline';
import newsreaderItalic from '@fontsource-variable/newsreader/files/newsreader-latin-wght-italic.woff2?inline';
import newsreader from '@fontsource-variable/newsreader/files/newsreader-latin-wght-normal.woff2?inline';
import { renderToStaticMarkup } from 'react-dom/server';
import type { Report } from './report-blocks';
import { type Paper, ReportDocument } from './report-document';
import styles from './report.css?inline';

const face = (family: string, data: string, style = 'normal') =>
  `@font-face { font-family: '${family}'; font-style: ${style}; font-weight: 200 800; src: url(${data}) format('woff2'); }`;
const FACES = [
  face('Libre Franklin Variable', franklin),
  face('Newsreader Variable', newsreader),
  face('Newsreader Variable', newsreaderItalic, 'italic'),
].join('\n');

/** A report as one HTML file: styles, faces and pictures are in it, scripts are none. */
export function reportHtml(report: Report, paper: Paper): string {
  return `<!doctype html>\n${renderToStaticMarkup(<ReportDocument report={report} styles={`${FACES}\n${styles}`} paper={paper} />)}\n`;
}
