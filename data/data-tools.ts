/** What the commands of `scripts/` do with the data; built for them as one file. */
export { listBackUps, newestSoundBackUp } from './back-ups';
export { copyToFile } from './copy-to-file';
export { dataFolder, dataPaths, prepareDataFolder } from './data-folder';
export { dataReport } from './data-report';
export { loadWorkbench } from './decisions';
export { lookAtFile } from './integrity';
export { openDatabase } from './open-database';
export { keepPassword, passwordProblem } from './password';
export { restore } from './restore';
