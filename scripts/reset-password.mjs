import { sessionSecret, withDatabase } from './lib/installation.mjs';
import { run } from './lib/run.mjs';
import { runMain, SAID, Sentence } from './lib/say.mjs';
import { prepareDatabase, tsx } from './lib/serve.mjs';

/** Prints a link with which somebody sets a new password. */
runMain(async () => {
  const [email] = process.argv.slice(2);
  if (!email) throw new Sentence('Say whose: npm run reset-password -- ada@cars.example');
  await withDatabase(async (url) => {
    await prepareDatabase(url, { seed: false });
    await run(process.execPath, [...tsx, 'src/app/accounts/resetPasswordMain.ts', email], {
      env: { ...process.env, DATABASE_URL: url, BETTER_AUTH_SECRET: sessionSecret() },
      sentence: SAID,
    });
  });
});
