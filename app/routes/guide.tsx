import { Link } from 'react-router';
import { Button } from 'antd';
import { ListPage } from '../components/list-page';
import { GUIDE_KEYS, GUIDE_SIGNS, GUIDE_STEPS } from '../how/guide-words';
import '../how/guide.css';
import { guide as texts } from './words/guide';

export const meta = () => [{ title: texts.guideOnOnePage }];

/** From pricing pages to a verdict on one printed page. */
export default function Guide() {
  return (
    <ListPage title={texts.fromPricingPagesToAVerdict}>
      <main className="guide">
        <p className="guide-tools">
          <Button type="primary" onClick={() => window.print()}>
            {texts.printThisPage}
          </Button>{' '}
          <Link to="/how">{texts.howEverythingIsWorked}</Link>
        </p>
        <ol>
          {GUIDE_STEPS.map(({ title, words }) => (
            <li key={title}>
              <h2>{title}</h2>
              <p>{words}</p>
            </li>
          ))}
        </ol>
        <section aria-label={texts.whatTheSignsMean}>
          <h2>{texts.whatTheSignsMean}</h2>
          <Terms terms={GUIDE_SIGNS} />
        </section>
        <section aria-label={texts.keys}>
          <h2>{texts.keys}</h2>
          <Terms terms={GUIDE_KEYS} />
        </section>
      </main>
    </ListPage>
  );
}

function Terms({ terms }: { terms: ReadonlyArray<readonly [string, string]> }) {
  return (
    <dl>
      {terms.map(([term, meaning]) => (
        <div key={term}>
          <dt>{term}</dt>
          <dd>{meaning}</dd>
        </div>
      ))}
    </dl>
  );
}
