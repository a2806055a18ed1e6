const COLOURS = 8;

/** Which of the fixed colours a candidate has; its letter tells it apart where colours repeat. */
export function candidateColour(id: string): string {
  const ordinal = [...id].reduce((sum, letter) => sum * 26 + letter.charCodeAt(0) - 64, 0) - 1;
  return `var(--candidate-${(((ordinal % COLOURS) + COLOURS) % COLOURS) + 1})`;
}

/** A candidate's mark: its letter on its colour. */
export function CandidateTag({ id }: { id: string }) {
  return (
    <span className="candidate-tag" style={{ background: candidateColour(id) }}>
      {id}
    </span>
  );
}
