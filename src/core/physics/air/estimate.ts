import { AIR_DENSITY } from '../../base/constants';
import { refusal } from '../../base/errors';
import { finding } from '../../base/finding';
import { measure, type Measure } from '../../base/measure';
import {
  type Areas,
  bodyAreas,
  finAreas,
  scoopAreas,
  splitterAreas,
  undertrayAreas,
  wingAreas,
} from './areas';
import type { AirElement, AirInput, AirResult, Band, Three } from './definition';

declare module '../../base/finding' {
  interface FindingFacts {
    'note.air.stalled': { id: string; lift: Measure };
    'note.air.reynolds': { id: string; reynolds: Measure };
    'note.air.noSide': Record<never, never>;
  }
}

declare module '../../base/errors' {
  interface RefusalFacts {
    'air.twice': { id: string };
    'air.flatCamber': Record<never, never>;
  }
}

const USUAL_SPEED_MPS = 15;
/** Under it thin plates beat thick sections. */
const SCATTERED_RE = 70_000;
const RESERVED = ['body', 'splitter', 'undertray', 'noseScoop'];

/**
 * Drag and downforce per axle of a car from its shapes, with how coarse that is, and its side force where the side is known.
 *
 * @returns areas in m² (force over dynamic pressure), forces in N at the reference speed
 * @throws CalcError at `wings.k.id` or `fins.k.id` for a name that is taken, at `wings.k.camberPct` of a flat plate
 * @see Hoerner, Fluid-Dynamic Drag and Fluid-Dynamic Lift; Katz, Race Car Aerodynamics, ch. 4 and 6
 */
export function airEstimate(input: AirInput): AirResult {
  const { wheelbaseMm, referenceSpeedMps = USUAL_SPEED_MPS, airDensityKgM3 = AIR_DENSITY } = input;
  const { body, wings = [], splitter, undertray, noseScoop, fins = [] } = input;
  refuseNames(input);
  const all: Areas[] = [
    bodyAreas(body, wheelbaseMm),
    ...wings.map((wing) => wingAreas(wing, referenceSpeedMps, airDensityKgM3)),
    ...(splitter ? [splitterAreas(splitter)] : []),
    ...(undertray ? [undertrayAreas(undertray)] : []),
    ...(noseScoop ? [scoopAreas(noseScoop)] : []),
    ...fins.map(finAreas),
  ];
  const drag = all.map(({ drag: three }): Term => [1, three]);
  // the drag's moment about the ground lifts the front and presses the rear
  const front = all.flatMap(({ down, drag: three, xMm, zMm }): Term[] => [
    [(xMm + wheelbaseMm) / wheelbaseMm, down],
    [-zMm / wheelbaseMm, three],
  ]);
  const rear = all.flatMap(({ down, drag: three, xMm, zMm }): Term[] => [
    [-xMm / wheelbaseMm, down],
    [zMm / wheelbaseMm, three],
  ]);
  const [cdaM2, claFrontM2, claRearM2] = [drag, front, rear].map(midOf) as [number, number, number];
  const side = body.sideAreaM2 === undefined ? undefined : sideOf(all);
  const pressure = (airDensityKgM3 * referenceSpeedMps ** 2) / 2;
  const claM2 = claFrontM2 + claRearM2;
  return {
    cdaM2,
    claFrontM2,
    claRearM2,
    ...(claM2 > 0 ? { aeroBalance: claFrontM2 / claM2 } : {}),
    ...side?.mid,
    bands: {
      cdaM2: bandOf(drag),
      claFrontM2: bandOf(front),
      claRearM2: bandOf(rear),
      ...side?.bands,
    },
    forcesN: { drag: pressure * cdaM2, front: pressure * claFrontM2, rear: pressure * claRearM2 },
    elements: all.map((one) => elementOf(one, wheelbaseMm)),
    findings: all.flatMap(({ id, wing }) => [
      ...(wing?.stalled
        ? [
            {
              severity: 'tight' as const,
              about: id,
              why: finding('note.air.stalled', {
                id,
                lift: measure(wing.liftCoefficient!, 'coefficient', 2),
              }),
            },
          ]
        : []),
      ...(wing && wing.reynolds! < SCATTERED_RE
        ? [
            {
              severity: 'note' as const,
              about: id,
              why: finding('note.air.reynolds', { id, reynolds: measure(wing.reynolds!, 'count', 2) }),
            },
          ]
        : []),
    ]),
    notes: side ? [] : [finding('note.air.noSide', {})],
  };
}

