import type { DecisionNeed } from '../decision/need-schema';

/** What tells a need apart from the others of a decision. */
export function needKey({ feature, without }: Pick<DecisionNeed, 'feature' | 'without'>): string {
  return without ? `without ${feature}` : feature;
}

/** A feature's identifier as words: `gift-cards` becomes "gift cards". */
export function featureWords(feature: string): string {
  const words = feature.replaceAll('-', ' ');
  const [, way, what] = /^(gives|takes) (.+)$/.exec(words) ?? [];
  if (what !== undefined) return way === 'gives' ? `gives data to ${what}` : `takes data from ${what}`;
  return words;
}

/**
 * A need in a few words.
 *
 * @example needWords({ feature: 'languages', level: 'must', least: '2' }) // 'at least 2 languages'
 */
export function needWords(need: DecisionNeed): string {
  const { feature, label, least, without, kind, to = '', direction = 'to' } = need;
  if (kind === 'connects')
    return label || `connects ${{ to: 'to', from: 'from', both: 'both ways with' }[direction]} ${to || 'something kept'}`;
  const name = label || featureWords(feature);
  if (without) return `without ${name}`;
  return least === undefined ? name : `at least ${least} ${name}`;
}

/**
 * The features of plans that answer a need. A connection both ways asks for two.
 *
 * @example featuresOf({ feature: 'books', kind: 'connects', direction: 'both', … }) // ['gives-books', 'takes-books']
 */
export function featuresOf({ feature, kind, direction = 'to' }: Pick<DecisionNeed, 'feature' | 'kind' | 'direction'>): string[] {
  if (kind !== 'connects') return [feature];
  const [out, back] = [`gives-${feature}`, `takes-${feature}`];
  return direction === 'both' ? [out, back] : [direction === 'to' ? out : back];
}

/** The feature by which a plan's being without something is stated. */
export function withoutFeature(feature: string): string {
  return `without-${feature}`;
}
