import { answerDecision } from '../core/questions/answer-decision';
import type { DecisionFile } from '../core/decision-file/schema';
import type { Proposal } from '../core/proposals/propose';
import type { Route } from '../core/route/cheapest-route';

const HEADINGS = ['', 'candidate', 'total', 'per order', 'of sales', 'left', 'standing'] as const;

/** A decision's result as a table for a person, the cheapest first. */
export function resultTable(file: DecisionFile): string {
  const result = answerDecision(file);
  const labels = new Map(file.candidates.map(({ id, label }) => [id, label]));
  const rows = [...result.candidates]
    .sort((a, b) => Number(b.usable) - Number(a.usable) || Number(a.total) - Number(b.total))
    .map((one) => [
      one.id,
      labels.get(one.id) ?? '',
      `${one.unknown.length > 0 ? 'at least ' : ''}${one.total}`,
      one.perOrder === null ? '–' : Number(one.perOrder).toFixed(2),
      one.shareOfSales === null ? '–' : `${Number(one.shareOfSales).toFixed(1)}%`,
      one.keep,
      standing(one, result.cheapest),
    ]);
  const all = [[...HEADINGS], ...rows];
  const widths = HEADINGS.map((_, column) => Math.max(...all.map((row) => (row[column] ?? '').length)));
  const lines = all.map((row) =>
    row
      .map((cell, column) => (column < 2 || column === 6 ? cell.padEnd(widths[column] ?? 0) : cell.padStart(widths[column] ?? 0)))
      .join('  ')
      .trimEnd(),
  );
  const questions = [
    ...(result.breakEven ?? []).flatMap(({ a, b, at }) =>
      at.length === 0
        ? [`${a} and ${b}: one stays cheaper throughout`]
        : at.map(
            ({ monthlySales, cheaperBelow }) =>
              `${a} and ${b}: below ${monthlySales} a month ${cheaperBelow} is cheaper, above it the other`,
          ),
    ),
    ...(result.route === undefined ? [] : [routeLine(result.route)]),
    ...(result.proposals ?? []).map(
      (one) => `${file.offers.find(({ id }) => id === one.offer)?.label ?? one.offer}: ${proposalWords(file, one)}`,
    ),
  ];
  return [`${file.name} (${file.currency}, ${result.months.length} months from ${file.start})`, ...lines, ...questions].join('\n');
}

function routeLine(route: Route | null): string {
  if (route === null) return 'Route: there is no way through the horizon';
  return `Route: ${route.segments.map(({ candidate, from, months }) => `${candidate} from ${from} for ${months} months`).join(', ')}; ${route.total}`;
}

function proposalWords(file: DecisionFile, proposal: Proposal): string {
  if (proposal.total === null) return 'no plan can be used as it is';
  const plan = file.offers.flatMap(({ plans }) => plans).find(({ id }) => id === proposal.plan);
  const addons = [...file.offers.flatMap((offer) => offer.addons ?? []), ...(file.addons ?? [])];
  const taken = proposal.addons.map(
    ({ addon, count }) => `${count > 1 ? `${count} × ` : ''}${addons.find(({ id }) => id === addon)?.label ?? addon}`,
  );
  return (
    [
      `${plan?.label ?? proposal.plan} (${proposal.term})`,
      ...taken,
      ...(proposal.payments === 'own' ? [] : [`payments through ${proposal.payments}`]),
    ].join(' + ') + `: ${proposal.total}`
  );
}

function standing(one: ReturnType<typeof answerDecision>['candidates'][number], cheapest: string | null): string {
  if (one.id === cheapest) return 'cheapest';
  if (one.outgrown) return `outgrown in ${one.outgrown.month}: ${one.outgrown.limit}`;
  if (one.missing.length > 0) return `lacks ${one.missing.join(', ')}`;
  if (one.unclear.length > 0) return `not clear: ${one.unclear.join(', ')}`;
  if (one.unknown.length > 0) return `not known: ${one.unknown.join(', ')}`;
  return one.noPaymentFee.length > 0 ? 'no payment fee stated' : '';
}
