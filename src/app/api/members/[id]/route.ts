import Joi from 'joi';
import { ROLES, type Role } from '@/core/car/records/roles';
import { DoorError } from '@/db/errors';
import { changeRole, removeMember } from '@/db/queries/members';
import { bodyOf } from '../../body';
import { ownerDoor, readingDoor } from '../../door';

const schema = Joi.object<{ role: Role }>({ role: Joi.valid(...ROLES).required() }).required();

export const PATCH = ownerDoor(async ({ request, db, workshopId, id }) => {
  const { role } = await bodyOf(request, schema);
  await changeRole(db, workshopId, id, role);
  return Response.json({ id, role });
});

/** Owners send others away, everybody may leave. */
export const DELETE = readingDoor(async ({ db, workshopId, role, person, id }) => {
  if (role !== 'owner' && person?.id !== id)
    throw new DoorError('mayNot', 'Only an owner of the workshop may send others away.', {
      remedy: 'ask an owner of the workshop',
    });
  await removeMember(db, workshopId, id);
  return Response.json({ id });
});
