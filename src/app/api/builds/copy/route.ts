import Joi from 'joi';
import { shareOfToken } from '@/db/queries/shares';
import { tokenField } from '../../../accounts/fields';
import { copyShared } from '../../../sharing/copyShared';
import { bodyOf } from '../../body';
import { door } from '../../door';

const schema = Joi.object<{ token: string }>({ token: tokenField() }).required();

/** Copies the build that a link shows into the workshop of whoever follows it. */
export const POST = door(async ({ request, db, workshopId }) => {
  const { token } = await bodyOf(request, schema);
  const id = await copyShared(db, await shareOfToken(db, token), workshopId);
  return Response.json({ id }, { status: 201 });
});
