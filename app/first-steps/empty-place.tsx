import { type ReactNode, useEffect, useState } from 'react';
import { Link } from 'react-router';
import type { RuleTold } from '#core/worked-examples/worked-examples';
import { ExampleInFigures } from '../how/example-in-figures';
import { useWriter } from '../locale/locale';
import { useStore } from '../workbench/workbench-context';
import type { PlaceInWords } from './places-in-words';
import './empty-place.css';
import { emptyPlace as texts } from './words';

interface EmptyPlaceProps {
  readonly place: PlaceInWords;
  /** What is missing, where it is not simply prices. */
  readonly lacking?: ReactNode;
}

/** Says what will stand in a place, shows it by an example in figures, and leads to the first step. */
export function EmptyPlace({ place: { title, words, example }, lacking }: EmptyPlaceProps) {
  const { decisionId } = useStore();
  const to = `/decisions/${decisionId}`;
  return (
    <main className="work empty-place" aria-label={title}>
      <h2>{title}</h2>
      <p className="says">{words}</p>
      <p className="first-step">
        {lacking ?? (
          <>
            {texts.itTakesOnePrice(
              <Link to={`${to}/start`}>{texts.pasteAPricingPage}</Link>,
              <Link to={`${to}/sheets`}>{texts.enterPricesByHand}</Link>,
            )}
          </>
        )}
      </p>
      <Example rule={example} />
    </main>
  );
}

/** What a rule comes to in figures, worked out by the same program that works out everything else. */
function Example({ rule }: { rule: RuleTold }) {
  const write = useWriter();
  const [told, setTold] = useState<{ readonly given: string; readonly sentences: readonly string[] } | null>(null);
  useEffect(() => {
    let isWanted = true;
    void import('#core/worked-examples/worked-examples').then(
      ({ WORKED_EXAMPLES }) => {
        const { given, told } = WORKED_EXAMPLES[rule];
        if (isWanted) setTold({ given: write.figuresOf(given), sentences: told(write) });
      },
      // Without a server there is no example, and nothing is lost.
      () => undefined,
    );
    return () => {
      isWanted = false;
    };
  }, [rule, write]);
  if (!told) return null;
  return (
    <section aria-label={texts.forExample}>
      <h3>{texts.forExample}</h3>
      <ExampleInFigures given={told.given} told={told.sentences} />
      <p className="quiet">
        <Link to={`/how#${rule}`}>{texts.howThisIsWorked}</Link>
      </p>
    </section>
  );
}
