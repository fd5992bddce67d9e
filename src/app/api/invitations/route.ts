import Joi from 'joi';
import { ROLES, type Role } from '@/core/car/records/roles';
import { DoorError } from '@/db/errors';
import { invite, listInvitations } from '@/db/queries/invitations';
import { bodyOf } from '../body';
import { ownerDoor } from '../door';

export const GET = ownerDoor(async ({ db, workshopId }) =>
  Response.json({ invitations: await listInvitations(db, workshopId) }),
);

const schema = Joi.object<{ role: Role }>({ role: Joi.valid(...ROLES).required() }).required();

/** A new invitation; what stands in its link is told this once. */
export const POST = ownerDoor(async ({ request, db, workshopId, person }) => {
  const { role } = await bodyOf(request, schema);
  if (!person)
    throw new DoorError('notFound', 'Nobody can be invited where there are no accounts.', {
      remedy: 'npm run start has accounts',
    });
  return Response.json(await invite(db, workshopId, role, person.id), { status: 201 });
});
