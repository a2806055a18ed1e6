import { Link } from 'react-router';
import { WORKED_EXAMPLES } from '#core/worked-examples/worked-examples';
import { ListPage } from '../components/list-page';
import { ExampleInFigures } from '../how/example-in-figures';
import { RULES_IN_WORDS } from '../how/rules-in-words';
import { writerFor } from '../locale/writer';
import { localeOf } from '../server/locale.server';
import type { Route } from './+types/how';
import '../how/how.css';
import { how as texts } from './words/how';

export const meta = () => [{ title: texts.howItIsWorked }];

/** Every rule with its example, worked out anew: the page cannot say anything else than the sums do. */
export function loader({ request }: Route.LoaderArgs) {
  const write = writerFor(localeOf(request.headers.get('Accept-Language')));
  return RULES_IN_WORDS.map(({ group, rules }) => ({
    group,
    rules: rules.map(({ rule, ...words }) => {
      const { given, told } = WORKED_EXAMPLES[rule];
      return { rule, ...words, given: write.figuresOf(given), told: told(write) };
    }),
  }));
}

export default function How({ loaderData }: Route.ComponentProps) {
  return (
    <ListPage title={texts.howItIsWorkedOut}>
      <main className="how">
        <p className="how-lead">{texts.everyFigureInVenalis(<Link to="/guide">{texts.aGuideOnOne}</Link>)}</p>
        <nav aria-label={texts.rules}>
          <ul>
            {loaderData.flatMap(({ rules }) =>
              rules.map(({ rule, title }) => (
                <li key={rule}>
                  <a href={`#${rule}`}>{title}</a>
                </li>
              )),
            )}
          </ul>
        </nav>
        <div>
          {loaderData.map(({ group, rules }) => (
            <section key={group} aria-label={group}>
              <h2>{group}</h2>
              {rules.map(({ rule, title, words, given, told }) => (
                <article key={rule} id={rule}>
                  <h3>{title}</h3>
                  <p>{words}</p>
                  <ExampleInFigures given={given} told={told} />
                </article>
              ))}
            </section>
          ))}
        </div>
      </main>
    </ListPage>
  );
}
