import { Checkbox } from 'antd';
import type { Candidate } from '#core/decision-file/candidate-schema';
import type { Addon } from '#core/decision-file/price-sheet-schema';
import { termWords } from '#core/wording/term-words';
import { ChoiceField } from '../components/choice-field';
import { NumberField } from '../components/number-field';
import { useWorkbench } from '../workbench/workbench-context';
import type { CandidateChange } from './make-up-panel';
import { addonChoices as words } from './words/addon-choices';

type UsedAddon = NonNullable<Candidate['addons']>[number];

/** The add-ons that go with a candidate's plans, to be taken or left. */
export function AddonChoices({ candidate, onChange }: { candidate: Candidate; onChange: CandidateChange }) {
  const { state } = useWorkbench();
  const offers = state.workbench.sheets.flatMap(({ sheet }) => (sheet.kind === 'offer' ? [sheet.offer] : []));
  const own = offers.filter((offer) => offer.plans.some(({ id }) => candidate.plans.some((used) => used.plan === id)));
  const shared = state.workbench.sheets.flatMap(({ sheet }) => (sheet.kind === 'addon' ? [sheet.addon] : []));
  const addons: Addon[] = [
    ...own.flatMap((offer) => offer.addons ?? []),
    ...shared.filter(({ worksWith }) => !worksWith || worksWith.some((id) => own.some((offer) => offer.id === id))),
  ];
  if (addons.length === 0) return null;
  const set = (addon: Addon, used: UsedAddon | null) =>
    onChange(`addon.${addon.id}`, addon.label || words.anAddOn, (one) => {
      const others = (one.addons ?? []).filter((other) => other.addon !== addon.id);
      return { ...one, addons: used ? [...others, used] : others };
    });
  return (
    <fieldset className="addon-choices">
      <legend>{words.addOns}</legend>
      {addons.map((addon) => {
        const used = candidate.addons?.find((one) => one.addon === addon.id);
        const terms = addon.terms ?? [];
        const first = terms[0];
        const isPriced = first !== undefined || (addon.charges?.length ?? 0) > 0;
        return (
          <div key={addon.id} className="addon-choice">
            <Checkbox
              checked={used !== undefined}
              disabled={!isPriced && !used}
              onChange={({ target }) => set(addon, target.checked ? { addon: addon.id, ...(first ? { term: first.id } : {}) } : null)}
            >
              {addon.label || words.withoutAName}
              {!isPriced && <span className="quiet"> {words.hasNoPriceYet}</span>}
            </Checkbox>
            {used && terms.length > 1 && (
              <ChoiceField
                label={words.isPaid(addon.label)}
                labelHidden
                value={used.term}
                options={terms.map((term) => ({ value: term.id, label: termWords(term.months) }))}
                onChange={(term) => set(addon, { ...used, term })}
              />
            )}
            {used && (
              <NumberField
                fieldKey={`candidate.${candidate.id}.addon.${addon.id}`}
                label={words.howManyOf(addon.label || words.it)}
                labelHidden
                prefix="×"
                value={String(used.count ?? 1)}
                range={{ least: 1, most: 10_000, whole: true, wanted: words.aNumberOfUnits }}
                onChange={(count) => set(addon, { ...used, count: Number(count) })}
              />
            )}
          </div>
        );
      })}
    </fieldset>
  );
}
