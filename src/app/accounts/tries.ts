import type { Database } from '@/db/client';
import { DoorError } from '@/db/errors';
import { countWrite } from '@/db/queries/workshops';
import { hashOf } from '@/db/secrets';

const MINUTE_S = 60;
/** Of one client; of one name from wherever they come, so that many clients do not get more tries at it together. */
const [OF_CLIENT, OF_NAME] = [
  { most: 30, withinS: 15 * MINUTE_S },
  { most: 20, withinS: 15 * MINUTE_S },
];

/**
 * Counts one try to prove who one is.
 *
 * @param name what is tried at: an email, or the kind of code
 * @throws DoorError `tooMany` over the limit, right or wrong
 */
export async function countTry(db: Database, client: string, name: string): Promise<void> {
  const within = await Promise.all([
    countWrite(db, `try:client:${client}`, OF_CLIENT.most, OF_CLIENT.withinS),
    countWrite(db, `try:name:${hashOf(name)}`, OF_NAME.most, OF_NAME.withinS),
  ]);
  if (!within.every(Boolean))
    throw new DoorError('tooMany', 'That was tried too often.', {
      remedy: `wait ${OF_NAME.withinS / MINUTE_S} minutes`,
    });
}
