import { closeDatabase, database } from '@/db/client';
import { resetTokenFor } from './accounts';
import { sameEmail } from './fields';
import { ownAddress } from './ownAddress';

async function main(email: string): Promise<void> {
  const token = await resetTokenFor(database(), sameEmail(email));
  if (token === undefined) {
    console.error(`Nobody has an account with ${email}.`);
    process.exitCode = 1;
  } else console.log(`Good for an hour, once: ${ownAddress()}/reset#${token}`);
}

main(process.argv[2] ?? '')
  .catch((error: Error) => {
    console.error(`The link could not be made: ${error.message}.`);
    process.exitCode = 1;
  })
  .finally(() => void closeDatabase());
