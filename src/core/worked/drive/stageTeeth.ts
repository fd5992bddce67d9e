import type { Stage } from '../../car/stages/stage';
import type { ChosenMaterial } from '../../car/material/material';
import { gearBevel } from '../../physics/bevels/bevel';
import { dynamicAt, gearStrength } from '../../physics/gears/strength';
import { gearPlanetary } from '../../physics/planetary/planetary';
import { gearHelical } from '../../physics/transmissions/helical';
import { type GearUnderLoad, toothStrength, type ToothStrength } from '../../physics/transmissions/underLoad';

export const GEAR_ROLES = ['pinion', 'wheel', 'planet'] as const;
/** Of a planetary stage the sun is the pinion and the ring the wheel. */
export type GearRole = (typeof GEAR_ROLES)[number];

/** Bending of one tooth of a stage. */
export interface ToothBending extends ToothStrength {
  tangentialForceN: number;
  /** On this gear; of a planet that of its mesh with the sun. */
  torqueNm: number;
  pitchLineMps: number;
  dynamicFactor: number;
  /** What the stress is, over force · speed factor/(face · module · form factor). */
  further: number;
  /** Along its shaft. */
  thrustN?: number;
}

/** What a stage carries: torque and speed of its driving gear, and how warm both sides are. */
export interface StageUnder {
  pinionNm: number;
  pinionRpm: number;
  pinionC: number;
  wheelC: number;
}

/** Every load that a tooth is held against is a peak already. */
const PEAK_OVERLOAD = 1;
/** Teeth of a rack: an inner tooth is thicker still. */
const RACK_TEETH = 300;

export const planetTeethOf = ({ pinionTeeth = 0, wheelTeeth = 0 }: Stage): number =>
  (wheelTeeth - pinionTeeth) / 2;

type Bendings = Partial<Record<GearRole, ToothBending>>;

/**
 * Bending of every gear of a stage with teeth and figures.
 *
 * @returns stresses in MPa, forces in N
 * @throws CalcError as `gear.bevel`, `gear.helical` and `gear.planetary` do
 */
export function bendingOf(stage: Stage, under: StageUnder): Bendings {
  switch (stage.kind) {
    case 'bevel':
    case 'differential':
      return bevelTeeth(stage, under);
    case 'planetary':
      return planetaryTeeth(stage, under);
    case 'internal':
      return internalTeeth(stage, under);
    default:
      return (stage.helixDeg ?? 0) === 0 ? spurTeeth(stage, under) : helicalTeeth(stage, under);
  }
}

const bodyOf = (material: ChosenMaterial, fillFactor: number | undefined): GearUnderLoad => ({
  material,
  ...(fillFactor === undefined ? {} : { fillFactor }),
});
const pinionOf = ({ pinion }: Stage) => bodyOf(pinion!.material!, pinion!.fillFactor);
const wheelOf = ({ wheel }: Stage) => bodyOf(wheel!.material!, wheel!.fillFactor);

/** Each side of a stage runs at its own temperature: the strength of each is that of a pair all as warm. */
const atBoth = <T>(
  work: (temperatureC: number) => { pinion: T; wheel: T },
  { pinionC, wheelC }: StageUnder,
) => ({
  pinion: work(pinionC).pinion,
  wheel: work(wheelC).wheel,
});

/** What slanted and bevel pairs are given alike. */
const pairOf = (stage: Stage, { pinionNm, pinionRpm }: StageUnder) => ({
  pinionTeeth: stage.pinionTeeth!,
  wheelTeeth: stage.wheelTeeth!,
  moduleMm: stage.moduleMm!,
  faceWidthMm: stage.faceWidthMm!,
  torqueNm: pinionNm,
  speedRpm: pinionRpm,
  pinion: pinionOf(stage),
  wheel: wheelOf(stage),
  overloadFactor: PEAK_OVERLOAD,
});

/** The factor that is left of a stress when what every gear has is taken out of it. */
function furtherOf(
  { lewisY, bendingStressMpa }: ToothStrength,
  {
    forceN,
    dynamicFactor,
    faceMm,
    moduleMm,
  }: { forceN: number; dynamicFactor: number; faceMm: number; moduleMm: number },
): number {
  return forceN > 0 ? (bendingStressMpa * faceMm * moduleMm * lewisY) / (forceN * dynamicFactor) : 1;
}

function spurTeeth(stage: Stage, { pinionNm, pinionRpm, pinionC, wheelC }: StageUnder): Bendings {
  const ratio = stage.wheelTeeth! / stage.pinionTeeth!;
  const one = (isPinion: boolean): ToothBending => {
    const torqueNm = pinionNm * (isPinion ? 1 : ratio);
    const found = gearStrength({
      teeth: isPinion ? stage.pinionTeeth! : stage.wheelTeeth!,
      mateTeeth: isPinion ? stage.wheelTeeth! : stage.pinionTeeth!,
      moduleMm: stage.moduleMm!,
      faceWidthMm: stage.faceWidthMm!,
      torqueNm,
      overloadFactor: PEAK_OVERLOAD,
      speedRpm: pinionRpm / (isPinion ? 1 : ratio),
      temperatureC: isPinion ? pinionC : wheelC,
      ...(isPinion ? pinionOf(stage) : wheelOf(stage)),
    });
    return { ...found, torqueNm, further: 1 };
  };
  return { pinion: one(true), wheel: one(false) };
}

