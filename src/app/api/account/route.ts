import Joi from 'joi';
import { DoorError } from '@/db/errors';
import { soleOwnerOf, workshopsOf } from '@/db/queries/members';
import { listed } from '@/words/lists';
import { accounts } from '../../accounts/accounts';
import { triedPassword } from '../../accounts/fields';
import { fromLibrary, withCookies } from '../../accounts/fromLibrary';
import { countTry } from '../../accounts/tries';
import { bodyOf } from '../body';
import { personDoor } from '../door';

/** Who is signed in, and the workshops that they are in. */
export const GET = personDoor(async ({ db, person }) =>
  Response.json({ person, workshops: await workshopsOf(db, person.id) }),
);

const schema = Joi.object<{ password: string }>({ password: triedPassword() }).required();

/** Deletes the account; workshops stay with their other owners. */
export const DELETE = personDoor(async ({ request, db, client, person }) => {
  const { password } = await bodyOf(request, schema);
  await countTry(db, client, person.email);
  const alone = await soleOwnerOf(db, person);
  if (alone.length > 0)
    throw new DoorError('inUse', `Nobody else owns ${listed(alone.map(({ name }) => name))}.`, {
      remedy: 'make another member an owner, or delete the workshop first',
    });
  const gone = await fromLibrary(
    accounts(db).api.deleteUser({
      body: { password },
      headers: request.headers,
      returnHeaders: true,
    }),
  );
  return withCookies(Response.json({}), gone);
});
