import { takeBackInvitation } from '@/db/queries/invitations';
import { ownerDoor } from '../../door';

export const DELETE = ownerDoor(async ({ db, workshopId, id }) => {
  await takeBackInvitation(db, workshopId, id);
  return Response.json({ id });
});
