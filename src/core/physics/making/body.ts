import { bevelBody, type BevelBodyInput } from './bevelBody';
import type { Drawing } from './drawn/drawing';
import { drawnBody } from './drawn/drawnBody';
import { carrierBody, type CarrierBodyInput } from './carrierBody';
import { gearBody, type GearBodyInput } from './gearBody';
import type { Kernel, Shape3D } from './kit/kernel';
import { flangeBody, pulleyBody, type PulleyBodyInput } from './pulleyBody';
import { ringBody, type RingBodyInput } from './ringBody';

/** Everything of a drivetrain that can be made as a solid. */
export type Body =
  | ({ kind: 'gear' } & GearBodyInput)
  | ({ kind: 'ring' } & RingBodyInput)
  | ({ kind: 'bevel' } & BevelBodyInput)
  | ({ kind: 'pulley' | 'flange' } & PulleyBodyInput)
  | ({ kind: 'carrier' } & CarrierBodyInput);

/** A part that is drawn of prisms and bars. */
export type DrawnBody = { kind: 'drawn' } & Drawing;

/** Everything that can be made as a solid. */
export type AnyBody = Body | DrawnBody;

/**
 * A body as an exact solid, as it lies on the bed: on z = 0.
 *
 * @throws CalcError at the field of the body that does not fit
 */
export function madeBody(kit: Kernel, body: AnyBody): Shape3D {
  switch (body.kind) {
    case 'gear':
      return gearBody(kit, body);
    case 'ring':
      return ringBody(kit, body);
    case 'bevel':
      return bevelBody(kit, body);
    case 'pulley':
      return pulleyBody(kit, body);
    case 'flange':
      return flangeBody(kit, body);
    case 'carrier':
      return carrierBody(kit, body);
    case 'drawn':
      return drawnBody(kit, body);
  }
}
