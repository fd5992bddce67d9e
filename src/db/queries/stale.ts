import { DoorError } from '../errors';

/**
 * Lets through only who read a record as it is now.
 *
 * @throws DoorError `conflict` with the present record, for joining the two
 */
export function refuseStale(version: number, present: { version: number }): void {
  if (version !== present.version)
    throw new DoorError('conflict', 'It was changed elsewhere meanwhile.', {
      path: 'version',
      remedy: `join your change to version ${present.version}, and send that`,
      current: present,
    });
}
