import { dynamicAt, USUAL_OVERLOAD } from '../gears/strength';
import { USUAL_REVERSAL } from '../bevels/bevelDifferential';
import { toothStrength } from '../transmissions/underLoad';
import {
  type Member,
  type PlanetarySet,
  type SetStrength,
  type SetStrengthResult,
  TOOTHED,
} from './definition';
import { sharesOf } from './willis';

/** What the busiest of so many planets carries over its share: starting values after AGMA 6123 for coarse quality. */
const SHARING = [1, 1.16, 1.23, 1.32, 1.35, 1.38, 1.47, 1.6] as const;

/** How much more than its part the planet carries that carries most, by their number. */
export const sharingOf = (planets: number): number => SHARING[Math.min(planets, SHARING.length) - 1]!;

/** Teeth of a rack: an inner tooth is thicker still. */
const RACK_TEETH = 300;

/**
 * Mesh forces, pins and the bending of every tooth of a set under the torque of its driving member.
 *
 * @returns forces in N, torques in Nm, stresses in MPa, speeds in m/s
 * @see Müller, Epicyclic Drive Trains; Shigley, Mechanical Engineering Design, ch. 14 (Lewis)
 */
export function setStrength(
  set: PlanetarySet,
  given: SetStrength,
  load: {
    driving: Member;
    torqueNm: number;
    outputTorqueNm: number;
    speedsRpm: Readonly<Record<Member, number>>;
  },
): SetStrengthResult {
  const { sunTeeth, ringTeeth, planets, teeth, modulesMm, stepped, pressureAngle, fixedRatio } = set;
  const { faceWidthMm, ringFaceWidthMm = faceWidthMm, temperatureC = 23 } = given;
  const { overloadFactor = USUAL_OVERLOAD, reversalFactor = USUAL_REVERSAL } = given;
  const sharingFactor = given.sharingFactor ?? sharingOf(planets);
  const shares = sharesOf(fixedRatio);
  const sunNm = load.torqueNm / Math.abs(shares[load.driving]);
  const torquesNm = { sun: sunNm, ring: sunNm * fixedRatio, carrier: sunNm * (1 + fixedRatio) };
  const meshN = (torqueNm: number, z: number, moduleMm: number) =>
    (sharingFactor * 2000 * torqueNm) / (planets * moduleMm * z);
  const sunMeshForceN = meshN(torquesNm.sun, sunTeeth, modulesMm[0]);
  const ringMeshForceN = meshN(torquesNm.ring, ringTeeth, modulesMm[1]);
  const { sun, ring, carrier } = load.speedsRpm;
  const alongMps = (rpm: number, z: number, moduleMm: number) =>
    (Math.abs(rpm - carrier) * Math.PI * moduleMm * z) / 60_000;
  const pitchLineMps = alongMps(sun, sunTeeth, modulesMm[0]);
  const ringPitchLineMps = alongMps(ring, ringTeeth, modulesMm[1]);
  const sunMpa = (sunMeshForceN * overloadFactor * dynamicAt(pitchLineMps)) / (faceWidthMm * modulesMm[0]);
  const ringMpa =
    (ringMeshForceN * overloadFactor * dynamicAt(ringPitchLineMps)) / (ringFaceWidthMm * modulesMm[1]);
  const [onSun, onRing] = [
    toothStrength(given.planet, teeth[0], sunMpa, temperatureC),
    toothStrength(given.planet, teeth[1], ringMpa, temperatureC),
  ];
  const planet = onRing.bendingStressMpa > onSun.bendingStressMpa ? onRing : onSun;
  const bent = stepped ? 1 : reversalFactor;
  const gears = {
    sun: toothStrength(given.sun, sunTeeth, sunMpa, temperatureC),
    planet: {
      ...planet,
      allowableMpa: planet.allowableMpa * bent,
      ...(planet.margin === undefined ? {} : { margin: planet.margin * bent }),
    },
    ring: toothStrength(given.ring, RACK_TEETH, ringMpa, temperatureC),
  };
  const weakest = TOOTHED.reduce((one, other) =>
    (gears[other].margin ?? Infinity) < (gears[one].margin ?? Infinity) ? other : one,
  );
  return {
    sharingFactor,
    torquesNm,
    outputTorqueNm: load.outputTorqueNm,
    sunMeshForceN,
    ringMeshForceN,
    pinForceN: Math.hypot(
      sunMeshForceN + ringMeshForceN,
      (sunMeshForceN - ringMeshForceN) * Math.tan(pressureAngle),
    ),
    pitchLineMps,
    ringPitchLineMps,
    ...gears,
    ...(gears[weakest].margin === undefined ? {} : { weakest }),
  };
}
