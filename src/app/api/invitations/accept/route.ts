import Joi from 'joi';
import { acceptInvitation } from '@/db/queries/invitations';
import { choosing } from '../../../accounts/choosing';
import { tokenField } from '../../../accounts/fields';
import { countTry } from '../../../accounts/tries';
import { bodyOf } from '../../body';
import { personDoor } from '../../door';

const schema = Joi.object<{ token: string }>({ token: tokenField() }).required();

/** Joins the workshop of an invitation, which is worked in from then on. */
export const POST = personDoor(async ({ request, db, client, person }) => {
  const { token } = await bodyOf(request, schema);
  await countTry(db, client, `invitation ${token}`);
  const id = await acceptInvitation(db, token, person.id);
  return choosing(Response.json({ id }), id);
});
