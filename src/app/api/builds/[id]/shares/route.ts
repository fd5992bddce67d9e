import Joi from 'joi';
import { GOOD_FOR_DAYS, SHOWABLE, type Shows } from '@/core/car/sharing/shares';
import { listShares, share } from '@/db/queries/shares';
import { bodyOf } from '../../../body';
import { ownerDoor } from '../../../door';

export const GET = ownerDoor(async ({ db, workshopId, id }) =>
  Response.json({ shares: await listShares(db, workshopId, id) }),
);

const schema = Joi.object<{ shows: Shows; goodForDays?: number }>({
  shows: Joi.object(Object.fromEntries(SHOWABLE.map((one) => [one, Joi.boolean().required()]))).required(),
  goodForDays: Joi.valid(...GOOD_FOR_DAYS),
}).required();

/** A new link to a build; what stands in it is told this once. */
export const POST = ownerDoor(async ({ request, db, workshopId, id }) => {
  const { shows, goodForDays } = await bodyOf(request, schema);
  return Response.json(await share(db, workshopId, id, shows, goodForDays), { status: 201 });
});
