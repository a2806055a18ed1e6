// npm run doctor: says in plain words whether data, back-ups, packages and the browser for printing are in order.
import { existsSync } from 'node:fs';
import { join } from 'node:path';
import { BUILT, isInstalled, nodeProblem, printingBrowser, root } from './setup.mjs';

const lines = [];
const note = (isFine, text) => lines.push({ isFine, text });

const wrongNode = nodeProblem();
note(wrongNode === null, wrongNode ?? `Node.js ${process.versions.node}.`);
const installed = isInstalled();
note(
  installed,
  installed ? 'All packages are there, as the lock file names them.' : 'Packages are missing or of other versions. Enter: npm ci',
);
note(true, existsSync(BUILT) ? 'The application is built.' : 'The application is not built yet; npm start builds it.');
const browser = printingBrowser();
note(
  browser !== null,
  browser
    ? `Chromium for PDF is ${browser}.`
    : 'There is no Chromium, so that reports cannot be saved as PDF. Install your system’s chromium, or name one in CHROMIUM_PATH.',
);
if (existsSync(join(root, 'node_modules/better-sqlite3'))) {
  const { dataTools } = await import('./data-tools.mjs');
  const { dataFolder, dataPaths, dataReport } = await dataTools({ installs: false });
  for (const { isFine, text } of dataReport(dataPaths(dataFolder()), new Date())) note(isFine, text);
} else note(false, 'The data were not looked at: that needs the packages.');

for (const { isFine, text } of lines) console.log(`${isFine ? '  fine   ' : '  LOOK   '}${text}`);
const amiss = lines.filter(({ isFine }) => !isFine).length;
console.log(amiss === 0 ? '\nEverything is in order.' : `\n${amiss === 1 ? 'One thing needs' : `${amiss} things need`} a look.`);
process.exitCode = amiss === 0 ? 0 : 1;
