import { Link } from 'react-router';
import type { Bucket } from '#core/pricing/ledger-line';
import type { RuleTold } from '#core/worked-examples/worked-examples';
import { howLink as words } from './words';

const RULE_OF_BUCKET: Readonly<Record<Bucket, RuleTold>> = {
  plan: 'terms',
  addon: 'terms',
  transaction: 'fees',
  payment: 'fees',
  usage: 'allowance',
  once: 'total',
  extra: 'total',
  time: 'time',
  tax: 'tax',
  credit: 'caps',
};

/** Leads from an explanation to its rule in plain words. */
export function HowLink({ rule }: { rule: RuleTold }) {
  return (
    <p className="quiet how-link">
      <Link to={`/how#${rule}`}>{words.howThisIsWorked}</Link>
    </p>
  );
}

/** The rule that most of a bucket's lines follow; the total's where there is none. */
export function ruleOf(bucket: Bucket | undefined): RuleTold {
  return bucket === undefined ? 'total' : RULE_OF_BUCKET[bucket];
}
