import { operations } from '@/core/operations';
import { DoorError } from '@/db/errors';
import { rawBody } from '../../body';
import { readingDoor } from '../../door';
import { inThread } from '../../threads';

export const POST = readingDoor(async ({ request, id: name }) => {
  if (!Object.hasOwn(operations, name))
    throw new DoorError('notFound', `There is no operation ${name}.`, {
      remedy: 'see the list at /api/operations',
    });
  const output = await inThread('operation', { name, input: await rawBody(request) });
  return new Response(output, { headers: { 'content-type': 'application/json' } });
});
