import { made, type Rule } from './grammar';
import type { Option, Statement } from './statement';

/** What a rule makes of a stretch of a phrase: statements, or a question about what is meant. */
export interface Reading {
  readonly statements: readonly Statement[];
  readonly ask?: { readonly question: string; readonly options: readonly Option[] };
  /** Something the person should know about this reading. */
  readonly remark?: string;
}

/** A reading of statements beyond doubt. */
export function states(...statements: readonly Statement[]): Reading {
  return { statements };
}

/** A reading that has to be asked about. */
export function asks(question: string, ...options: ReadonlyArray<readonly [label: string, ...statements: Statement[]]>): Reading {
  return { statements: [], ask: { question, options: options.map(([label, ...statements]) => ({ label, statements })) } };
}

/** A rule whose value is one statement. */
export function stating<Value>(rule: Rule<Value>, make: (value: Value) => Statement | null): Rule<Reading> {
  return made(rule, (value) => {
    const statement = make(value);
    return statement && states(statement);
  });
}

/** The currency of an amount, as a statement's field. */
export function inCurrency({ currency }: { readonly currency?: string }): { currency?: string } {
  return currency ? { currency } : {};
}
