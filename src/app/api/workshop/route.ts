import Joi from 'joi';
import { DoorError } from '@/db/errors';
import { membersOf } from '@/db/queries/members';
import { deleteWorkshop, renameWorkshop, workshopName } from '@/db/queries/workshops';
import { nameField } from '../../accounts/fields';
import { bodyOf } from '../body';
import { door, ownerDoor } from '../door';

/** The workshop with its members. */
export const GET = door(async ({ db, workshopId, role }) =>
  Response.json({
    id: workshopId,
    role,
    name: await workshopName(db, workshopId),
    members: await membersOf(db, workshopId),
  }),
);

const nameSchema = Joi.object<{ name: string }>({ name: nameField() }).required();

export const PATCH = ownerDoor(async ({ request, db, workshopId }) => {
  const { name } = await bodyOf(request, nameSchema);
  await renameWorkshop(db, workshopId, name);
  return Response.json({ name });
});

const deleteSchema = Joi.object<{ name: string; exported: string }>({
  name: Joi.string().max(200).required(),
  exported: Joi.string().max(200).required(),
}).required();

/** Deletes the workshop with all that is in it, for good: named, and as it was exported before. */
export const DELETE = ownerDoor(async ({ request, db, workshopId, person }) => {
  const { name, exported } = await bodyOf(request, deleteSchema);
  if (!person)
    throw new DoorError('inUse', 'The workshop of everybody on this machine stays.', {
      remedy: 'delete its builds, or start anew with npm run demo -- --fresh',
    });
  await deleteWorkshop(db, workshopId, name, exported);
  return Response.json({});
});
