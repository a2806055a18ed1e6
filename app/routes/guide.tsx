import { Link } from 'react-router';
import { Button } from 'antd';
import { ListPage } from '../components/list-page';
import { GUIDE_KEYS, GUIDE_SIGNS, GUIDE_STEPS } from '../how/guide-words';
import '../how/guide.css';

export const meta = () => [{ title: 'Guide on one page · Venalis' }];

/** From pricing pages to a verdict on one printed page. */
export default function Guide() {
  return (
    <ListPage title="From pricing pages to a verdict">
      <main className="guide">
        <p className="guide-tools">
          <Button type="primary" onClick={() => window.print()}>
            Print this page
          </Button>{' '}
          <Link to="/how">How everything is worked out</Link>
        </p>
        <ol>
          {GUIDE_STEPS.map(({ title, words }) => (
            <li key={title}>
              <h2>{title}</h2>
              <p>{words}</p>
            </li>
          ))}
        </ol>
        <section aria-label="What the signs mean">
          <h2>What the signs mean</h2>
          <Terms terms={GUIDE_SIGNS} />
        </section>
        <section aria-label="Keys">
          <h2>Keys</h2>
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
