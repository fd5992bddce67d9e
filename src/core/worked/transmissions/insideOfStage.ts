import type { Stage } from '../../car/stages/stage';
import { conesOf } from '../../physics/bevels/bevelGeometry';
import { insideOf } from '../../physics/bevels/bevelDifferential';

/** Whether the planets of a differential go in and clear each other. */
export interface Inside {
  assembles: boolean;
  clear: boolean;
  /** Between the tips of two neighbours; none for a single planet. */
  gapDeg?: number;
}

const FEWEST_VIRTUAL = 10;

/** What a differential still needs before its places are known. */
export function insideMissing(stage: Stage): string[] {
  const at = (key: string) => `drive.stages.${stage.id}.${key}`;
  const { pinionTeeth = 0, wheelTeeth = 0, moduleMm, faceWidthMm, planets } = stage;
  const few = (teeth: number, mate: number) => teeth * Math.hypot(1, teeth / mate) < FEWEST_VIRTUAL;
  const known = moduleMm !== undefined && faceWidthMm !== undefined;
  return [
    ...(moduleMm === undefined ? [at('moduleMm')] : []),
    ...(faceWidthMm === undefined ? [at('faceWidthMm')] : []),
    ...(planets === undefined ? [at('planets')] : []),
    ...(few(pinionTeeth, wheelTeeth) ? [at('pinionTeeth:tooFew')] : []),
    ...(few(wheelTeeth, pinionTeeth) ? [at('wheelTeeth:tooFew')] : []),
    ...(known && faceWidthMm >= (moduleMm * Math.hypot(pinionTeeth, wheelTeeth)) / 2
      ? [at('faceWidthMm:cone')]
      : []),
  ];
}

/** A differential whose figures are all there: two side gears, planets between them on one cross. */
export function insideOfStage(stage: Stage): Inside {
  const cones = conesOf({
    pinionTeeth: stage.pinionTeeth!,
    wheelTeeth: stage.wheelTeeth!,
    moduleMm: stage.moduleMm!,
    faceWidthMm: stage.faceWidthMm!,
    shaftAngleDeg: 90,
    pressureAngleDeg: 20,
    pinionShift: stage.pinion?.shift ?? 0,
  });
  const { result } = insideOf({ pinions: stage.planets!, caseTorqueNm: 0 }, cones, stage.wheelTeeth!, {
    tangentialN: 0,
    pinionAxialN: 0,
    tangent: 0,
  });
  return {
    assembles: result.assembles,
    clear: result.pinionsClear,
    ...(result.gapDeg === undefined ? {} : { gapDeg: result.gapDeg }),
  };
}
