import type { LineSource } from '#core/pricing/ledger-line';
import type { Charge } from '#core/decision-file/price-sheet-schema';
import type { Candidate } from '#core/decision-file/candidate-schema';
import { partOf, type Pricing } from '#core/pricing/pricing';
import { countedWords, narrowedWords, rateWords } from '#core/wording/rate-words';
import { termWords } from '#core/wording/term-words';
import type { Writer } from '../locale/writer';

/** What a ledger line comes from, for a person: its name, and the rate or price behind it. */
export interface SourceWords {
  readonly name: string;
  readonly rate: string;
  /** The plan, add-on or processor whose price sheet states it. */
  readonly sheetPart: string | null;
}

/** Says where a line of the ledger comes from. */
export function sourceWords(pricing: Pricing, candidate: Candidate, source: LineSource, write: Writer): SourceWords {
  switch (source.kind) {
    case 'term': {
      const part = source.owner === 'plan' ? pricing.plan(source.id).plan : pricing.addon(source.id);
      const term = part.terms?.find(({ id }) => id === source.term);
      const price = (decimal: string | null) => (decimal === null ? 'not known' : write.money(decimal, part.currency));
      const intro = term?.intro ? introWords(term.intro, price, write) : '';
      const rate = term
        ? `${price(term.price)} ${termWords(term.months)}${part.currency === pricing.file.currency ? '' : `, in ${part.currency}`}${intro}`
        : '';
      return { name: part.label || 'the plan', rate, sheetPart: source.id };
    }
    case 'joining-fee': {
      const { plan } = pricing.plan(source.plan);
      const fee = plan.once?.[source.index];
      return {
        name: fee?.label ?? 'Joining fee',
        rate: fee ? `${write.money(fee.amount, plan.currency)} once` : '',
        sheetPart: source.plan,
      };
    }
    case 'charge': {
      const charge = chargeOf(pricing, source);
      if (!charge) return { name: source.charge, rate: '', sheetPart: source.id };
      const rate = [`${rateWords(charge, (decimal) => write.number(decimal))} ${countedWords(charge)}`, narrowedWords(charge)]
        .filter(Boolean)
        .join(', ');
      return { name: charge.label, rate, sheetPart: source.id };
    }
    case 'extra': {
      const extra = candidate.extras?.[source.index];
      if (!extra) return { name: 'Other cost', rate: '', sheetPart: null };
      const price = write.money(extra.amount, extra.currency ?? pricing.file.currency);
      return {
        name: extra.label || 'Other cost',
        rate: extra.months === 0 ? `${price} once` : `${price} ${termWords(extra.months)}`,
        sheetPart: null,
      };
    }
    case 'time': {
      const { setup = '0', monthly = '0' } = candidate.hours ?? {};
      const worth = write.money(pricing.file.hourValue ?? '0', pricing.file.currency);
      return {
        name: 'Your own hours',
        rate: `${write.number(setup)} to set up, ${write.number(monthly)} a month, each worth ${worth}`,
        sheetPart: null,
      };
    }
    case 'tax':
      return { name: 'Tax on fees', rate: `${write.percent(pricing.file.feeTax ?? '0')} on what was quoted without tax`, sheetPart: null };
  }
}

function introWords(
  intro: NonNullable<NonNullable<ReturnType<Pricing['plan']>['plan']['terms'][number]>['intro']>,
  price: (decimal: string | null) => string,
  write: Writer,
): string {
  const what = 'off' in intro ? `${write.percent(intro.off)} off` : price(intro.price);
  return `; first ${intro.periods === 1 ? 'payment' : `${intro.periods} payments`} ${what}`;
}

function chargeOf(pricing: Pricing, source: Extract<LineSource, { kind: 'charge' }>): Charge | undefined {
  return partOf(pricing, source.owner, source.id).charges?.find(({ id }) => id === source.charge);
}
