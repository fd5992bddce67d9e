import { takeBackShare } from '@/db/queries/shares';
import { ownerDoor } from '../../door';

export const DELETE = ownerDoor(async ({ db, workshopId, id }) => {
  await takeBackShare(db, workshopId, id);
  return Response.json({ id });
});
