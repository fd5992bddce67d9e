import { backUp } from './lib/backup.mjs';
import { withDatabase } from './lib/installation.mjs';
import { runMain } from './lib/say.mjs';

runMain(() => withDatabase((url) => console.log(`Backed up into ${backUp(url)}.`)));
