// npm run restore -- FILE: puts a back-up in the place of the present data, which are kept beside it.
import { resolve } from 'node:path';
import { callerFolder, dataTools, refuse } from './data-tools.mjs';

const from = process.argv[2];
if (!from) refuse('Say which back-up to restore: npm run restore -- venalis-copy.db');
const { dataFolder, dataPaths, restore } = await dataTools();
try {
  const outcome = await restore(dataPaths(dataFolder()), resolve(callerFolder(), from), new Date());
  if (!outcome.ok) refuse(outcome.why);
  console.log(
    `Restored, with ${outcome.decisions} ${outcome.decisions === 1 ? 'decision' : 'decisions'}. ${outcome.formerIn ? `What was there before is in ${outcome.formerIn}. ` : ''}Start Venalis again with npm start.`,
  );
} catch (error) {
  refuse(error.message);
}
