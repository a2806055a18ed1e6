import { Link } from 'react-router';
import { problemPage as words } from './words/problem-page';

/** A whole page that says what is the case and leads back. */
export function ProblemPage({ title, text }: { title: string; text: string }) {
  return (
    <main className="problem-page">
      <h1>{title}</h1>
      <p>{text}</p>
      <p>
        <Link to="/decisions">{words.backToYourDecisions}</Link>
      </p>
    </main>
  );
}
