import { closeDatabase, database } from '../client';
import { defaultWorkshop } from '../queries/workshops';
import { fillDemo } from './fillDemo';

async function main(): Promise<void> {
  const db = database();
  await fillDemo(db, await defaultWorkshop(db));
}

main()
  .catch((error: Error & { cause?: Error }) => {
    console.error(`The demo workshop could not be filled in: ${error.cause?.message ?? error.message}.`);
    process.exitCode = 1;
  })
  .finally(() => void closeDatabase());
