import Joi from 'joi';
import { claimAsFirstOwner } from '@/db/queries/firstOwner';
import { accounts } from '../../../accounts/accounts';
import { emailField, nameField, newPassword, sameEmail, tokenField } from '../../../accounts/fields';
import { fromLibrary, withCookies } from '../../../accounts/fromLibrary';
import { countTry } from '../../../accounts/tries';
import { bodyOf } from '../../body';
import { openDoor } from '../../door';

interface Claim {
  code: string;
  name: string;
  email: string;
  password: string;
}

const schema = Joi.object<Claim>({
  code: tokenField(),
  name: nameField(),
  email: emailField(),
  password: newPassword(),
}).required();

/** The first account of a server, by the code on its console: it owns the workshop that is there. */
export const POST = openDoor(async ({ request, db, client }) => {
  const { code, name, email, password } = await bodyOf(request, schema);
  await countTry(db, client, 'first owner');
  const answer = Response.json({}, { status: 201 });
  await claimAsFirstOwner(db, code, async () => {
    const made = await fromLibrary(
      accounts(db).api.signUpEmail({
        body: { name, email: sameEmail(email), password },
        headers: request.headers,
        returnHeaders: true,
      }),
    );
    withCookies(answer, made);
    return made.response.user.id;
  });
  return answer;
});
