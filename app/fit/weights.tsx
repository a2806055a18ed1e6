import { withChangedNeed } from '#core/needs/edit-needs';
import { needKey, needWords } from '#core/wording/need-words';
import { withQuality } from '#core/qualities/edit-qualities';
import { NumberField } from '../components/number-field';
import { useEdits } from '../workbench/use-edits';
import { useWorkbench } from '../workbench/workbench-context';
import { weights as words } from './words';

const WEIGHT = { least: 0, most: 100, wanted: words.aWeight1To5 };

/** All weights in one list, to be tried. */
export function Weights() {
  const { decision } = useWorkbench().state.workbench;
  const edits = useEdits();
  const { needs = [], qualities = [] } = decision;
  const weights = [...qualities, ...needs.filter(({ level }) => level === 'want')].map(({ weight = '1' }) => weight);
  const counting = weights.filter((weight) => Number(weight) > 0);
  return (
    <section aria-label={words.weights} className="weights">
      <h2>{words.whatCountsHowMuch}</h2>
      <p className="quiet">{words.ofCount0Leaves(counting.length, weights.length)}</p>
      {qualities.map(({ id, label, weight }) => (
        <div key={id} className="weight">
          <span>{label}</span>
          <NumberField
            fieldKey={`weight.quality.${id}`}
            label={words.weightOf(label)}
            labelHidden
            value={weight}
            range={WEIGHT}
            onChange={(next) =>
              edits.decision(`quality.${id}.weight`, words.theWeightOf(label), (one) =>
                withQuality(one, id, (quality) => ({ ...quality, weight: next ?? '0' })),
              )
            }
          />
        </div>
      ))}
      {needs
        .filter(({ level }) => level === 'want')
        .map((need) => (
          <div key={needKey(need)} className="weight">
            <span>{needWords(need)}</span>
            <NumberField
              fieldKey={`weight.need.${needKey(need)}`}
              label={words.weightOfNeed(needWords(need))}
              labelHidden
              value={need.weight ?? '1'}
              range={WEIGHT}
              onChange={(next) =>
                edits.decision(`need.${needKey(need)}.weight`, words.theWeightOfNeed(needWords(need)), (one) =>
                  withChangedNeed(one, needKey(need), (former) => ({ ...former, weight: next ?? '0' })),
                )
              }
            />
          </div>
        ))}
    </section>
  );
}
