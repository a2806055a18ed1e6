import { type ReactNode, useState } from 'react';

/** A part of the page that opens on request; what is in it is drawn only while it is open. */
export function Fold({ summary, className, children }: { summary: string; className?: string; children: ReactNode }) {
  const [isOpen, setOpen] = useState(false);
  return (
    <details {...(className ? { className } : {})} onToggle={({ currentTarget }) => setOpen(currentTarget.open)}>
      <summary>{summary}</summary>
      {isOpen && children}
    </details>
  );
}
