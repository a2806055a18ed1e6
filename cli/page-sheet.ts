import type { PageOption, PagePlan, PageQuestion, PageReading } from '../core/price-page/page-reading';
import type { StatedTerm, Statement } from '../core/price-phrase/statement';

type Json = Readonly<Record<string, unknown>>;

/** What a page was read as, in the shape that `npm run read-page` prints. */
export function pageAsJson(file: string, reading: PageReading): Json {
  const currency = reading.currency ?? 'EUR';
  const taxExcluded = reading.taxExcluded === null ? {} : { taxExcluded: reading.taxExcluded };
  const plans = reading.plans.map((plan) => ({ label: plan.name, currency, ...partOf(plan), ...taxExcluded }));
  const addons = reading.addons.map((addon) => ({ label: addon.name, currency, ...partOf(addon) }));
  return {
    file,
    sheet: {
      ...(reading.vendor === '' ? {} : { vendor: reading.vendor }),
      kind: reading.isProcessor ? 'processor' : 'offer',
      plans: reading.isProcessor ? [] : plans,
      addons,
      processors: reading.isProcessor ? plans.map((plan) => ({ ...plan, label: reading.vendor })) : [],
    },
    asked: reading.asked.map(questionOf),
    open: reading.open,
    ignored: reading.aside,
  };
}

function partOf({ facts }: PagePlan): Json {
  const statements = facts.map(({ statement }) => statement);
  const of = <Kind extends Statement['kind']>(kind: Kind) =>
    statements.filter((one): one is Extract<Statement, { kind: Kind }> => one.kind === kind);
  const days = { ...lastDays(of('trial')[0]?.days, 'trialDays'), ...lastDays(of('refund')[0]?.days, 'refundDays') };
  const terms = of('term').map(({ term }) => ({ ...withIntroduction(term, of('introduction')), ...days }));
  const limits = new Map(of('limit').map(({ quantity, most }) => [quantity, most]));
  const charges = of('charge').map(({ charge, beyond }) => {
    const counted = charge.on ?? 'orders';
    const allowance = limits.get(counted);
    if (!beyond || 'free' in charge) return charge;
    if (typeof allowance !== 'string') return { ...charge, free: null };
    limits.delete(counted);
    return { ...charge, free: allowance };
  });
  const unlimited = [...limits].flatMap(([quantity, most]) => (most === true ? [quantity] : []));
  return {
    ...(terms.length === 0 ? days : {}),
    terms,
    charges,
    limits: Object.fromEntries([...limits].filter(([, most]) => typeof most === 'string')),
    features: Object.fromEntries(of('feature').map(({ feature, value }) => [feature, value])),
    ...(of('joining').length > 0 ? { once: of('joining').map(({ label, amount }) => ({ label, amount })) } : {}),
    ...(unlimited.length > 0 ? { unlimited } : {}),
  };
}

function lastDays(days: number | undefined, key: string): Json {
  return days === undefined ? {} : { [key]: days };
}

function withIntroduction(term: StatedTerm, introductions: ReadonlyArray<Extract<Statement, { kind: 'introduction' }>>): StatedTerm {
  const fitting = introductions.find(({ time }) => term.months === 1 || ('months' in time && time.months === term.months));
  if (!fitting || term.intro || term.months === 0) return term;
  const periods = 'payments' in fitting.time ? fitting.time.payments : fitting.time.months / term.months;
  return { ...term, intro: { ...fitting.intro, periods } };
}

function questionOf({ question, text, plans, options }: PageQuestion): Json {
  return { question, text, plans, options: options.map(optionOf) };
}

function optionOf({ label, statements }: PageOption): Json {
  return { label, statements: statements.map(({ plan, statement }) => ({ plan, ...statementOf(statement) })) };
}

function statementOf(statement: Statement): Json {
  switch (statement.kind) {
    case 'term':
      return { term: statement.term };
    case 'charge':
      return { charge: statement.charge };
    case 'limit':
      return { limit: { [statement.quantity]: statement.most } };
    case 'feature':
      return { feature: { [statement.feature]: statement.value } };
    case 'trial':
      return { trial: statement.days };
    case 'refund':
      return { refund: statement.days };
    case 'joining':
      return { once: { label: statement.label, amount: statement.amount } };
    default:
      return {};
  }
}
