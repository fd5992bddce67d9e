import type { BuildDocument } from '../../car/document/document';
import type { PowerLoad } from '../../car/document/power';

/** The servo that is said to steer, else the first. */
export function steeringServo({ power }: Pick<BuildDocument, 'power'>): PowerLoad | undefined {
  const servos = (power.loads ?? []).filter(({ kind }) => kind === 'servo');
  return servos.find(({ steer }) => steer !== undefined) ?? servos[0];
}
