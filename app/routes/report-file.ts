import * as z from 'zod';
import { loadReport } from '../report/load-report.server';
import { reportMarkdown } from '../report/markdown';
import { reportHtml } from '../report/report-html.server';
import { attachment } from '../server/attachment';
import { localeOf } from '../server/locale.server';
import { printPdf } from '../server/print-pdf.server';
import type { Route } from './+types/report-file';
import { reportFile as words } from './words/report-file';

const askedSchema = z.object({
  form: z.enum(['html', 'md', 'pdf']),
  verdict: z.string().max(100).nullable(),
  paper: z.enum(['a4', 'letter']).catch('a4'),
});

/** The report as a page to look at (`html`), with `?save` as one file, as Markdown (`md`) or as a PDF. */
export async function loader({ params, request }: Route.LoaderArgs): Promise<Response> {
  const query = new URL(request.url).searchParams;
  const asked = askedSchema.safeParse({ form: params.form, verdict: query.get('verdict'), paper: query.get('paper') });
  if (!asked.success) throw new Response(words.thereIsNoReport, { status: 404 });
  const { form, verdict, paper } = asked.data;
  const report = await loadReport(
    params.decisionId,
    verdict,
    localeOf(request.headers.get('Accept-Language')),
    new Date().toISOString().slice(0, 10),
  );
  if (form === 'md') return attachment(reportMarkdown(report), 'text/markdown; charset=utf-8', report.title, 'md');
  const html = reportHtml(report, paper);
  if (form === 'pdf') return attachment(await printPdf(html), 'application/pdf', report.title, 'pdf');
  if (query.has('save')) return attachment(html, 'text/html; charset=utf-8', report.title, 'html');
  return new Response(html, { headers: { 'Content-Type': 'text/html; charset=utf-8' } });
}
