import { decimal } from '../amount/decimal';
import { LEAST_KEPT } from '../price-phrase/rate-rules';

/** "You keep 95% of every sale", "keep 100%", "authors earn 70% of the price", "90% goes to you": how pages say it. */
const KEPT = new RegExp(
  [
    String.raw`(?<!\b(?:we|us|platform) )\b(?:keep|keeps|keeping) (\d+(?:\.\d+)?)% of\b`,
    String.raw`\b(?:keep|keeps|keeping) (100)%`,
    String.raw`\b(?:you|sellers?|creators?|teachers?|authors?|makers?|artists?|hosts?) (?:get|receive|earn|keep)s? (\d+(?:\.\d+)?)%(?: (?:of|on)\b)?`,
    String.raw`\b(?:your share|payouts?|we pay out)(?: is)?:? (\d+(?:\.\d+)?)%(?: of\b)?`,
    String.raw`\b(\d+(?:\.\d+)?)%(?: of (?:each|every) sale)? (?:is yours|goes to you|for you$)`,
  ].join('|'),
  'g',
);

/** What the seller keeps of a sale, told as what the vendor takes: "you keep 95% of …" is "5% sales fee of …". */
export function withoutKept(text: string): string {
  return text.replace(KEPT, (said: string, ...parts: unknown[]) => {
    const kept = parts.slice(0, 5).find((part) => typeof part === 'string') ?? '0';
    return Number(kept) < LEAST_KEPT ? said : `${decimal('100').minus(`${kept}`).toFixed()}% sales fee of`;
  });
}
