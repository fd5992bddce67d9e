import { BACKUPS, backUp, listOf, requireFile, restore } from './lib/backup.mjs';
import { withDatabase } from './lib/installation.mjs';
import { runMain, Sentence } from './lib/say.mjs';
import { prepareDatabase } from './lib/serve.mjs';

/** Puts the database back as a backup holds it; what stood there before is backed up first. */
runMain(async () => {
  const [path] = process.argv.slice(2);
  if (!path) throw new Sentence(`Say which: npm run restore -- FILE. ${listOf(BACKUPS)}`);
  requireFile(path);
  await withDatabase(async (url) => {
    console.log(`What stands there now is kept in ${backUp(url)}.`);
    await restore(url, path);
    await prepareDatabase(url, { seed: false });
    console.log('Restored. Sessions are as they were then; npm run start serves it.');
  });
});
