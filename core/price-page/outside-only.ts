import type { PlainLine } from './plain-line';
import type { ReadingBuilder } from './reading-builder';

/** "Only if you use a payment provider other than our own." */
const ONLY_OUTSIDE =
  /\bonly (?:if|when|where|for|on|with|applies|apply)\b[^.]*\b(?:other than|another|third[- ]party|outside|external|(?:don['’]t|do not|not) use|instead of)\b/i;
/** "With Windlass Pay there is no transaction fee." */
const NONE_WITH_OWN =
  /^(?:with|using|if you use|when you use) (?:\p{Lu}[\p{L}]* )?(?:pay|payments|our own (?:payments?|processing|checkout))\b[^.]*\bno (?:transaction|sales?|platform) fees?\b/iu;
const FEE = /\b(?:transaction|sales?|platform) fees?\b/i;

/**
 * What the plans take of a sale is taken only where somebody else handles the payment, if a sentence or an answer on the
 * page says so: "When do transaction fees apply? Only if you use a payment provider other than Windlass Pay."
 */
export function narrowToOutside(lines: readonly PlainLine[], builder: ReadingBuilder): void {
  const found = lines.filter(({ plain }, at) => {
    const asked = lines[at - 1]?.plain ?? '';
    return NONE_WITH_OWN.test(plain) || (ONLY_OUTSIDE.test(plain) && (FEE.test(plain) || (asked.endsWith('?') && FEE.test(asked))));
  });
  const [said] = found;
  if (!said) return;
  for (const { facts } of builder.plans)
    for (const [at, { statement, lines: own }] of facts.entries()) {
      if (statement.kind !== 'charge' || statement.charge.how !== 'per-order' || statement.charge.bucket === 'payment') continue;
      if (statement.charge.only !== undefined || !Number(statement.charge.percent ?? '0')) continue;
      const charge = { ...statement.charge, label: 'With an outside processor', only: { payments: 'outside' as const } };
      facts[at] = { statement: { ...statement, charge }, lines: [...own, said.line] };
      builder.use(said.line);
    }
}
