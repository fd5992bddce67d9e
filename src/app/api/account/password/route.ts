import Joi from 'joi';
import { accounts } from '../../../accounts/accounts';
import { newPassword, triedPassword } from '../../../accounts/fields';
import { fromLibrary, withCookies } from '../../../accounts/fromLibrary';
import { countTry } from '../../../accounts/tries';
import { bodyOf } from '../../body';
import { personDoor } from '../../door';

const schema = Joi.object<{ password: string; next: string }>({
  password: triedPassword(),
  next: newPassword(),
}).required();

/** Sets another password; sessions of other devices end, that of this one is begun anew. */
export const PUT = personDoor(async ({ request, db, client, person }) => {
  const { password, next } = await bodyOf(request, schema);
  await countTry(db, client, person.email);
  const changed = await fromLibrary(
    accounts(db).api.changePassword({
      body: { currentPassword: password, newPassword: next, revokeOtherSessions: true },
      headers: request.headers,
      returnHeaders: true,
    }),
  );
  return withCookies(Response.json({}), changed);
});
