import { refusal } from '../../base/errors';
import type { OperationFinding } from '../../base/operationFinding';
import { finding } from '../../base/finding';
import { type Measure, measure } from '../../base/measure';

declare module '../../base/finding' {
  interface FindingFacts {
    'note.rotation.opposed': { paths: readonly { axle: string; rolls: 'forward' | 'backward' }[] };
    'note.rotation.otherSide': Record<never, never>;
    'note.rotation.scrubs': { mismatch: Measure };
    'note.rotation.sameTeeth': Record<never, never>;
    'note.rotation.backward': Record<never, never>;
    'note.rotation.swapLeads': Record<never, never>;
  }
}

declare module '../../base/errors' {
  interface RefusalFacts {
    'rotation.sameAxis': { axis: string; other: string };
    'rotation.endsAlong': Record<never, never>;
  }
}

export type ShaftAxis = 'x' | 'y';
/** Sense about an axis by the right hand. */
export type Spin = 1 | -1;

export const PARALLEL_KINDS = ['external', 'internal', 'planetary', 'belt', 'chain', 'coupling'] as const;
export type ParallelKind = (typeof PARALLEL_KINDS)[number];

export type RotationElement =
  | { kind: ParallelKind; /** In-turns per out-turn. */ ratio?: number }
  | {
      kind: 'bevel';
      /** Axis of the driven shaft. */
      to: ShaftAxis;
      ratio?: number;
      /** Where the gear of the shaft along the car lies, seen from the shaft across it. */
      pinion: 'ahead' | 'behind';
      /** Where the gear of the shaft across the car lies, seen from the line of the other. */
      ring: 'left' | 'right';
    };

export interface RotationPath {
  axle: 'front' | 'rear';
  tyreRadiusMm?: number;
  elements: readonly RotationElement[];
}

export interface RotationInput {
  motorAxis: ShaftAxis;
  motorSpin: Spin;
  paths: readonly RotationPath[];
}

export interface RotationShaft {
  axis: ShaftAxis;
  spin: Spin;
  /** Motor turns per turn of this shaft. */
  ratio: number;
}

export interface RotationOfPath {
  axle: 'front' | 'rear';
  /** Turns of the motor for one turn of the wheel. */
  ratio: number;
  spin: Spin;
  rolls: 'forward' | 'backward';
  /** Every shaft behind the motor's, in order. */
  shafts: RotationShaft[];
}

export interface RotationResult {
  paths: RotationOfPath[];
  agree: boolean;
  ratioMismatchPct: number;
  findings: OperationFinding[];
}

/** Mismatch from which two axles scrub, and from which they fight, per cent. */
export const SCRUBS_PCT = 1;
export const FIGHTS_PCT = 3;

/**
 * Which way every wheel turns, and whether the axles agree. External gears reverse; internal and planetary gears (sun in,
 * carrier out, ring held), belts, chains and couplings keep the sense; bevels go by where their gears lie.
 *
 * @returns ratios as motor turns per wheel turn, spins about the axis by the right hand (+1 about y rolls forward), mismatch in per cent
 * @throws CalcError at an element whose bevel stays on its axis, or at `elements` of a path that ends along the car
 * @see Norton, Design of Machinery, ch. 9 (gear trains); the sense at a bevel from the velocity at the contact
 */
export function drivetrainRotation(input: RotationInput): RotationResult {
  return judgeRotation(
    input.paths,
    input.paths.map((path, index) => followPath(input, path, index)),
  );
}

/** What the paths, each followed from its own motor, are to one another. */
export function judgeRotation(given: readonly RotationPath[], paths: RotationOfPath[]): RotationResult {
  const agree = paths.every(({ spin }) => spin === paths[0]!.spin);
  const ratioMismatchPct = mismatchOf(given, paths);
  return { paths, agree, ratioMismatchPct, findings: findingsOf(paths, agree, ratioMismatchPct) };
}

/** Shaft after shaft from the motor to one axle. */
export function followPath(
  { motorAxis, motorSpin }: Pick<RotationInput, 'motorAxis' | 'motorSpin'>,
  path: RotationPath,
  index: number,
): RotationOfPath {
  let [axis, spin, ratio] = [motorAxis, motorSpin, 1];
  const shafts = path.elements.map((element, at): RotationShaft => {
    if (element.kind === 'bevel') {
      if (element.to === axis)
        throw refusal(`paths.${index}.elements.${at}.to`, 'rotation.sameAxis', {
          axis,
          other: axis === 'x' ? 'y' : 'x',
        });
      spin = turned(spin, bevelSign(element.pinion, element.ring));
      axis = element.to;
    } else if (element.kind === 'external') spin = turned(spin, -1);
    ratio *= element.ratio ?? 1;
    return { axis, spin, ratio };
  });
  if (axis === 'x') throw refusal(`paths.${index}.elements`, 'rotation.endsAlong');
  return { axle: path.axle, ratio, spin, rolls: spin === 1 ? 'forward' : 'backward', shafts };
}

const turned = (spin: Spin, by: Spin) => (spin * by) as Spin;

/**
 * −1 for (ahead, left) and (behind, right), +1 for (ahead, right) and (behind, left), in either direction: at the contact,
 * a·x̂ ahead and b·ŷ beside the meeting point of the shafts, both gears move at the same speed along z, b·ω_x = −a·ω_y.
 */
export function bevelSign(pinion: 'ahead' | 'behind', ring: 'left' | 'right'): Spin {
  return (pinion === 'ahead') === (ring === 'left') ? -1 : 1;
}

function mismatchOf(given: readonly RotationPath[], paths: readonly RotationOfPath[]): number {
  if (paths.length < 2) return 0;
  const sized = given.every(({ tyreRadiusMm }) => tyreRadiusMm !== undefined);
  const ratios = paths.map(({ ratio }, index) => (sized ? ratio / given[index]!.tyreRadiusMm! : ratio));
  return (Math.max(...ratios) / Math.min(...ratios) - 1) * 100;
}

function findingsOf(
  paths: readonly RotationOfPath[],
  agree: boolean,
  mismatchPct: number,
): OperationFinding[] {
  const opposed: OperationFinding[] = agree
    ? []
    : [
        {
          severity: 'over',
          about: 'axles',
          why: finding('note.rotation.opposed', { paths: paths.map(({ axle, rolls }) => ({ axle, rolls })) }),
          remedy: finding('note.rotation.otherSide', {}),
        },
      ];
  const scrub: OperationFinding[] =
    mismatchPct > SCRUBS_PCT
      ? [
          {
            severity: mismatchPct > FIGHTS_PCT ? 'over' : 'tight',
            about: 'ratio',
            why: finding('note.rotation.scrubs', { mismatch: measure(mismatchPct, 'percent') }),
            remedy: finding('note.rotation.sameTeeth', {}),
          },
        ]
      : [];
  const backward: OperationFinding[] =
    agree && paths[0]?.rolls === 'backward'
      ? [
          {
            severity: 'tight',
            about: 'direction',
            why: finding('note.rotation.backward', {}),
            remedy: finding('note.rotation.swapLeads', {}),
          },
        ]
      : [];
  return [...opposed, ...scrub, ...backward].sort((a, b) =>
    a.severity === b.severity ? 0 : a.severity === 'over' ? -1 : 1,
  );
}
