// npm run password: sets the password that everybody needs once Venalis is open to others. Read from standard input where
// that is no terminal.
import { createInterface } from 'node:readline/promises';
import { Writable } from 'node:stream';
import { rmSync } from 'node:fs';
import { dataTools, refuse } from './data-tools.mjs';

const { dataFolder, dataPaths, keepPassword, passwordProblem, prepareDataFolder } = await dataTools();
const paths = dataPaths(dataFolder());
if (process.argv.includes('--remove')) {
  rmSync(paths.password, { force: true });
  console.log('The password is removed. Venalis can be used from this computer alone, without signing in.');
  process.exit(0);
}

// What is typed is not shown.
const silent = new Writable({ write: (_chunk, _encoding, next) => next() });
const lines = createInterface({
  input: process.stdin,
  output: process.stdin.isTTY ? silent : undefined,
  terminal: Boolean(process.stdin.isTTY),
});
const ask = async (question) => {
  if (process.stdin.isTTY) process.stdout.write(question);
  const answer = process.stdin.isTTY ? await lines.question('') : (await lines[Symbol.asyncIterator]().next()).value;
  if (process.stdin.isTTY) process.stdout.write('\n');
  return answer ?? '';
};
const password = await ask('New password: ');
const problem = passwordProblem(password);
if (problem) refuse(`${problem} Nothing was changed.`);
if (process.stdin.isTTY && (await ask('Once more: ')) !== password) refuse('The two are not the same. Nothing was changed.');
lines.close();
prepareDataFolder(paths);
await keepPassword(paths.password, password);
console.log('The password is set. Everybody who opens Venalis now signs in with it, also on this computer.');
