import type { NumberToken, Token } from './tokens';

/** A phrase cut into tokens. */
export type Tokens = readonly Token[];

/** What a rule of the grammar found: its value, and where the text goes on. */
export interface Match<Value> {
  readonly value: Value;
  readonly next: number;
}

/** A rule of the grammar: tries to read something at a place, and says null if it does not stand there. */
export type Rule<Value> = (tokens: Tokens, at: number) => Match<Value> | null;

/** A rule that finds nothing and uses up nothing, but has a value. */
export const nothing =
  <Value>(value: Value): Rule<Value> =>
  (_tokens, at) => ({ value, next: at });

/** Any of several words. */
export function word(...words: readonly string[]): Rule<string> {
  return (tokens, at) => {
    const token = tokens[at];
    return token?.kind === 'word' && words.includes(token.text) ? { value: token.text, next: at + 1 } : null;
  };
}

/** A sign such as "%" or "/". */
export function sign(...signs: readonly string[]): Rule<string> {
  return (tokens, at) => {
    const token = tokens[at];
    return token?.kind === 'sign' && signs.includes(token.text) ? { value: token.text, next: at + 1 } : null;
  };
}

/**
 * One of several runs of words and signs, the longest first.
 *
 * @example words('at most', 'not more than')
 */
export function words(...runs: readonly string[]): Rule<string> {
  const split = runs.map((run) => ({ run, parts: run.split(' ') })).sort((a, b) => b.parts.length - a.parts.length);
  return (tokens, at) => {
    const found = split.find(({ parts }) => parts.every((part, index) => isText(tokens[at + index], part)));
    return found ? { value: found.run, next: at + found.parts.length } : null;
  };
}

function isText(token: Token | undefined, text: string): boolean {
  if (!token) return false;
  if (token.kind === 'word' || token.kind === 'sign') return token.text === text;
  return token.kind === 'number' && (token.value === text || token.word === text);
}

/** A number as it stands. */
export const number: Rule<NumberToken> = (tokens, at) => {
  const token = tokens[at];
  return token?.kind === 'number' ? { value: token, next: at + 1 } : null;
};

/** One rule after the other. */
export function sequence<Values extends unknown[]>(...rules: { [Index in keyof Values]: Rule<Values[Index]> }): Rule<Values> {
  return (tokens, at) => {
    const values: unknown[] = [];
    let next = at;
    for (const rule of rules as ReadonlyArray<Rule<unknown>>) {
      const match = rule(tokens, next);
      if (!match) return null;
      values.push(match.value);
      next = match.next;
    }
    return { value: values as Values, next };
  };
}

/** The first of several rules that finds something. */
export function first<Value>(...rules: ReadonlyArray<Rule<Value>>): Rule<Value> {
  return (tokens, at) => {
    for (const rule of rules) {
      const match = rule(tokens, at);
      if (match) return match;
    }
    return null;
  };
}

/** The rule that uses up most of the text; of equals the first. */
export function longest<Value>(...rules: ReadonlyArray<Rule<Value>>): Rule<Value> {
  return (tokens, at) => {
    let best: Match<Value> | null = null;
    for (const rule of rules) {
      const match = rule(tokens, at);
      if (match && match.next > (best?.next ?? at)) best = match;
    }
    return best;
  };
}

/** A rule that may find nothing. */
export function optional<Value>(rule: Rule<Value>): Rule<Value | undefined> {
  return (tokens, at) => rule(tokens, at) ?? { value: undefined, next: at };
}

/** A rule as often as it finds something, with something between if that is given. */
export function many<Value>(rule: Rule<Value>, between: Rule<unknown> = nothing(null)): Rule<Value[]> {
  return (tokens, at) => {
    const values: Value[] = [];
    let next = at;
    for (;;) {
      const start = values.length === 0 ? { next } : between(tokens, next);
      const match = start && rule(tokens, start.next);
      if (!match || match.next === next) return { value: values, next };
      values.push(match.value);
      next = match.next;
    }
  };
}

/** A rule with what is made of its value; null if nothing sensible can be made of it. */
export function made<Value, Made>(rule: Rule<Value>, make: (value: Value) => Made | null): Rule<Made> {
  return (tokens, at) => {
    const match = rule(tokens, at);
    const value = match && make(match.value);
    return match && value !== null ? { value, next: match.next } : null;
  };
}

/** A rule with a value that does not depend on what it found; null is a value like any other. */
export function meaning<Value>(rule: Rule<unknown>, value: Value): Rule<Value> {
  return (tokens, at) => {
    const match = rule(tokens, at);
    return match && { value, next: match.next };
  };
}
