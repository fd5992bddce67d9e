import Joi from 'joi';
import { accounts } from '../../../accounts/accounts';
import { newPassword, tokenField } from '../../../accounts/fields';
import { fromLibrary } from '../../../accounts/fromLibrary';
import { countTry } from '../../../accounts/tries';
import { bodyOf } from '../../body';
import { openDoor } from '../../door';

const schema = Joi.object<{ token: string; password: string }>({
  token: tokenField(),
  password: newPassword(),
}).required();

/** Sets a new password by a link that the server printed; all sessions end. */
export const POST = openDoor(async ({ request, db, client }) => {
  const { token, password } = await bodyOf(request, schema);
  await countTry(db, client, `reset ${token}`);
  await fromLibrary(accounts(db).api.resetPassword({ body: { token, newPassword: password } }));
  return Response.json({});
});
