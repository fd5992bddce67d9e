import { gearMesh, involute } from '../gears/mesh';
import { centreOf, type PlanetarySet, type RingMesh } from './definition';

const [SAME, ROOT_DEPTH] = [1e-9, 2.5];

/** Radii of one gear, mm. */
interface Round {
  pitch: number;
  base: number;
  tip: number;
}

/**
 * The planet's mesh with the ring, and how many pairs both of its meshes have.
 *
 * @see ISO 21771 (internal pairs); Dudley, Handbook of Practical Gear Design
 */
export function ringMesh(set: PlanetarySet): RingMesh {
  const { ringTeeth, sunTeeth, teeth, modulesMm, pressureAngle, ringAddendum } = set;
  const [moduleMm, ringModuleMm] = modulesMm;
  const centre = centreOf(set);
  const cosine = Math.cos(pressureAngle);
  const round = (z: number, addendum: number): Round => {
    const pitch = (ringModuleMm * z) / 2;
    return { pitch, base: pitch * cosine, tip: pitch + ringModuleMm * addendum };
  };
  const planet = round(teeth[1], 1);
  const ring = round(ringTeeth, -ringAddendum);
  const line = centre * Math.sin(pressureAngle);
  const ringAddendumLimit = (ring.pitch - Math.hypot(ring.base, line)) / ringModuleMm;
  const ringReach = ring.tip < ring.base ? 0 : Math.sqrt(ring.tip ** 2 - ring.base ** 2);
  const planetReach = Math.sqrt(planet.tip ** 2 - planet.base ** 2);
  const sun = gearMesh({
    pinionTeeth: sunTeeth,
    wheelTeeth: teeth[0],
    moduleMm,
    pressureAngleDeg: (pressureAngle * 180) / Math.PI,
  });
  return {
    ringTipDiameterMm: 2 * ring.tip,
    ringRootDiameterMm: ringModuleMm * (ringTeeth + ROOT_DEPTH),
    ringAddendumLimit,
    involuteInterference: ringAddendum > ringAddendumLimit * (1 + SAME),
    tipInterference: tipsCollide(planet, ring, centre, teeth[1] / ringTeeth, pressureAngle),
    contactRatios: {
      sun: sun.contactRatio,
      ring: (planetReach - Math.max(line, ringReach) + line) / (Math.PI * ringModuleMm * cosine),
    },
  };
}

/** Whether the planet's tip runs into the ring's outside the line of action. */
function tipsCollide(planet: Round, ring: Round, centre: number, ratio: number, angle: number): boolean {
  const atPlanet = (ring.tip ** 2 - planet.tip ** 2 - centre ** 2) / (2 * centre * planet.tip);
  const atRing = (centre ** 2 + ring.tip ** 2 - planet.tip ** 2) / (2 * centre * ring.tip);
  if (Math.abs(atPlanet) > 1 || Math.abs(atRing) > 1) return false;
  const tipAngle = ({ base, tip }: Round) => Math.acos(Math.min(1, base / tip));
  const planetTurn = Math.acos(atPlanet) + involute(tipAngle(planet)) - involute(angle);
  return planetTurn * ratio + involute(angle) - involute(tipAngle(ring)) < Math.acos(atRing);
}
