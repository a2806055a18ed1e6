import type { PriceSheet } from '../decision/price-sheet';
import type { Settled } from '../decision/sheet-notes';
import { kindCheck, magnitudeCheck, tierCheck } from './charge-checks';
import type { Check, CheckContext, Finding } from './finding';
import { ageCheck, contradictionCheck, currencyCheck, nameCheck, paymentFeeCheck, uptimeCheck } from './sheet-checks';
import { monthForYearCheck, renewalCheck, savingCheck } from './term-checks';

/** Every check that is made of a price sheet. */
const CHECKS: readonly Check[] = [
  savingCheck,
  monthForYearCheck,
  renewalCheck,
  tierCheck,
  kindCheck,
  magnitudeCheck,
  contradictionCheck,
  currencyCheck,
  nameCheck,
  paymentFeeCheck,
  uptimeCheck,
  ageCheck,
];

/** What is questionable on a sheet: questions still open, and those that somebody has settled. */
export interface CheckedSheet {
  readonly open: readonly Finding[];
  readonly settled: ReadonlyArray<{ readonly finding: Finding; readonly by: Settled }>;
}

/** Makes every check of a price sheet; settled questions are asked again once their figures have changed. */
export function checkSheet(sheet: PriceSheet, context: CheckContext): CheckedSheet {
  const checked = latest.get(sheet);
  if (checked?.context === context) return checked.result;
  const result = check(sheet, context);
  latest.set(sheet, { context, result });
  return result;
}

/** Sheets never change; what was found on one is kept as long as it is looked at alike. */
const latest = new WeakMap<PriceSheet, { context: CheckContext; result: CheckedSheet }>();

function check(sheet: PriceSheet, context: CheckContext): CheckedSheet {
  const findings = CHECKS.flatMap((one) => one(sheet, context));
  const settledBy = (finding: Finding) =>
    sheet.settled?.find((one) => one.check === finding.check && one.place === finding.place && one.figures === fingerprint(finding));
  const open = findings.filter((finding) => !settledBy(finding));
  const settled = findings.flatMap((finding) => {
    const by = settledBy(finding);
    return by ? [{ finding, by }] : [];
  });
  return { open, settled };
}

/** The figures of a finding as they are kept with a settled question. */
function fingerprint({ figures }: Finding): string {
  return figures.slice(0, 300);
}

/** The sheet with a question settled, for a reason. */
export function withSettled(sheet: PriceSheet, finding: Finding, reason: string, on: string): PriceSheet {
  const others = (sheet.settled ?? []).filter((one) => one.check !== finding.check || one.place !== finding.place);
  return { ...sheet, settled: [...others, { check: finding.check, place: finding.place, figures: fingerprint(finding), reason, on }] };
}

/** The sheet with a settled question asked again. */
export function withReopened(sheet: PriceSheet, { check, place }: Settled): PriceSheet {
  return { ...sheet, settled: (sheet.settled ?? []).filter((one) => one.check !== check || one.place !== place) };
}
