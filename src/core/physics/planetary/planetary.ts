import { refusal } from '../../base/errors';
import { finding } from '../../base/finding';
import { measure, type Measure } from '../../base/measure';
import { commonDivisor } from '../../base/numeric/divisor';
import type { OperationFinding } from '../../base/operationFinding';
import {
  centreOf,
  type PlanetaryInput,
  type PlanetaryResult,
  type PlanetarySet,
  type RingMesh,
  type SetDefinition,
  setOf,
  type SetResult,
  type SetStrength,
} from './definition';
import { ringMesh } from './ringMesh';
import { setStrength } from './setStrength';
import { memberSpeeds, setEfficiency, setRatio, thirdOf } from './willis';

declare module '../../base/errors' {
  interface RefusalFacts {
    'planetary.held': Record<never, never>;
    'planetary.ring': { fits: number };
    'planetary.ringModule': Record<never, never>;
    'planetary.firstStrength': Record<never, never>;
  }
}
declare module '../../base/finding' {
  interface FindingFacts {
    'planetary.notAssembled': { planets: number; teeth: number };
    'planetary.touch': { overlap: Measure };
    'planetary.involute': { addendum: Measure; limit: Measure };
    'planetary.tips': Record<never, never>;
  }
}

const [USUAL_SUN_MESH, USUAL_RING_MESH] = [0.95, 0.96];
const SAME_CENTRE = 1e-6;

/**
 * A planetary set, plain or with stepped planets, alone or with a second one behind it.
 *
 * @returns lengths in mm, angles in degrees, speeds in rpm, torques in Nm, forces in N, stresses in MPa
 * @throws CalcError at `held` where it drives, at `ringTeeth` for a ring that does not fit, at `ringModuleMm` without a
 * stepped planet, at `next.strength` without that of the first
 * @see Müller, Epicyclic Drive Trains; Dudley, Handbook of Practical Gear Design; VDI 2157; ISO 21771
 */
export function gearPlanetary(input: PlanetaryInput): PlanetaryResult {
  const { next, speedRpm = 0, strength } = input;
  const first = oneSet(input, '', speedRpm, strength, strength?.torqueNm);
  if (!next) return { ...first.result, findings: first.findings, notes: [] };
  if (next.strength && !strength) throw refusal('next.strength', 'planetary.firstStrength');
  const { driven, speedsRpm, ratio, efficiency, strength: found } = first.result;
  const second = oneSet(next, 'next.', speedsRpm[driven], next.strength, found?.outputTorqueNm);
  return {
    ...first.result,
    next: second.result,
    totalRatio: ratio * second.result.ratio,
    totalEfficiency: efficiency * second.result.efficiency,
    findings: [...first.findings, ...second.findings],
    notes: [],
  };
}

function oneSet(
  given: SetDefinition,
  at: string,
  speedRpm: number,
  strength: SetStrength | undefined,
  torqueNm = 0,
): { result: SetResult; findings: OperationFinding[] } {
  const { held, driving } = given;
  if (held === driving) throw refusal(`${at}held`, 'planetary.held');
  const { sunMeshEfficiency = USUAL_SUN_MESH, ringMeshEfficiency = USUAL_RING_MESH } = given;
  if (given.ringModuleMm !== undefined && given.ringPlanetTeeth === undefined)
    throw refusal(`${at}ringModuleMm`, 'planetary.ringModule');
  const set = setOf(given);
  refuseRing(set, at);
  const { fixedRatio, sunTeeth, teeth } = set;
  const ratio = setRatio(fixedRatio, held, driving);
  const speeds = memberSpeeds(fixedRatio, held, driving, speedRpm);
  const planetRelativeRpm = (-(speeds.sun - speeds.carrier) * sunTeeth) / teeth[0] + 0;
  const basicEfficiency = sunMeshEfficiency * ringMeshEfficiency;
  const efficiency = setEfficiency(fixedRatio, held, driving, basicEfficiency);
  const places = placesOf(set);
  const mesh = ringMesh(set);
  return {
    result: {
      driven: thirdOf(held, driving),
      ratio,
      speedsRpm: { ...speeds, planet: speeds.carrier + planetRelativeRpm },
      planetRelativeRpm,
      ...places.result,
      centreDistanceMm: centreOf(set),
      ...mesh,
      basicEfficiency,
      efficiency,
      ...(strength
        ? {
            strength: setStrength(set, strength, {
              driving,
              torqueNm,
              outputTorqueNm: torqueNm * Math.abs(ratio) * efficiency,
              speedsRpm: speeds,
            }),
          }
        : {}),
    },
    findings: [...places.findings(at), ...meshFindings(set, mesh, at)],
  };
}

function refuseRing({ modulesMm, sunTeeth, ringTeeth, teeth }: PlanetarySet, at: string): void {
  const outMm = modulesMm[0] * (sunTeeth + teeth[0]);
  if (Math.abs(outMm - modulesMm[1] * (ringTeeth - teeth[1])) > SAME_CENTRE)
    throw refusal(`${at}ringTeeth`, 'planetary.ring', {
      fits: Number((teeth[1] + outMm / modulesMm[1]).toPrecision(6)),
    });
}

/** Where the planets go in, and whether they clear each other. */
function placesOf(set: PlanetarySet) {
  const { sunTeeth, ringTeeth, planets, teeth, modulesMm } = set;
  const places = (sunTeeth * teeth[1] + ringTeeth * teeth[0]) / commonDivisor(teeth[0], teeth[1]);
  const assembles = places % planets === 0;
  const filled = Array.from({ length: planets }, (_, k) => Math.floor((k * places) / planets + 0.5));
  const steps = filled.map((place, k) => (filled[k + 1] ?? places) - place);
  const closest = (Math.min(...steps) / places) * 2 * Math.PI;
  const tipMm = Math.max(modulesMm[0] * (teeth[0] + 2), modulesMm[1] * (teeth[1] + 2));
  const gapMm = planets === 1 ? undefined : 2 * centreOf(set) * Math.sin(closest / 2) - tipMm;
  const planetsClear = gapMm === undefined || gapMm > 0;
  return {
    result: {
      assembles,
      planetAnglesDeg: filled.map((place) => (place * 360) / places),
      ...(gapMm === undefined ? {} : { planetGapMm: gapMm }),
      planetsClear,
    },
    findings: (at: string): OperationFinding[] => [
      ...(assembles
        ? []
        : [over(`${at}planets`, finding('planetary.notAssembled', { planets, teeth: places }))]),
      ...(planetsClear
        ? []
        : [over(`${at}planets`, finding('planetary.touch', { overlap: measure(-gapMm!, 'fitMm', 3) }))]),
    ],
  };
}

const over = (about: string, why: OperationFinding['why']): OperationFinding => ({
  severity: 'over',
  about,
  why,
});

const meshFindings = (
  { ringAddendum }: PlanetarySet,
  { involuteInterference, tipInterference, ringAddendumLimit }: RingMesh,
  at: string,
): OperationFinding[] => [
  ...(involuteInterference
    ? [
        over(
          `${at}ringAddendum`,
          finding('planetary.involute', {
            addendum: measure(ringAddendum, 'coefficient', 3),
            limit: measure(ringAddendumLimit, 'coefficient', 3),
          }),
        ),
      ]
    : []),
  ...(tipInterference ? [over(`${at}ringTeeth`, finding('planetary.tips', {}))] : []),
];
