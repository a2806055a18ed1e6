import { createContext, type ReactNode, useContext, useMemo } from 'react';
import { writerFor, type Writer } from './writer';

const LocaleContext = createContext<Writer>(writerFor('en-GB'));

/** Gives everything below it the person's way of writing numbers and dates. */
export function LocaleProvider({ locale, children }: { locale: string; children: ReactNode }) {
  const writer = useMemo(() => writerFor(locale), [locale]);
  return <LocaleContext value={writer}>{children}</LocaleContext>;
}

/** Everything below it writes the amounts of its sentences in this currency. */
export function InCurrency({ currency, children }: { currency: string; children: ReactNode }) {
  const { locale } = useWriter();
  const writer = useMemo(() => writerFor(locale, currency), [locale, currency]);
  return <LocaleContext value={writer}>{children}</LocaleContext>;
}

/** Writes numbers, money and dates the way the person's locale does. */
export function useWriter(): Writer {
  return useContext(LocaleContext);
}
