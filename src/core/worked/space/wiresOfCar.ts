import { add, scale, subtract, type Vec3 } from '../../base/vec3';
import type { BuildDocument } from '../../car/document/document';
import { CONTROLLER_WIRE, MOTOR_WIRE } from '../../car/document/power';
import { bodiesOf, type PlacedBody } from '../chassis/bodiesOfBuild';
import type { ThingForm } from './thingForm';

/** A wire from one component to another. */
export interface WireRun {
  /** Of the wire, as the wiring has it. */
  id: string;
  from: PlacedBody;
  to: PlacedBody;
  forms: ThingForm[];
}

/** Copper where none is chosen yet, mm²: of the pack's and the motor's wires, and of a servo's. */
const USUAL_MM2 = { power: 4, load: 0.25 } as const;
/** Strands fill so much of their round; silicone round it, mm. By judgement of flexible wire that is sold. */
const [STRANDS_FILL, SILICONE_MM] = [0.6, 0.7];

/** Across two leads side by side, mm. */
export const leadsAcrossMm = (copperMm2: number): number =>
  2 * (2 * Math.sqrt(copperMm2 / STRANDS_FILL / Math.PI) + 2 * SILICONE_MM);

/** Wires between components that have a place of their own: straight, or by the place that they are led by. */
export function wiresOfCar(document: BuildDocument): WireRun[] {
  const { power, chassis } = document;
  const placed = new Map(
    bodiesOf(document).flatMap((body) => (body.placed && !body.fixed ? [[body.id, body] as const] : [])),
  );
  const loads = power.loads ?? [];
  const receiver = loads.find(({ id, kind }) => kind === 'receiver' && placed.has(`load-${id}`));
  const hub = receiver ? `load-${receiver.id}` : placed.has('controller') ? 'controller' : 'pack';
  const ends: (readonly [id: string, from: string, to: string, copperMm2: number])[] = [
    [CONTROLLER_WIRE, 'pack', 'controller', USUAL_MM2.power],
    [MOTOR_WIRE, 'controller', 'motor', USUAL_MM2.power],
    ...loads.map(
      ({ id }) => [id, id === receiver?.id ? 'controller' : hub, `load-${id}`, USUAL_MM2.load] as const,
    ),
  ];
  return ends.flatMap(([id, from, to, usualMm2]): WireRun[] => {
    const [a, b] = [placed.get(from), placed.get(to)];
    if (!a || !b || a === b) return [];
    const copperMm2 = power.wires?.find((wire) => wire.id === id)?.areaMm2 ?? usualMm2;
    const { xMm, yMm, zMm } = chassis.ways?.find((way) => way.id === id) ?? {};
    const by: Vec3[] = xMm === undefined || yMm === undefined || zMm === undefined ? [] : [[xMm, yMm, zMm]];
    const way = [leaves(a, by[0] ?? centreOf(b)), ...by, leaves(b, by.at(-1) ?? centreOf(a))];
    return [
      {
        id,
        from: a,
        to: b,
        forms: way.slice(1).map((next, k) => ({
          kind: 'capsule',
          fromMm: way[k]!,
          toMm: next,
          radiusMm: leadsAcrossMm(copperMm2) / 2,
        })),
      },
    ];
  });
}

const centreOf = ({ xMm, yMm, zMm }: PlacedBody): Vec3 => [xMm, yMm, zMm];

/** Where a straight way from the middle of a box leaves it. */
function leaves(body: PlacedBody, towards: Vec3): Vec3 {
  const centre = centreOf(body);
  const way = subtract(towards, centre);
  const share = Math.min(
    1,
    ...way.map((one, k) => (one === 0 ? Infinity : body.sizeMm[k]! / 2 / Math.abs(one))),
  );
  return add(centre, scale(way, share));
}
