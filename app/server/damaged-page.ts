import type { Request, Response } from 'express';
import { newestSoundBackUp } from '#data/back-ups';
import type { DataPaths } from '#data/data-folder';
import { helpPage } from './help-page';

/** Says that the data are damaged, that nothing is written to them, and how to get back to sound ones. */
export function damagedPage(request: Request, response: Response, finding: string, paths: DataPaths): void {
  if (request.path.endsWith('/save') || request.path.endsWith('/step'))
    return void response.status(503).json({ kind: 'unreachable', why: 'the data are damaged; what you typed stays in this window' });
  const backUp = newestSoundBackUp(paths);
  const text = `Something outside Venalis changed or broke the file ${paths.database} (${finding}). So that nothing gets worse, Venalis neither shows nor changes anything in it. ${
    backUp
      ? `The newest sound back-up is of ${backUp.day}. To go back to it, end Venalis and enter the line below; the damaged file is kept beside it.`
      : 'There is no sound back-up in the back-ups folder. If you made a copy with “npm run backup”, restore that one: end Venalis and enter the line below.'
  }`;
  helpPage(response, 503, 'Your data are damaged', text, {
    commands: [`npm run restore -- ${backUp ? backUp.file : 'my-copy.db'}`],
    below: '<p>Then start Venalis again. “npm run doctor” says how things stand.</p>',
  });
}
