import { type Measure, measure } from '../../base/measure';
import { refusal } from '../../base/errors';
import { derateAt, REFERENCE_C } from '../strength/softening';
import { type Finding, finding } from '../../base/finding';

declare module '../../base/finding' {
  interface FindingFacts {
    'note.joint.idle': Record<never, never>;
    'note.joint.flatAdds': Record<never, never>;
    'note.joint.hubSplits': Record<never, never>;
  }
}

declare module '../../base/errors' {
  interface RefusalFacts {
    'joint.flat': { f: Measure; d: Measure };
    'joint.hub': { outer: Measure; d: Measure };
  }
}

export const ADHESIVES = {
  hotGlue: { shearMpa: 1, softeningC: 60 },
  cyanoacrylate: { shearMpa: 7, softeningC: 80 },
  epoxy: { shearMpa: 12, softeningC: 90 },
  retainingCompound: { shearMpa: 15, softeningC: 150 },
} as const;
export type Adhesive = keyof typeof ADHESIVES;

interface Common {
  shaftMm: number;
  lengthMm: number;
  temperatureC?: number;
  demandNm?: number;
}

export type JointInput = Common &
  (
    | { kind: 'adhesive'; preset?: Adhesive; shearMpa?: number; softeningC?: number }
    | {
        kind: 'press';
        interferenceMm: number;
        hubOuterMm: number;
        hubModulusMpa: number;
        hubPoisson?: number;
        hubStrengthMpa: number;
        friction?: number;
        softeningC: number;
      }
    | { kind: 'hex'; acrossFlatsMm: number; bearingMpa: number; softeningC: number }
    | { kind: 'flat'; flatDepthMm: number; bearingMpa: number; softeningC: number }
    | { kind: 'grubScrew'; screwForceN: number; friction?: number }
    | { kind: 'pin'; pinMm: number; pinShearMpa: number }
  );

export interface JointResult {
  torqueNm: number;
  softensAtC?: number;
  /** What it bears over what it has to; a plain number. */
  margin?: number;
  pressureMpa?: number;
  hoopMpa?: number;
  splits?: boolean;
  notes: Finding[];
}

const N_MM_PER_NM = 1000;
const USUAL_POISSON = 0.35;
const USUAL_PRESS_FRICTION = 0.2;
const USUAL_SCREW_FRICTION = 0.15;

/**
 * Torque that a joint between shaft and gear or wheel carries at a temperature.
 *
 * @returns torque in Nm, pressures in MPa, the softening in °C
 * @throws CalcError at `hubOuterMm` of a press fit that is no larger than the shaft, at `flatDepthMm` past the shaft's middle
 * @see Shigley, Mechanical Engineering Design, ch. 3-16 (press fits, Lamé) and ch. 7 (pins, set screws); triangular pressure on flats by equilibrium
 */
export function jointCapacity(input: JointInput): JointResult {
  const result = byKind(input);
  if (input.demandNm !== undefined) {
    if (input.demandNm > 0) result.margin = result.torqueNm / input.demandNm;
    else result.notes.push(finding('note.joint.idle', {}));
  }
  return result;
}

function byKind(input: JointInput): JointResult {
  const { shaftMm: d, lengthMm: length, temperatureC = REFERENCE_C } = input;
  const onShaft = Math.PI * d * length * (d / 2);
  switch (input.kind) {
    case 'adhesive': {
      const { shearMpa, softeningC } = input.preset
        ? ADHESIVES[input.preset]
        : { shearMpa: input.shearMpa!, softeningC: input.softeningC! };
      return {
        torqueNm: (shearMpa * derateAt(temperatureC, softeningC) * onShaft) / N_MM_PER_NM,
        softensAtC: softeningC,
        notes: [],
      };
    }
    case 'press':
      return pressed(input, onShaft, derateAt(temperatureC, input.softeningC));
    case 'hex':
      return {
        torqueNm:
          (input.bearingMpa * derateAt(temperatureC, input.softeningC) * input.acrossFlatsMm ** 2 * length) /
          6 /
          N_MM_PER_NM,
        softensAtC: input.softeningC,
        notes: [],
      };
    case 'flat': {
      const { flatDepthMm: f } = input;
      if (f >= d / 2)
        throw refusal('flatDepthMm', 'joint.flat', {
          f: measure(f, 'fitMm', 4),
          d: measure(d, 'fitMm', 4),
        });
      const chord = 2 * Math.sqrt(f * (d - f));
      return {
        torqueNm:
          (input.bearingMpa * derateAt(temperatureC, input.softeningC) * length * chord ** 2) /
          12 /
          N_MM_PER_NM,
        softensAtC: input.softeningC,
        notes: [],
      };
    }
    case 'grubScrew':
      return {
        torqueNm: ((input.friction ?? USUAL_SCREW_FRICTION) * input.screwForceN * d) / N_MM_PER_NM,
        notes: [finding('note.joint.flatAdds', {})],
      };
    case 'pin':
      return {
        torqueNm: (input.pinShearMpa * Math.PI * (input.pinMm ** 2 / 4) * d) / N_MM_PER_NM,
        notes: [],
      };
  }
}

function pressed(
  {
    shaftMm: d,
    interferenceMm,
    hubOuterMm: outer,
    hubModulusMpa,
    hubPoisson = USUAL_POISSON,
    hubStrengthMpa,
    friction = USUAL_PRESS_FRICTION,
    softeningC,
  }: Extract<JointInput, { kind: 'press' }>,
  onShaft: number,
  derate: number,
): JointResult {
  if (outer <= d)
    throw refusal('hubOuterMm', 'joint.hub', {
      outer: measure(outer, 'fitMm', 4),
      d: measure(d, 'fitMm', 4),
    });
  const wall = (outer ** 2 + d ** 2) / (outer ** 2 - d ** 2);
  const pressureMpa = ((interferenceMm / d) * hubModulusMpa) / (wall + hubPoisson);
  const hoopMpa = pressureMpa * wall;
  const splits = hoopMpa > hubStrengthMpa;
  return {
    torqueNm: (friction * pressureMpa * derate * onShaft) / N_MM_PER_NM,
    softensAtC: softeningC,
    pressureMpa,
    hoopMpa,
    splits,
    notes: splits ? [finding('note.joint.hubSplits', {})] : [],
  };
}
