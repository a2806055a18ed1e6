import type { PriceSheet } from '../decision/price-sheet';
import { readPhrase } from '../price-phrase/read-phrase';
import type { Statement } from '../price-phrase/statement';
import { applyStatements } from '../price-sheet/apply-statements';

/** How phrases are to be taken, and what else is on the sheet. */
export interface TypedSheetOptions {
  readonly currency?: string;
  readonly kind?: string;
  /** Which option to take where a phrase is ambiguous: how the option's label begins. */
  readonly answers?: readonly string[];
  /** Quantities that the forecast states. */
  readonly known?: readonly string[];
  /** Add-ons, each with what the page says about it. */
  readonly addons?: Readonly<Record<string, string>>;
}

/**
 * A sheet whose plans and add-ons are typed as phrases, one text each.
 *
 * @throws RangeError if a phrase is not understood, or is ambiguous and no answer to it is given
 * @example typedSheet('Oakum', { Shared: '9/mo or 84 billed yearly' })
 */
export function typedSheet(vendor: string, plans: Readonly<Record<string, string>>, options: TypedSheetOptions = {}): PriceSheet {
  const { currency = 'EUR', kind = 'store-platform', addons = {} } = options;
  const part = (label: string) => ({ id: slug(`${vendor} ${label}`), label, currency, terms: [] });
  const offer = {
    id: slug(vendor),
    vendor,
    label: vendor,
    kind,
    plans: Object.keys(plans).map(part),
    ...(Object.keys(addons).length > 0 ? { addons: Object.keys(addons).map(part) } : {}),
  };
  return withTyped({ kind: 'offer', offer }, vendor, { ...plans, ...addons }, options);
}

/** An outside processor whose fees are typed as phrases; see `typedSheet`. */
export function typedProcessor(label: string, text: string, options: TypedSheetOptions = {}): PriceSheet {
  return withTyped(
    { kind: 'processor', processor: { id: slug(`${label} ${label}`), label, currency: options.currency ?? 'EUR' } },
    label,
    { [label]: text },
    options,
  );
}

function withTyped(
  sheet: PriceSheet,
  owner: string,
  texts: Readonly<Record<string, string>>,
  { answers = [], known = [] }: TypedSheetOptions,
): PriceSheet {
  let next = 0;
  const newId = () => `${slug(owner)}-${next++}`;
  return Object.entries(texts).reduce<PriceSheet>((changed, [label, text]) => {
    const { sheet: applied, problems } = applyStatements(changed, slug(`${owner} ${label}`), statementsIn(text, answers), { known, newId });
    if (problems.length > 0) throw new RangeError(`${label}: ${problems.join('; ')}`);
    return applied;
  }, sheet);
}

function slug(text: string): string {
  return text.toLowerCase().replace(/[^a-z0-9]+/g, '-');
}

function statementsIn(text: string, answers: readonly string[]): Statement[] {
  return readPhrase(text).flatMap((clause) => {
    if (clause.kind === 'read') return clause.statements;
    if (clause.kind === 'not-understood') throw new RangeError(`not understood: ${clause.text}`);
    const option = clause.options.find(({ label }) => answers.some((answer) => label.startsWith(answer)));
    if (!option) throw new RangeError(`“${clause.text}” asks: ${clause.question} ${clause.options.map(({ label }) => label).join(' / ')}`);
    return option.statements;
  });
}
