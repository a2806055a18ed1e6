import './example-in-figures.css';

/** An example of a rule: what is given, and what comes of it. */
export function ExampleInFigures({ given, told }: { given: string; told: readonly string[] }) {
  return (
    <div className="example-in-figures">
      <p>{given}</p>
      <ul>
        {told.map((sentence) => (
          <li key={sentence}>{sentence}</li>
        ))}
      </ul>
    </div>
  );
}
