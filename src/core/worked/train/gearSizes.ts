import type { Stage } from '../../car/stages/stage';
import { meshOrRefusal } from '../drive/stageMesh';

/** What a gear takes up, mm. */
export interface GearSize {
  teeth: number;
  pitchMm: number;
  tipMm: number;
  rootMm: number;
  widthMm: number;
  /** Radius at its small end over that at the other, of a cone. */
  taperShare?: number;
}

export interface StageGears {
  pinion?: GearSize;
  wheel?: GearSize;
  /** Of two gears side by side. */
  centreDistanceMm?: number;
}

/** Face of a gear whose width is not known, in modules. */
const USUAL_FACE = 8;
const [ADDENDUM, DEDENDUM, RING_RIM] = [1, 1.25, 3];
/** Depth of the teeth of a belt's pulley and of a sprocket, in pitches; a belt's width, mm. */
const [PULLEY_TEETH, SPROCKET_TEETH, BELT_MM] = [0.25, 0.3, 6];

/** Radii and width of the gears of a stage; nothing where module or teeth are missing. */
export function gearsOfStage(stage: Stage): StageGears | undefined {
  const { kind, pinionTeeth, wheelTeeth, moduleMm, faceWidthMm, pitchMm } = stage;
  if (pinionTeeth === undefined || wheelTeeth === undefined) return undefined;
  if (kind === 'belt' || kind === 'chain') {
    if (pitchMm === undefined) return undefined;
    const tooth = (kind === 'belt' ? PULLEY_TEETH : SPROCKET_TEETH) * pitchMm;
    const pulley = (teeth: number): GearSize => {
      const radius = (pitchMm * teeth) / (2 * Math.PI);
      return {
        teeth,
        pitchMm: radius,
        tipMm: radius,
        rootMm: radius - tooth,
        widthMm: faceWidthMm ?? BELT_MM,
      };
    };
    return { pinion: pulley(pinionTeeth), wheel: pulley(wheelTeeth) };
  }
  if (moduleMm === undefined) return undefined;
  const widthMm = faceWidthMm ?? USUAL_FACE * moduleMm;
  const gear = (teeth: number, share = 1): GearSize => {
    const pitch = (moduleMm * teeth) / 2;
    return {
      teeth,
      pitchMm: pitch,
      tipMm: pitch + share * ADDENDUM * moduleMm,
      rootMm: pitch - share * DEDENDUM * moduleMm,
      widthMm,
    };
  };
  if (kind === 'spur') {
    const found = meshOrRefusal(stage);
    if ('refused' in found || !found.mesh) return undefined;
    const { pitchDiametersMm, tipDiametersMm, rootDiametersMm, centreDistanceMm } = found.mesh;
    const of = (k: 0 | 1, teeth: number): GearSize => ({
      teeth,
      pitchMm: pitchDiametersMm[k] / 2,
      tipMm: tipDiametersMm[k] / 2,
      rootMm: rootDiametersMm[k] / 2,
      widthMm,
    });
    return { pinion: of(0, pinionTeeth), wheel: of(1, wheelTeeth), centreDistanceMm };
  }
  if (kind === 'bevel') {
    // half of the cone's opening has the ratio of the teeth for its tangent
    const coneMm = (moduleMm / 2) * Math.hypot(pinionTeeth, wheelTeeth);
    const taperShare = Math.max(0.05, 1 - widthMm / coneMm);
    const cone = (teeth: number, other: number): GearSize => ({
      ...gear(teeth, other / Math.hypot(teeth, other)),
      // along its own line a face is as long as the cone is steep
      widthMm: (widthMm * other) / Math.hypot(teeth, other),
      taperShare,
    });
    return { pinion: cone(pinionTeeth, wheelTeeth), wheel: cone(wheelTeeth, pinionTeeth) };
  }
  if (kind === 'internal' || kind === 'planetary') {
    const ring = gear(wheelTeeth);
    const outsideMm = (stage.wheel?.outsideMm ?? 2 * (ring.pitchMm + RING_RIM * moduleMm)) / 2;
    const wheel = { ...ring, tipMm: outsideMm, rootMm: outsideMm };
    return kind === 'planetary'
      ? { wheel }
      : {
          pinion: gear(pinionTeeth),
          wheel,
          centreDistanceMm: (moduleMm * (wheelTeeth - pinionTeeth)) / 2,
        };
  }
  return undefined;
}
