import { CalcError } from '../../base/errors';
import type { Stage } from '../../car/stages/stage';
import { beltDrive } from '../../physics/transmissions/belt';
import type { BeltInput, BeltResult } from '../../physics/transmissions/beltDefinition';
import { gearHelical, type HelicalResult } from '../../physics/transmissions/helical';
import type { GearUnderLoad } from '../../physics/transmissions/underLoad';
import { bisect } from '../../base/numeric/root';
import { gearTemperatures } from '../drive/gearTemperature';
import type { ToothSetting } from '../drive/toothOfBuild';
import { peakOn } from './stagePeak';

export const WAYS = ['spur', 'helical', 'herringbone', 'belt'] as const;
export type Way = (typeof WAYS)[number];

/** One way to make the same reduction under the same torque. */
export interface WayFound {
  way: Way;
  /** Of the whole gear, or of the belt. */
  widthMm: number;
  margin: number;
  /** At which it would be clear; none where no width is enough. */
  widthForClearMm?: number;
  /** On the driving shaft, across it, running. */
  shaftLoadN: number;
  thrustN: number;
  /** Of the power that goes through. */
  lostShare: number;
  /** Pairs in touch, with the overlap along the face; none of a belt. */
  contactRatio?: number;
  centreMm: number;
  beltTeeth?: number;
}

const PEAK_OVERLOAD = 1;
/** Helix of a single and of a double gear: much more pushes a single one too far, a double one takes it out. */
const HELIX_DEG: Readonly<Record<'spur' | 'helical' | 'herringbone', number>> = {
  spur: 0,
  helical: 20,
  herringbone: 30,
};
/** What a belt stage of the library loses. */
const BELT_LOSS = 0.04;
const CLEAR_MARGIN = 1.5;
const WIDEST_MODULES = 40;
const [FEWEST_PULLEY, BELT_CLEAR] = [10, 1.3];
/** Pitch of a belt beside teeth of a module. */
const pitchFor = (moduleMm: number) => (moduleMm < 0.7 ? 2 : moduleMm < 1.6 ? 3 : 5);
const RAD = Math.PI / 180;

/**
 * The same reduction by straight, slanted and double slanted teeth and by a belt, under the stage's peak torque.
 *
 * The teeth keep their number and module; a belt has pulleys as large as the gears, or 10 teeth, on centres that its whole
 * teeth allow. Slanted teeth slide as much more as their contact is longer: the loss grows with 1/cos β.
 */
export function sideBySide(setting: ToothSetting, stage: Stage): WayFound[] {
  const load = peakOn(setting, stage);
  const [pinionC, wheelC] = gearTemperatures(setting.document.drive, stage, setting.pack.unlimited.peakCaseC);
  const under = { torqueNm: load.pinionNm, speedRpm: load.pinionRpm, pinionC, wheelC };
  return WAYS.flatMap((way): WayFound[] => {
    try {
      return [way === 'belt' ? byBelt(stage, under) : byTeeth(stage, way, under)];
    } catch (error) {
      if (error instanceof CalcError) return [];
      throw error;
    }
  });
}

interface Under {
  torqueNm: number;
  speedRpm: number;
  pinionC: number;
  wheelC: number;
}

function byTeeth(stage: Stage, way: Exclude<Way, 'belt'>, under: Under): WayFound {
  const double = way === 'herringbone';
  const helixDeg = HELIX_DEG[way];
  const at = (widthMm: number, temperatureC: number): HelicalResult =>
    gearHelical({
      pinionTeeth: stage.pinionTeeth!,
      wheelTeeth: stage.wheelTeeth!,
      moduleMm: stage.moduleMm!,
      helixDeg,
      faceWidthMm: double ? widthMm / 2 : widthMm,
      double,
      torqueNm: under.torqueNm,
      speedRpm: under.speedRpm,
      pinion: bodyOf(stage, 'pinion'),
      wheel: bodyOf(stage, 'wheel'),
      temperatureC,
      overloadFactor: PEAK_OVERLOAD,
    });
  const marginAt = (widthMm: number) =>
    Math.min(
      at(widthMm, under.pinionC).pinion.margin ?? Infinity,
      at(widthMm, under.wheelC).wheel.margin ?? Infinity,
    );
  const found = at(stage.faceWidthMm!, under.pinionC);
  return {
    way,
    widthMm: stage.faceWidthMm!,
    margin: marginAt(stage.faceWidthMm!),
    ...clearWidth(marginAt, CLEAR_MARGIN, WIDEST_MODULES * stage.moduleMm!),
    shaftLoadN: Math.hypot(found.tangentialForceN, found.radialForceN),
    thrustN: found.thrustN,
    lostShare: (1 - stage.efficiency) / Math.cos(helixDeg * RAD),
    contactRatio: found.totalContactRatio,
    centreMm: found.centreDistanceMm,
  };
}

const bodyOf = (stage: Stage, role: 'pinion' | 'wheel'): GearUnderLoad => ({
  material: stage[role]!.material!,
  ...(stage[role]!.fillFactor === undefined ? {} : { fillFactor: stage[role]!.fillFactor }),
});

function byBelt(stage: Stage, under: Under): WayFound {
  const { pinionTeeth = 0, wheelTeeth = 0, moduleMm = 0 } = stage;
  const pitchMm = pitchFor(moduleMm);
  const [few, many] = [Math.min(pinionTeeth, wheelTeeth), Math.max(pinionTeeth, wheelTeeth)];
  const smallTeeth = Math.max(FEWEST_PULLEY, Math.round((Math.PI * moduleMm * few) / pitchMm));
  const largeTeeth = Math.round((smallTeeth * many) / few);
  const radii = (pitchMm * (smallTeeth + largeTeeth)) / (2 * Math.PI);
  const at = (widthMm: number): BeltResult =>
    beltDrive({
      pitchMm,
      smallTeeth,
      largeTeeth,
      // gears touch, pulleys must not
      centreDistanceMm: Math.max(1.2 * radii, (moduleMm * (pinionTeeth + wheelTeeth)) / 2),
      widthMm,
      load: {
        torqueNm: under.torqueNm,
        driver: pinionTeeth <= wheelTeeth ? 'small' : 'large',
        speedRpm: under.speedRpm,
        overloadFactor: PEAK_OVERLOAD,
      },
    } satisfies BeltInput);
  const found = at(stage.faceWidthMm!);
  const marginAt = (widthMm: number) => at(widthMm).toothMargin ?? Infinity;
  return {
    way: 'belt',
    widthMm: stage.faceWidthMm!,
    margin: found.toothMargin ?? Infinity,
    ...clearWidth(marginAt, BELT_CLEAR, WIDEST_MODULES * moduleMm),
    shaftLoadN: found.shaftLoadRunningN ?? 0,
    thrustN: 0,
    lostShare: BELT_LOSS,
    centreMm: found.centreDistanceMm,
    beltTeeth: found.beltTeeth,
  };
}

function clearWidth(
  marginAt: (widthMm: number) => number,
  clear: number,
  most: number,
): Pick<WayFound, 'widthForClearMm'> {
  if (marginAt(most) < clear) return {};
  return { widthForClearMm: bisect((mm) => (marginAt(mm) < clear ? 1 : -1), 1e-3, most) };
}
