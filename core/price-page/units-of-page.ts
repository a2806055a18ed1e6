import { isThing } from './add-ons';
import { capital } from '../wording/capital';
import { takesNothing } from './fees-of-page';
import type { PlainLine } from './plain-line';
import { type Place, plansFor } from './plans-meant';
import type { PlanBeingRead, ReadingBuilder } from './reading-builder';
import { wholeWords } from './whole-words';
import { type ChargeStatement, unitChargeIn } from './unit-charges';

/** "Extra contacts: 4 for each 1,000" is a price for more than a plan includes. */
export function isAboutUnits(plain: string): boolean {
  const charge = unitChargeIn(plain);
  return (
    charge !== null &&
    (charge.beyond === true ||
      /\b(?:traffic|bandwidth|transfer|contacts|emails|(?<!\b(?:block|object|backup|archive|network|file) )storage)\b/i.test(
        plain.split('¤')[0] ?? '',
      ))
  );
}

/** "Above 500 or 5000 members": of the plans that have so many. */
const ABOVE_COUNTS = /\b(?:above|over|beyond|more than) \d+(?:(?: or |, )\d+)*/gi;

/** A price for each of something that a plan counts, beyond its allowance or from the first on. */
export function readUnits({ plain, line }: PlainLine, place: Place, builder: ReadingBuilder): boolean {
  if (isThing(plain) && !/\b(?:month|year|order|sale|payment)/i.test(plain)) return false;
  const asked = place.question || (place.heading.endsWith('?') ? place.heading : '');
  const over =
    /\b(?:over|more than|above|exceed|beyond) (?:my|the|your|our|\d+) (\p{L}+)/iu.exec(asked)?.[1] ??
    /(?:\b(?:need|want) (?:more|extra)|^(?:more|extra|further|additional)) (\p{L}+)(?: on [^?]+)?\?/iu.exec(asked)?.[1] ??
    '';
  const isOverage = /^(?:(?:if|when) you (?:use|need|go)|over(?:ages?)?\b|above|beyond)\b/.test(place.heading);
  const isMore = isOverage || (/^(?:additional|extra|further|more)\b/.test(place.heading) && /^¤/.test(plain));
  const found = unitChargeIn(withoutNames(plain, builder), over || (place.section === 'addons' && !isMore ? '' : place.heading));
  if (!found) return false;
  const charge = inHoursOfPlans(isMore ? { ...found, beyond: true } : found, builder);
  const isGeneral =
    place.section === 'fees' || charge.beyond === true || charge.charge.on === undefined || over !== '' || 'free' in charge.charge;
  if (!isGeneral) return false;
  // "Need more students on Creator?" names the plan that the answer is about.
  const plans = plansFor(over === '' ? plain : `${asked} ${plain}`, place, builder, 'every').filter(
    (plan) => !(place.section === 'fees' && takesNothing(plan)),
  );
  const named = { ...charge, charge: { ...charge.charge, label: capital(charge.charge.label) } };
  const counts = [...`${asked} ${plain}`.matchAll(ABOVE_COUNTS)].flatMap(([counted]) => counted.match(/\d+/g) ?? []);
  const ofCounts = plans.filter(({ facts }) =>
    facts.some(({ statement }) => statement.kind === 'limit' && typeof statement.most === 'string' && counts.includes(statement.most)),
  );
  const own = amountsByName(plain, plans);
  for (const plan of ofCounts.length > 0 ? ofCounts : plans) builder.state(plan, withAmount(named, own.get(plan.name)), line);
  place.unit = { line, statement: named };
  return plans.length > 0;
}

/** "Extra emails: Starter ¤1 per 1,000": emails, not a starter's. */
function withoutNames(plain: string, builder: ReadingBuilder): string {
  return builder
    .names()
    .reduce((text, name) => text.replace(new RegExp(`(?<=[:;,·] )${wholeWords(name).source}:? (?=¤)`, 'gu'), ''), plain);
}

/** "¤6 a month on Starter, ¤5 a month on Growth": what each plan pays for one, where a line says it of several. */
function amountsByName(plain: string, plans: readonly PlanBeingRead[]): ReadonlyMap<string, string> {
  const found = plans.flatMap(({ name }) => {
    const named = wholeWords(name);
    const behind = new RegExp(`${named.source}:? ¤(\\d+(?:\\.\\d+)?) (?:per|for each|for every|each)\\b`, named.flags).exec(plain);
    if (behind) return [[name, behind[1] ?? ''] as const];
    const [, each] =
      new RegExp(`¤(\\d+(?:\\.\\d+)?)(?: (?:a|per) month)?(?: each)? (?:on|for|with|in) (?:the )?${named.source}`, named.flags).exec(
        plain,
      ) ?? [];
    return each === undefined ? [] : [[name, each] as const];
  });
  return new Map(found.length >= 2 ? found : []);
}

function withAmount(stated: ChargeStatement, each: string | undefined): ChargeStatement {
  return each === undefined || !('each' in stated.charge) ? stated : { ...stated, charge: { ...stated.charge, each } };
}

/** "Extra storage: ¤0.2 per hour", where plans hold hours of video, is of these. */
function inHoursOfPlans(found: ChargeStatement, builder: ReadingBuilder): ChargeStatement {
  const { charge } = found;
  const counted = builder.plans.flatMap(({ facts }) =>
    facts.flatMap(({ statement }) => (statement.kind === 'limit' && /-hours$/.test(statement.quantity) ? [statement.quantity] : [])),
  );
  const [hours] = counted;
  if (!/(?:^|-)hours$/.test(charge.on ?? '') || hours === undefined || new Set(counted).size > 1 || hours === charge.on) return found;
  return { ...found, charge: { ...charge, on: hours, label: capital(hours.replaceAll('-', ' ')) } };
}

const FOR_ANOTHER = /^(?:on|with|for|in) (\p{L}.*?),? (?:it is |only )?¤(\d+(?:\.\d+)?)(?: (?:a|per) month)?\.?$/iu;

/** "On Standard, each further 1000 contacts cost ¤6 a month. On Advanced, ¤5.": the same for another plan. */
export function readUnitOfAnother({ plain, line }: PlainLine, place: Place, builder: ReadingBuilder): boolean {
  const [, name, each] = FOR_ANOTHER.exec(plain) ?? [];
  const { unit } = place;
  const plan = builder.plans.find((one) => one.name.toLowerCase() === name?.toLowerCase());
  if (!plan || each === undefined || unit?.line !== line || !('each' in unit.statement.charge)) return false;
  builder.state(plan, { ...unit.statement, charge: { ...unit.statement.charge, each } }, line);
  return true;
}
