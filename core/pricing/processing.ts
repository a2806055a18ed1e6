import type { Candidate, Payments } from '../decision-file/candidate-schema';
import type { Charge } from '../decision-file/price-sheet-schema';
import type { StreamForecast } from '../forecast/forecast';

/** Who processes a candidate's payments: `"own"`, or the id of an outside processor (decision file §5). */
export interface Processing {
  /** Every processor the candidate names, the platform's own as `"own"`. */
  readonly named: readonly string[];
  /** The processor of orders that come through a channel and are paid with a kind of card. */
  processorOf(channel: string, card: string): string;
}

/** Reads a candidate's `payments`: of a list, the first rule that matches channel and card applies. */
export function processingOf(candidate: Candidate): Processing {
  const payments: Payments = candidate.payments ?? 'own';
  const rules = typeof payments === 'string' ? [{ use: payments }] : payments;
  return {
    named: [...new Set(rules.map((rule) => rule.use))],
    processorOf: (channel, card) =>
      rules.find(
        (rule) =>
          (!('channels' in rule) || !rule.channels || rule.channels.includes(channel)) &&
          (!('cards' in rule) || !rule.cards || rule.cards.includes(card)),
      )?.use ?? 'own',
  };
}

/** Whose charge it is; a processor's charges count only the orders that go through it. */
export interface ChargeOwner {
  readonly kind: 'plan' | 'addon' | 'processor';
  readonly id: string;
  readonly currency: string;
  readonly taxExcluded: boolean;
  /** The only streams a plan handles; null for all (decision file §5, `streams`). */
  readonly streams: ReadonlySet<string> | null;
  /** Whether a plan processes payments; if not, every order counts as paid outside (decision file §5, `takesPayments`). */
  readonly takesPayments: boolean;
}

/**
 * Whether a charge exists for a candidate: one `only` for a kind of processor exists only if the candidate
 * names one of that kind, even if no order goes through it (decision file §4, `only`). A plan that does not take the
 * payments has no charges for taking them (§5).
 */
export function chargeExists(charge: Charge, { takesPayments }: Pick<ChargeOwner, 'takesPayments'>, processing: Processing): boolean {
  const kind = charge.only?.payments;
  if (!takesPayments) return charge.bucket !== 'payment' && kind !== 'own';
  return kind === undefined || processing.named.some((name) => processorKind(name) === kind);
}

/** Whether a stream's orders paid with a kind of card count for a charge (decision file §4, `only`). */
export function countsCard(
  charge: Charge,
  owner: ChargeOwner,
  processing: Processing,
  { stream, channel }: Pick<StreamForecast, 'stream' | 'channel'>,
  card: string,
): boolean {
  const { streams, kinds, channels, cards, payments } = charge.only ?? {};
  if (owner.streams && !owner.streams.has(stream.id)) return false;
  if (streams && !streams.includes(stream.id)) return false;
  if (kinds && !kinds.includes(stream.kind)) return false;
  if (channels && !channels.includes(channel)) return false;
  if (cards && !cards.includes(card)) return false;
  const processor = processing.processorOf(channel, card);
  if (payments && (owner.takesPayments ? processorKind(processor) : 'outside') !== payments) return false;
  return owner.kind !== 'processor' || processor === owner.id;
}

function processorKind(name: string): 'own' | 'outside' {
  return name === 'own' ? 'own' : 'outside';
}
