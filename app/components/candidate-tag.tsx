const COLOURS = 8;

/** Which of the fixed colours a candidate has, as a property of the theme; its letter tells it apart where colours repeat. */
export function candidateColourName(id: string): string {
  const ordinal = [...id].reduce((sum, letter) => sum * 26 + letter.charCodeAt(0) - 64, 0) - 1;
  return `--candidate-${(((ordinal % COLOURS) + COLOURS) % COLOURS) + 1}`;
}

/** A candidate's colour for styles. */
export function candidateColour(id: string): string {
  return `var(${candidateColourName(id)})`;
}

/** A candidate's mark: its letter on its colour. */
export function CandidateTag({ id }: { id: string }) {
  return (
    <span className="candidate-tag" style={{ background: candidateColour(id) }}>
      {id}
    </span>
  );
}
