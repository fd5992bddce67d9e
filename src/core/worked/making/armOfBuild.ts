import type { Assembled } from '../../base/assembled';
import type { Vec3 } from '../../base/vec3';
import type { DrawnPart } from '../../physics/making/drawn/drawing';
import { armDrawing } from '../../physics/making/recipes/arm';
import type { Drawer } from './drawer';

/** The arm of an end between its hinge and its upright; the upper one of hinge pins is a link and not drawn. */
export function armOfBuild(drawer: Drawer): Assembled<DrawnPart> {
  const { document, end, made } = drawer;
  const corner = document.suspension[end]?.corner;
  if (!corner) return { ok: false, missing: [`suspension.${end}.corner`] };
  const arm = made.arm ?? 'lower';
  if (arm === 'upper' && corner.kind === 'hingePins')
    return { ok: false, missing: [drawer.at('made.arm:link')] };
  const wishbones = corner.kind === 'wishbones' ? corner : undefined;
  const [front, rear]: [Vec3, Vec3] =
    arm === 'upper' && wishbones
      ? [wishbones.upperFront, wishbones.upperRear]
      : [corner.lowerFront, corner.lowerRear];
  const outer = wishbones
    ? { ball: arm === 'upper' ? wishbones.upperOuter : wishbones.lowerOuter }
    : corner.kind === 'hingePins'
      ? { front: corner.outerFront, rear: corner.outerRear }
      : { ball: front };
  const { damper, rocker } = corner;
  // what the arm lifts: its damper, or the pushrod of a rocker
  const eye =
    damper?.on === arm ? damper.outer : rocker?.pushrodArmOn === arm ? rocker.pushrodArm : undefined;
  return {
    ok: true,
    value: armDrawing({
      front,
      rear,
      outer,
      ...(eye ? { damper: eye } : {}),
      pinHoleMm: drawer.hole(drawer.of('boreMm'), 'running'),
      outerHoleMm: drawer.hole(drawer.of('holeMm'), wishbones ? 'snug' : 'running'),
      damperHoleMm: drawer.pilot(drawer.of('holeMm')),
      thicknessMm: drawer.of('thicknessMm'),
      widthMm: drawer.of('widthMm'),
      wallMm: drawer.of('wallMm'),
      open: made.open ?? false,
    }),
  };
}
