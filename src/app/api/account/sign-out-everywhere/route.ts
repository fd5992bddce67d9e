import { accounts } from '../../../accounts/accounts';
import { endSession } from '../../../accounts/sessions';
import { personDoor } from '../../door';

/** Ends the sessions of all devices, this one too. */
export const POST = personDoor(async ({ request, db }) => {
  await accounts(db).api.revokeSessions({ headers: request.headers });
  const answer = Response.json({}, { headers: { 'clear-site-data': '"cache"' } });
  for (const cookie of await endSession(db, request.headers)) answer.headers.append('set-cookie', cookie);
  return answer;
});
