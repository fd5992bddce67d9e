import Joi from 'joi';
import { DoorError } from '@/db/errors';
import { workshopsOf } from '@/db/queries/members';
import { choosing } from '../../../accounts/choosing';
import { bodyOf } from '../../body';
import { personDoor } from '../../door';

const schema = Joi.object<{ id: string }>({ id: Joi.string().max(200).required() }).required();

/** Goes over to another of one's workshops. */
export const PUT = personDoor(async ({ request, db, person }) => {
  const { id } = await bodyOf(request, schema);
  const found = (await workshopsOf(db, person.id)).find((one) => one.id === id);
  if (!found)
    throw new DoorError('notFound', 'You are not a member of that workshop.', {
      path: 'id',
      remedy: 'open the link of an invitation to it',
    });
  return choosing(Response.json({ id }), id);
});
