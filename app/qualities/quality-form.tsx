import { Button } from 'antd';
import { withQuality } from '#core/qualities/edit-qualities';
import type { Quality } from '#core/decision/quality-schema';
import { SOURCE_UNITS } from '#core/qualities/usual-qualities';
import { ChoiceField } from '../components/choice-field';
import { NumberField } from '../components/number-field';
import { TextField } from '../components/text-field';
import { useEdits } from '../workbench/use-edits';
import { SOURCES } from './quality-words';
import { qualityForm as words } from './words';

const SCALE = { least: -1e6, most: 1e6, wanted: words.aNumber };

/** A quality: how much it counts, where its figures come from, and its scale. */
export function QualityForm({ quality, onRemoved }: { quality: Quality; onRemoved(): void }) {
  const edits = useEdits();
  const change = (field: string, recipe: (one: Quality) => Quality | null) =>
    edits.decision(`quality.${quality.id}.${field}`, quality.label || words.aQuality, (one) => withQuality(one, quality.id, recipe));
  const unit = SOURCE_UNITS[quality.source];
  const isSame = (end: string, other: string) => Number(end) === Number(other);
  return (
    <section aria-label={words.quality} className="quality-form">
      <h2>{quality.label || words.unnamedQuality}</h2>
      <TextField label={words.name} value={quality.label} onChange={(label) => change('label', (one) => ({ ...one, label }))} />
      <NumberField
        fieldKey={`quality.${quality.id}.weight`}
        label={words.weight}
        value={quality.weight}
        range={{ least: 0, most: 100, wanted: words.aWeight1To5 }}
        hint={words.zeroLeavesItOut}
        onChange={(weight) => change('weight', (one) => ({ ...one, weight: weight ?? '0' }))}
      />
      <ChoiceField
        label={words.figuresComeFrom}
        value={quality.source}
        options={SOURCES}
        onChange={(source) => change('source', (one) => ({ ...one, source }))}
      />
      <div className="pair">
        <NumberField
          fieldKey={`quality.${quality.id}.worst`}
          label={words.noPointsAt}
          value={quality.worst}
          range={SCALE}
          hint={unit}
          onChange={(worst) => worst && !isSame(worst, quality.best) && change('worst', (one) => ({ ...one, worst }))}
        />
        <NumberField
          fieldKey={`quality.${quality.id}.best`}
          label={words.fullPointsAt}
          value={quality.best}
          range={SCALE}
          hint={unit}
          onChange={(best) => best && !isSame(best, quality.worst) && change('best', (one) => ({ ...one, best }))}
        />
      </div>
      <ChoiceField
        label={words.withSeveralVendorsUse}
        value={quality.together ?? 'weakest'}
        options={[
          { value: 'weakest', label: words.theWeakest },
          { value: 'strongest', label: words.theStrongest },
        ]}
        onChange={(together) => change('together', (one) => ({ ...one, together }))}
      />
      <TextField
        label={words.whyItCounts}
        value={quality.why ?? ''}
        onChange={(why) => change('why', ({ why: _former, ...one }) => (why === '' ? one : { ...one, why }))}
      />
      <p>
        <Button
          type="text"
          size="small"
          onClick={() => {
            change('removed', () => null);
            onRemoved();
          }}
        >
          {words.leaveItOut}
        </Button>
      </p>
    </section>
  );
}
