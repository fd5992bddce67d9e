import { CalcError } from '../../base/errors';
import { axleRatio, type Drive, drivenOf, motorsApart, stagesTo } from '../../car/document/drive';
import { type Axle, type BevelSides, type Stage, stageRatio } from '../../car/stages/stage';
import { tyreAt } from '../../car/tyres/tyres';
import type { Patch } from '../../base/patch';
import {
  followPath,
  judgeRotation,
  type ParallelKind,
  type RotationElement,
  type RotationPath,
  type RotationResult,
  type ShaftAxis,
  type Spin,
} from '../../physics/gears/rotation';
import type { Assembled } from '../../base/assembled';
import { type Finding, finding } from '../../base/finding';

declare module '../../base/finding' {
  interface FindingFacts {
    'note.turn.motor': { axle: Axle; both: boolean };
    'note.turn.ring': { axle: Axle; ring: 'left' | 'right' };
    'note.turn.all': { several: boolean };
    'note.turn.teeth': { axle: Axle; stage: string; from: number; to: number };
  }
}

/** What turns an axle or the whole car about. */
export interface Turned {
  says: Finding;
  patch: Patch;
}

const KINDS: Readonly<Record<Exclude<Stage['kind'], 'bevel'>, ParallelKind>> = {
  spur: 'external',
  internal: 'internal',
  belt: 'belt',
  chain: 'chain',
  planetary: 'planetary',
  differential: 'coupling',
  direct: 'coupling',
};

/** A shaft from the middle of the car comes to the front axle from behind and to the rear axle from ahead; so laid they agree. */
const USUAL_SIDES: Readonly<Record<Axle, BevelSides>> = {
  front: { pinion: 'behind', ring: 'left' },
  rear: { pinion: 'ahead', ring: 'right' },
};

export interface RotationOfBuild extends RotationResult {
  readonly motorAxis: ShaftAxis;
  /** Stages behind the shafts of each path, in its order. */
  readonly stages: readonly (readonly Stage[])[];
}

export const sidesAt = (stage: Stage, axle: Axle): BevelSides => stage[axle] ?? USUAL_SIDES[axle];

/** Across the car with an even number of bevel pairs, along it with an odd one, where it is not given. */
export function motorAxisOf(drive: Drive): ShaftAxis {
  const bevels = stagesTo(drive, drivenOf(drive)[0]!).filter(({ kind }) => kind === 'bevel').length;
  return drive.motorAxis ?? (bevels % 2 === 1 ? 'x' : 'y');
}

/** The sense of turning from the motor to the driven axles, each motor with its own leads; or what is missing, or wrong. */
export function rotationOf(drive: Drive): Assembled<RotationOfBuild> {
  const axles = drivenOf(drive);
  const missing = [
    ...(drive.drivenAxles ? [] : ['drive.drivenAxles']),
    ...(axles.some((axle) => axleRatio(drive, axle) === undefined) ? ['drive.stages'] : []),
  ];
  if (missing.length > 0) return { ok: false, missing };
  const motorAxis = motorAxisOf(drive);
  const stages = axles.map((axle) => stagesTo(drive, axle));
  const paths = axles.map((axle, index): RotationPath => ({
    axle,
    elements: elementsOf(stages[index]!, axle, motorAxis),
    ...(drive.tyre ? { tyreRadiusMm: tyreAt(drive, axle)!.radiusMm } : {}),
  }));
  try {
    const followed = paths.map((path, index) =>
      followPath(
        { motorAxis, motorSpin: spinOf(drive, motorAxis, motorsApart(drive) ? path : paths.at(-1)!) },
        path,
        index,
      ),
    );
    return { ok: true, value: { ...judgeRotation(paths, followed), motorAxis, stages } };
  } catch (error) {
    if (!(error instanceof CalcError)) throw error;
    return {
      ok: false,
      missing: [motorAxis === 'x' ? 'drive.motorAxis:needsBevel' : 'drive.motorAxis:needsSecondBevel'],
    };
  }
}

/** A motor is taken to be wired so that its axle, of several the rear one, rolls forward, unless its leads are swapped. */
function spinOf(drive: Drive, motorAxis: ShaftAxis, path: RotationPath): Spin {
  const swapped = motorsApart(drive) && path.axle === 'front' ? drive.frontReversed : drive.reversed;
  const wired = followPath({ motorAxis, motorSpin: 1 }, path, 0).spin;
  return swapped ? (-wired as Spin) : wired;
}

function elementsOf(stages: readonly Stage[], axle: Axle, motorAxis: ShaftAxis): RotationElement[] {
  let axis = motorAxis;
  return stages.map((stage): RotationElement => {
    const ratio = stageRatio(stage)!;
    if (stage.kind !== 'bevel') return { kind: KINDS[stage.kind], ratio };
    axis = axis === 'x' ? 'y' : 'x';
    return { kind: 'bevel', to: axis, ratio, ...sidesAt(stage, axle) };
  });
}

/** Turns one axle about: the other side of its last bevel pair, or the other way round at its own motor; else nothing helps. */
export function turnedAbout(drive: Drive, axle: Axle): Turned | undefined {
  if (motorsApart(drive)) {
    const key = axle === 'front' ? 'frontReversed' : 'reversed';
    return {
      says: finding('note.turn.motor', { axle, both: drive.motorsAt === 'wheel' }),
      patch: [{ path: ['drive', key], value: drive[key] ? undefined : true }],
    };
  }
  const bevel = stagesTo(drive, axle).findLast(({ kind }) => kind === 'bevel');
  if (!bevel) return undefined;
  const sides = sidesAt(bevel, axle);
  const ring = sides.ring === 'left' ? 'right' : 'left';
  return {
    says: finding('note.turn.ring', { axle, ring }),
    patch: [{ path: ['drive', 'stages', bevel.id, axle], value: { ...sides, ring } }],
  };
}

/** Turns everything about: at the one motor, or at each. */
export function leadsSwapped(drive: Drive): Turned {
  const keys =
    motorsApart(drive) && drivenOf(drive).length > 1
      ? (['reversed', 'frontReversed'] as const)
      : motorsApart(drive) && drive.drivenAxles === 'front'
        ? (['frontReversed'] as const)
        : (['reversed'] as const);
  return {
    says: finding('note.turn.all', { several: keys.length > 1 }),
    patch: keys.map((key) => ({ path: ['drive', key], value: drive[key] ? undefined : true })),
  };
}

/** The teeth of one axle's own stage so that its ratio comes nearest to the other's. */
export function sameTeeth(drive: Drive): Turned[] {
  if (drivenOf(drive).length < 2) return [];
  return drivenOf(drive).flatMap((axle) => {
    const own = stagesTo(drive, axle).find(({ on, wheelTeeth }) => on === axle && wheelTeeth !== undefined);
    const other = axleRatio(drive, axle === 'front' ? 'rear' : 'front');
    const ratio = axleRatio(drive, axle);
    if (!own || !ratio || !other || own.kind === 'planetary') return [];
    const wheelTeeth = Math.round((own.wheelTeeth! * other) / ratio);
    if (wheelTeeth === own.wheelTeeth || wheelTeeth < 1) return [];
    return [
      {
        says: finding('note.turn.teeth', { axle, stage: own.kind, from: own.wheelTeeth!, to: wheelTeeth }),
        patch: [{ path: ['drive', 'stages', own.id, 'wheelTeeth'], value: wheelTeeth }],
      },
    ];
  });
}
