// Opens a database and brings it up to date; a process of its own, to be killed. Says when it begins.
import { dataTools } from '../scripts/data-tools.mjs';

const { openDatabase } = await dataTools({ installs: false });
console.log('begun');
await (await openDatabase(process.argv[2])).destroy();
