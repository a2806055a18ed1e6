import type { ReactNode } from 'react';
import { Link } from 'react-router';
import { listPage as words } from './words/list-page';
import { Brand } from './brand';

/** A page beside the workbench, with the way back to all decisions. */
export function ListPage({ title, children }: { title: string; children: ReactNode }) {
  return (
    <div className="list-page">
      <header className="workbench-head">
        <Link to="/decisions" className="brand" aria-label={words.venalisAllDecisions}>
          <Brand />
        </Link>
        <h1>{title}</h1>
      </header>
      {children}
    </div>
  );
}
