import type { ChosenSurface } from '../build/brief';
import type { BuildDocument } from '../build/document';
import { applyPatch, type Patch } from '../build/patch';
import { moved, type Standing, standingOf } from './checks';

export interface ChassisWhatIf {
  id: string;
  text: string;
  patch: Patch;
  standing: Standing;
}

const SHIFT_MM = 20;
const LOWER_MM = 10;
const WIDER_MM = 10;
const RAKE_DEG = 2;

/** What moving the pack, lowering the controller and the payload, or another track would do; each worked out on the surface. */
export function chassisWhatIfs(document: BuildDocument, surface: ChosenSurface): ChassisWhatIf[] {
  const present = standingOf({ document, surface });
  if ('missing' in present) return [];
  const body = (id: string) => present.weight.bodies.find((one) => one.id === id);
  const [pack, controller, payload] = [body('pack'), body('controller'), body('payload')];
  const { trackFrontMm, trackRearMm } = document.chassis;
  const tried: { id: string; text: string; patch: Patch }[] = [
    ...(pack ? [
      { id: 'pack-forward', text: `Pack ${SHIFT_MM} mm forward`, patch: moved(document, 'pack', { xMm: pack.xMm + SHIFT_MM, yMm: pack.yMm, zMm: pack.zMm }) },
      { id: 'pack-back', text: `Pack ${SHIFT_MM} mm back`, patch: moved(document, 'pack', { xMm: pack.xMm - SHIFT_MM, yMm: pack.yMm, zMm: pack.zMm }) },
    ] : []),
    ...(controller && controller.zMm > LOWER_MM ? [{ id: 'controller-lower', text: `Controller ${LOWER_MM} mm lower`, patch: moved(document, 'controller', { xMm: controller.xMm, yMm: controller.yMm, zMm: controller.zMm - LOWER_MM }) }] : []),
    ...(payload && payload.zMm > 2 * LOWER_MM ? [{ id: 'payload-lower', text: `Payload ${2 * LOWER_MM} mm lower`, patch: moved(document, 'payload', { xMm: payload.xMm, yMm: payload.yMm, zMm: payload.zMm - 2 * LOWER_MM }) }] : []),
    { id: 'rake', text: `${RAKE_DEG}° more rake, nose down`, patch: [{ path: ['chassis', 'rakeDeg'], value: (document.chassis.rakeDeg ?? 0) + RAKE_DEG }] },
    { id: 'wider', text: `Track ${2 * WIDER_MM} mm wider`, patch: [{ path: ['chassis', 'trackFrontMm'], value: trackFrontMm! + 2 * WIDER_MM }, { path: ['chassis', 'trackRearMm'], value: trackRearMm! + 2 * WIDER_MM }] },
  ];
  return tried.flatMap((one) => {
    const standing = standingOf({ document: applyPatch(document, one.patch), surface });
    return 'missing' in standing ? [] : [{ ...one, standing }];
  });
}
