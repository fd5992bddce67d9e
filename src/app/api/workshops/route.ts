import { randomUUID } from 'node:crypto';
import Joi from 'joi';
import { joinWorkshop } from '@/db/queries/members';
import { createWorkshop } from '@/db/queries/workshops';
import { choosing } from '../../accounts/choosing';
import { nameField } from '../../accounts/fields';
import { bodyOf } from '../body';
import { personDoor } from '../door';

const schema = Joi.object<{ name: string }>({ name: nameField() }).required();

/** A new workshop, which is worked in from then on. */
export const POST = personDoor(async ({ request, db, person }) => {
  const { name } = await bodyOf(request, schema);
  const id = randomUUID();
  await createWorkshop(db, id, name);
  await joinWorkshop(db, id, person.id, 'owner');
  return choosing(Response.json({ id }, { status: 201 }), id);
});
