import { endSession } from '../../../accounts/sessions';
import { openDoor } from '../../door';

/** Ends the session of this device, and has the browser forget what it read in it. */
export const POST = openDoor(async ({ request, db }) => {
  const ended = await endSession(db, request.headers);
  const answer = Response.json({}, { headers: { 'clear-site-data': '"cache"' } });
  for (const cookie of ended) answer.headers.append('set-cookie', cookie);
  return answer;
});
