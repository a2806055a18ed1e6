const EVERYTHING_IN =
  /^[✓✔+\s]*(?:includes? |with |get )?(?:everything|all(?: the)?(?: features)?)(?: else)?(?: that is| you get| that comes| you have)? (?:in|of|from|with) (?:the )?(.+?)(?:,? ?(?:plus|and|as well as)\b.*)?[\s:,.…+]*$/iu;

/** "All Basic features, plus", "What Basic has, and", "Same as Basic, but with", "Basic, plus:". */
const IN_OTHER_WORDS: readonly RegExp[] = [
  /^all (?:the )?(.+?) features\b/iu,
  /^(?:what|all that|all) (.+?) (?:has|have|does|includes|offers)\b/iu,
  /^(?:the )?(?:same|just|much) (?:as|like) (.+?),? (?:plus|and|but|with)\b/iu,
  /^like (.+?),? (?:plus|and|but|with)\b/iu,
  /^(.+?)['’]s? features\b,? (?:plus|and)\b/iu,
  /^(?:the )?(.+?),? (?:plus|and)[:…\s]*$/iu,
];

/**
 * What a line that passes on what another plan has may call that plan, in the page's words; empty where it passes on nothing. Only
 * one of them is a plan's name, if any.
 *
 * @example plansNamedIn('Everything in Basic, plus:') // ['Basic']
 */
export function plansNamedIn(plain: string): readonly string[] {
  const text = plain.replace(/^[✓✔+•\s]+/u, '');
  return [EVERYTHING_IN, ...IN_OTHER_WORDS].flatMap((pattern) => pattern.exec(text)?.[1] ?? []);
}

const SPEAKS_OF_OTHERS =
  /^(?:(?:includes? |with )?everything (?:else )?(?:in|from|that|you get)|all that \S+(?: \S+)? (?:has|have|does|offers|includes)|all \S+ features|what \S+(?: \S+)? (?:has|offers|includes)\b|(?:the )?same as\b|\S+['’]s? features,? (?:plus|and)|(?:\S+ ){1,3}plus:?$|\S+, plus:?$|all (?:of|in|the features of) \S+(?: \S+)?(?:,| and|:)? ?(?:plus|and))/i;

/**
 * Whether an item says what another plan has, where nothing tells which words are plans: stricter than {@link plansNamedIn}, since
 * "All in one inbox" is a feature.
 */
export function speaksOfOtherPlan(text: string): boolean {
  return SPEAKS_OF_OTHERS.test(text);
}
