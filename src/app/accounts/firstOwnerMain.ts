import { closeDatabase, database } from '@/db/client';
import { codeForFirstOwner } from '@/db/queries/firstOwner';
import { isUnclaimed } from '@/db/queries/members';
import { ownAddress } from './ownAddress';

/** Prints the code of the first owner where nobody has an account yet. */
async function main(): Promise<void> {
  const db = database();
  if (!(await isUnclaimed(db))) return;
  console.log(
    `Nobody has an account here yet. Make the first one at ${ownAddress()}/welcome with the code ${await codeForFirstOwner(db)} (good once, for a week).`,
  );
}

main()
  .catch((error: Error) => {
    console.error(`The code of the first owner could not be made: ${error.message}.`);
    process.exitCode = 1;
  })
  .finally(() => void closeDatabase());
