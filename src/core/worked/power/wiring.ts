import type { BuildDocument } from '../../car/document/document';
import { controllersInAll, motorsInAll } from '../../car/document/motors';
import { CONTROLLER_WIRE, MOTOR_WIRE, type Wire } from '../../car/document/power';
import { inwardOf } from '../../physics/supply/supplyState';
import { nameOf, type Supply } from './supplyOfBuild';

/** Plugs by what they are; a build names the one at either end. */
export const PLUGS = [
  'soldered',
  'bullet, 4 mm',
  'bullet, 3.5 mm',
  'two pins, 60 A',
  'two pins, 30 A',
  'two pins, 5 A',
  'servo plug, three pins',
  'screw terminal',
] as const;

/** Copper that is sold, mm². */
const SOLD_MM2 = [0.14, 0.25, 0.5, 0.75, 1, 1.5, 2.5, 4, 6, 10] as const;
/**
 * What short silicone wire in moving air bears, A/mm²: for long, and for seconds. By judgement between fixed wiring (IEC
 * 60364-5-52, some 10 A/mm² in free air at these sizes) and what model wiring is used for.
 */
export const FOR_LONG_A_PER_MM2 = 12;
export const AT_PEAK_A_PER_MM2 = 30;

export interface WireRow {
  /** The consumer's id; of several controllers or motors one wire stands for each. */
  id: string;
  from: string;
  to: string;
  typicalA?: number;
  peakA?: number;
  wire: Wire;
  /** Least copper that bears the current, of what is sold. */
  wantedMm2?: number;
  polarity: Polarity;
  /** Both ends named and not the same. */
  misfit: boolean;
  thin: boolean;
}

/** Least copper that is sold for a current; the thickest where none is enough. */
export function copperFor(typicalA: number, peakA: number): number {
  const least = Math.max(typicalA / FOR_LONG_A_PER_MM2, peakA / AT_PEAK_A_PER_MM2);
  return SOLD_MM2.find((area) => area >= least) ?? SOLD_MM2.at(-1)!;
}

/** What the wires of a plug are for. */
export type Polarity = 'plusMinus' | 'servo' | 'brushes' | 'phases';

/** Every motor and every controller has a wire of its own. */
const times = (count: number, name: string) => (count > 1 ? `${count} × ${name}` : name);

/** Every wire to solder, with what it carries where the supply is worked out. */
export function wiringOf(
  document: BuildDocument,
  supply: Supply,
  peaks: { packA?: number; motorA?: number },
): WireRow[] {
  const { power, drive } = document;
  const { rails = [], loads = [], wires = [], battery, controller } = power;
  const row = (
    id: string,
    from: string,
    to: string,
    polarity: Polarity,
    currents: { typicalA?: number; peakA?: number },
  ): WireRow => {
    const wire = wires.find((one) => one.id === id) ?? { id };
    const { typicalA, peakA } = currents;
    const wantedMm2 = peakA === undefined ? undefined : copperFor(typicalA ?? 0, peakA);
    return {
      id,
      from,
      to,
      polarity,
      wire,
      ...currents,
      ...(wantedMm2 === undefined ? {} : { wantedMm2 }),
      misfit: wire.plug !== undefined && wire.socket !== undefined && wire.plug !== wire.socket,
      thin: wire.areaMm2 !== undefined && wantedMm2 !== undefined && wire.areaMm2 < wantedMm2,
    };
  };
  const controllers = controllersInAll(document);
  const inCurrents = (id: string) => (supply.ok ? railCurrents(supply, id) : {});
  const peak = (peakA?: number) => (peakA === undefined ? {} : { peakA });
  return [
    ...(battery && controller
      ? [
          row(
            CONTROLLER_WIRE,
            times(power.packs ?? 1, battery.name),
            times(controllers, controller.name),
            'plusMinus',
            peak(peaks.packA === undefined ? undefined : peaks.packA / controllers),
          ),
        ]
      : []),
    ...(controller && drive.motor
      ? [
          row(
            MOTOR_WIRE,
            times(controllers, controller.name),
            times(motorsInAll(drive), drive.motor.name),
            drive.motor.kind === 'brushed' ? 'brushes' : 'phases',
            peak(peaks.motorA),
          ),
        ]
      : []),
    ...rails.map(({ id, from, name }) => row(id, nameOf(power, from), name, 'plusMinus', inCurrents(id))),
    ...loads.map(({ id, rail, name, kind, typicalA, peakA }) =>
      row(id, nameOf(power, rail), name, kind === 'servo' || kind === 'receiver' ? 'servo' : 'plusMinus', {
        ...(typicalA === undefined ? {} : { typicalA }),
        ...(peakA === undefined ? {} : { peakA }),
      }),
    ),
  ];
}

/** What a rail takes in, in the state that asks more: power over volts for what switches. */
function railCurrents(
  supply: Extract<Supply, { ok: true }>,
  id: string,
): { typicalA?: number; peakA?: number } {
  const own = supply.result.rails.find((rail) => rail.id === id);
  const rail = supply.input.rails[supply.result.rails.findIndex((one) => one.id === id)];
  if (!own || !rail) return {};
  const inward = ({ inV, outV }: typeof own.full, amps: number) => inwardOf(rail, inV, outV, amps);
  return {
    typicalA: Math.max(inward(own.full, own.full.typicalA), inward(own.low, own.low.typicalA)),
    peakA: Math.max(inward(own.full, own.full.peakA), inward(own.low, own.low.peakA)),
  };
}