function refuseNames({ wings = [], fins = [] }: AirInput): void {
  const seen = new Set(RESERVED);
  const take = (id: string, path: string) => {
    if (seen.has(id)) throw refusal(path, 'air.twice', { id });
    seen.add(id);
  };
  wings.forEach(({ id, profile, camberPct }, k) => {
    take(id, `wings.${k}.id`);
    if (profile === 'flatPlate' && camberPct !== undefined)
      throw refusal(`wings.${k}.camberPct`, 'air.flatCamber');
  });
  fins.forEach(({ id }, k) => take(id, `fins.${k}.id`));
}

/** A factor and the figure that it counts. */
type Term = readonly [factor: number, three: Three];

const midOf = (terms: readonly Term[]): number => terms.reduce((sum, [by, three]) => sum + by * three[1], 0);

/** Each figure is as coarse by itself: what they add up to spreads by the root of the squares. */
function bandOf(terms: readonly Term[]): Band {
  const spread = (up: boolean) =>
    Math.sqrt(
      terms.reduce((sum, [by, [low, mid, high]]) => {
        const way = by > 0 === up ? high - mid : mid - low;
        return sum + (by * way) ** 2;
      }, 0),
    );
  const mid = midOf(terms);
  return [mid - spread(false), mid + spread(true)];
}

interface SideForce {
  mid: { sideForceSlopeM2: number; centreOfPressureXMm: number };
  bands: { sideForceSlopeM2: Band; centreOfPressureXMm: Band };
}

/** Side force and where it acts; each area, and the place of the body's, spreads by itself. */
function sideOf(all: readonly Areas[]): SideForce {
  const parts = all.flatMap(({ side, sideXMm }) => (side && sideXMm ? [{ side, sideXMm }] : []));
  const slope = parts.map(({ side }): Term => [1, side]);
  const centre = (areaOf: (k: number) => number, placeOf: (k: number) => number): number =>
    parts.reduce((sum, _, k) => sum + areaOf(k) * placeOf(k), 0) /
    parts.reduce((sum, _, k) => sum + areaOf(k), 0);
  const [area, place] = [(k: number) => parts[k]!.side[1], (k: number) => parts[k]!.sideXMm[1]];
  const mid = centre(area, place);
  const changes = parts.flatMap(({ side, sideXMm }, own) => [
    ([0, 2] as const).map((end) => centre((k) => (k === own ? side[end] : area(k)), place) - mid),
    ([0, 2] as const).map((end) => centre(area, (k) => (k === own ? sideXMm[end] : place(k))) - mid),
  ]);
  const spread = (sign: 1 | -1) =>
    Math.sqrt(changes.reduce((sum, ends) => sum + Math.max(0, ...ends.map((end) => sign * end)) ** 2, 0));
  return {
    mid: { sideForceSlopeM2: midOf(slope), centreOfPressureXMm: mid },
    bands: { sideForceSlopeM2: bandOf(slope), centreOfPressureXMm: [mid - spread(-1), mid + spread(1)] },
  };
}

function elementOf({ id, drag, down, xMm, zMm, side, wing }: Areas, wheelbaseMm: number): AirElement {
  return {
    id,
    cdaM2: drag[1],
    claM2: down[1],
    claFrontM2: (down[1] * (xMm + wheelbaseMm) - drag[1] * zMm) / wheelbaseMm,
    claRearM2: (drag[1] * zMm - down[1] * xMm) / wheelbaseMm,
    bands: { cdaM2: [drag[0], drag[2]], claM2: [down[0], down[2]] },
    ...(side ? { sideForceSlopeM2: side[1] } : {}),
    ...wing,
  };
}
