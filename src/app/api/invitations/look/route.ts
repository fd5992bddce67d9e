import Joi from 'joi';
import { invited } from '@/db/queries/invitations';
import { tokenField } from '../../../accounts/fields';
import { countTry } from '../../../accounts/tries';
import { bodyOf } from '../../body';
import { openDoor } from '../../door';

const schema = Joi.object<{ token: string }>({ token: tokenField() }).required();

/** What the link of an invitation invites to; the token comes in the body, where no log and no referrer keeps it. */
export const POST = openDoor(async ({ request, db, client }) => {
  const { token } = await bodyOf(request, schema);
  await countTry(db, client, `invitation ${token}`);
  const { workshop, role, invitedBy } = await invited(db, token);
  return Response.json({ workshop, role, invitedBy });
});
