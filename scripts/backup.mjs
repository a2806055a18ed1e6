// npm run backup -- FILE: copies the database as it stands, also while Venalis is running.
import { resolve } from 'node:path';
import { callerFolder, dataTools, refuse } from './data-tools.mjs';

const target = process.argv[2];
if (!target) refuse('Say where the copy should go: npm run backup -- venalis-copy.db');
const { copyToFile, dataFolder, dataPaths } = await dataTools();
try {
  const file = await copyToFile(dataPaths(dataFolder()), resolve(callerFolder(), target));
  console.log(`Copied to ${file}, and checked. To go back to it one day, end Venalis and enter: npm run restore -- ${file}`);
} catch (error) {
  refuse(error.message);
}
