import { randomUUID } from 'node:crypto';
import Joi from 'joi';
import { acceptInvitation, invited } from '@/db/queries/invitations';
import { isUnclaimed, joinWorkshop } from '@/db/queries/members';
import { createWorkshop } from '@/db/queries/workshops';
import { DoorError } from '@/db/errors';
import { accounts } from '../../../accounts/accounts';
import { emailField, nameField, newPassword, sameEmail, tokenField } from '../../../accounts/fields';
import { fromLibrary, withCookies } from '../../../accounts/fromLibrary';
import { isSignUpOpen } from '../../../accounts/mode';
import { countTry } from '../../../accounts/tries';
import { bodyOf } from '../../body';
import { openDoor } from '../../door';

interface SignUp {
  name: string;
  email: string;
  password: string;
  invitation?: string;
}

const schema = Joi.object<SignUp>({
  name: nameField(),
  email: emailField(),
  password: newPassword(),
  invitation: tokenField().optional(),
}).required();

/** A new account: in the workshop that invited, or with one of its own. */
export const POST = openDoor(async ({ request, db, client }) => {
  const { name, email, password, invitation } = await bodyOf(request, schema);
  await countTry(db, client, sameEmail(email));
  if (await isUnclaimed(db))
    throw new DoorError('locked', 'This server has no owner yet.', {
      remedy: 'its first account is made with the code on its console, at /welcome',
    });
  if (invitation !== undefined) await invited(db, invitation);
  else if (!isSignUpOpen())
    throw new DoorError('mayNot', 'New accounts are made by invitation here.', {
      remedy: 'ask an owner of a workshop for a link',
    });
  const made = await fromLibrary(
    accounts(db).api.signUpEmail({
      body: { name, email: sameEmail(email), password },
      headers: request.headers,
      returnHeaders: true,
    }),
  );
  const personId = made.response.user.id;
  if (invitation !== undefined) await acceptInvitation(db, invitation, personId);
  else {
    const workshopId = randomUUID();
    await createWorkshop(db, workshopId, `Workshop of ${name}`.slice(0, 80));
    await joinWorkshop(db, workshopId, personId, 'owner');
  }
  return withCookies(Response.json({}, { status: 201 }), made);
});
