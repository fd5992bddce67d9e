import Joi from 'joi';
import { accounts } from '../../../accounts/accounts';
import { emailField, sameEmail, triedPassword } from '../../../accounts/fields';
import { fromLibrary, withCookies } from '../../../accounts/fromLibrary';
import { endSession } from '../../../accounts/sessions';
import { countTry } from '../../../accounts/tries';
import { bodyOf } from '../../body';
import { openDoor } from '../../door';

const schema = Joi.object<{ email: string; password: string }>({
  email: emailField(),
  password: triedPassword(),
}).required();

/** Begins a session; the one that was on this device before it ends. */
export const POST = openDoor(async ({ request, db, client }) => {
  const { email, password } = await bodyOf(request, schema);
  const same = sameEmail(email);
  await countTry(db, client, same);
  const { headers } = request;
  const begun = await fromLibrary(
    accounts(db).api.signInEmail({ body: { email: same, password }, headers, returnHeaders: true }),
  );
  await endSession(db, headers);
  return withCookies(Response.json({}), begun);
});