function helicalTeeth(stage: Stage, under: StageUnder): Bendings {
  const found = (temperatureC: number) =>
    gearHelical({
      ...pairOf(stage, under),
      ...(stage.doubleHelix ? { double: true, faceWidthMm: stage.faceWidthMm! / 2 } : {}),
      helixDeg: Math.abs(stage.helixDeg!),
      temperatureC,
    });
  const pair = found(under.pinionC);
  const { pinion, wheel } = atBoth(found, under);
  const whole = (gear: ToothStrength, torqueNm: number): ToothBending => ({
    ...strengthOf(gear),
    tangentialForceN: pair.tangentialForceN,
    torqueNm,
    pitchLineMps: pair.pitchLineMps,
    dynamicFactor: pair.dynamicFactor,
    further: pair.helixFactor,
    thrustN: pair.thrustN,
  });
  return {
    pinion: whole(pinion, under.pinionNm),
    wheel: whole(wheel, under.pinionNm * pair.ratio),
  };
}

function bevelTeeth(stage: Stage, under: StageUnder): Bendings {
  const { torqueNm, speedRpm, ...given } = pairOf(stage, under);
  const load =
    stage.kind === 'differential'
      ? // the wheels of an axle turn alike on a straight: its teeth rest on each other
        { differential: { pinions: stage.planets!, caseTorqueNm: under.pinionNm } }
      : { torqueNm, speedRpm };
  const found = (temperatureC: number) => gearBevel({ ...given, ...load, temperatureC });
  const pair = found(under.pinionC);
  const { pinion, wheel } = atBoth(found, under);
  const whole = (gear: ToothStrength & { torqueNm: number; axialForceN: number }): ToothBending => ({
    ...strengthOf(gear),
    tangentialForceN: pair.tangentialForceN,
    torqueNm: gear.torqueNm,
    pitchLineMps: pair.pitchLineMps,
    dynamicFactor: pair.dynamicFactor,
    further: furtherOf(gear, {
      forceN: pair.tangentialForceN,
      dynamicFactor: pair.dynamicFactor,
      faceMm: stage.faceWidthMm!,
      moduleMm: stage.moduleMm!,
    }),
    thrustN: gear.axialForceN,
  });
  return { pinion: whole(pinion), wheel: whole(wheel) };
}

function planetaryTeeth(stage: Stage, under: StageUnder): Bendings {
  const planet = bodyOf(stage.planet!.material!, stage.planet!.fillFactor);
  const set = (temperatureC: number) => {
    const found = gearPlanetary({
      sunTeeth: stage.pinionTeeth!,
      planetTeeth: planetTeethOf(stage),
      ringTeeth: stage.wheelTeeth!,
      planets: stage.planets!,
      moduleMm: stage.moduleMm!,
      held: 'ring',
      driving: 'sun',
      speedRpm: under.pinionRpm,
      strength: {
        torqueNm: under.pinionNm,
        faceWidthMm: stage.faceWidthMm!,
        sun: pinionOf(stage),
        planet,
        ring: wheelOf(stage),
        temperatureC,
        overloadFactor: PEAK_OVERLOAD,
      },
    });
    return found.strength!;
  };
  const [warm, cool] = [set(under.pinionC), set(under.wheelC)];
  const dynamicFactor = dynamicAt(warm.pitchLineMps);
  const whole = (gear: ToothStrength, torqueNm: number): ToothBending => ({
    ...strengthOf(gear),
    tangentialForceN: warm.sunMeshForceN,
    torqueNm,
    pitchLineMps: warm.pitchLineMps,
    dynamicFactor,
    further: 1,
  });
  return {
    pinion: whole(warm.sun, warm.torquesNm.sun),
    wheel: whole(cool.ring, warm.torquesNm.ring),
    planet: whole(cool.planet, (warm.sunMeshForceN * stage.moduleMm! * planetTeethOf(stage)) / 2000),
  };
}

/** The pinion as of a spur pair; the ring's tooth taken as a rack's, as in a planetary set. */
function internalTeeth(stage: Stage, under: StageUnder): Bendings {
  const { pinion } = spurTeeth(stage, under);
  const { tangentialForceN, dynamicFactor, pitchLineMps } = pinion!;
  const loadMpa = (tangentialForceN * dynamicFactor) / (stage.faceWidthMm! * stage.moduleMm!);
  return {
    pinion: pinion!,
    wheel: {
      ...toothStrength(wheelOf(stage), RACK_TEETH, loadMpa, under.wheelC),
      tangentialForceN,
      torqueNm: (under.pinionNm * stage.wheelTeeth!) / stage.pinionTeeth!,
      pitchLineMps,
      dynamicFactor,
      further: 1,
    },
  };
}

const strengthOf = ({ lewisY, bendingStressMpa, allowableMpa, margin }: ToothStrength): ToothStrength => ({
  lewisY,
  bendingStressMpa,
  allowableMpa,
  ...(margin === undefined ? {} : { margin }),
});
