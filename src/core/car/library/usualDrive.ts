import { rpmOf } from '../../base/units/convert';
import { type Edit, type Patch, valueAt } from '../../base/patch';
import type { BuildDocument } from '../document/document';
import { itemsOf, tyreForBuild } from './items';
import type { LibraryItem } from './kinds';

interface UsualParts {
  motor: string;
  battery: string;
  controller: string;
  tyre: string;
}

/** What cars of a scale usually have, by judgement, from the starting library. */
const USUAL: Readonly<Record<number, UsualParts>> = {
  24: {
    motor: 'motor-130-brushed',
    battery: 'pack-1s-600',
    controller: 'controller-10',
    tyre: 'tyre-24-slick',
  },
  18: {
    motor: 'motor-2030-slow',
    battery: 'pack-2s-850',
    controller: 'controller-25',
    tyre: 'tyre-18-block',
  },
  14: { motor: 'motor-2845', battery: 'pack-2s-2200', controller: 'controller-45', tyre: 'tyre-14-block' },
  12: { motor: 'motor-2845', battery: 'pack-2s-2200', controller: 'controller-45', tyre: 'tyre-10-foam' },
  10: {
    motor: 'motor-540-sensored-13',
    battery: 'pack-2s-5000',
    controller: 'controller-60',
    tyre: 'tyre-10-hard',
  },
  8: { motor: 'motor-4074', battery: 'pack-4s-5000', controller: 'controller-150', tyre: 'tyre-8-block' },
  5: {
    motor: 'motor-4274-slow',
    battery: 'pack-6s-5000',
    controller: 'controller-150',
    tyre: 'tyre-5-block',
  },
};

/** Volts that a lithium polymer cell is sold by. */
const NOMINAL_CELL_V = 3.7;
/** Wished where nothing is wished yet, m/s. */
const USUAL_MPS = 30 / 3.6;
/** Share of the no-load speed at which a car usually tops out. */
const LOADED_SHARE = 0.8;
/** Over this one stage is not enough. */
const MOST_IN_A_STAGE = 5;
const PINION = 18;
const BEVEL = { id: 'bevel', kind: 'bevel', pinionTeeth: 13, wheelTeeth: 39, efficiency: 0.93 } as const;
const [LEAST_WHEEL, MOST_WHEEL] = [18, 120];

/** Usual stages for a speed: one spur pair, or with a bevel pair behind it. */
function stagesFor(ratio: number) {
  const spurOf = (share: number) => ({
    id: 'spur',
    kind: 'spur' as const,
    pinionTeeth: PINION,
    wheelTeeth: Math.max(LEAST_WHEEL, Math.min(MOST_WHEEL, Math.round(PINION * share))),
    efficiency: 0.95,
  });
  return ratio <= MOST_IN_A_STAGE
    ? [spurOf(ratio)]
    : [spurOf(ratio / (BEVEL.wheelTeeth / BEVEL.pinionTeeth)), BEVEL];
}

/**
 * Usual motor, pack, controller, tyre and reduction of a car of this scale, for each that is not chosen yet; geared so that the
 * wished speed is four fifths of what the motor does without load.
 *
 * @param scale the number behind 1:
 */
export function usualDrive(document: BuildDocument, library: readonly LibraryItem[], scale: number): Patch {
  const usual = USUAL[scale];
  if (!usual) return [];
  const found = <K extends 'motor' | 'battery' | 'controller' | 'tyre'>(kind: K) =>
    itemsOf(library, kind).find(({ id }) => id === usual[kind]);
  const [motor, battery, controller, tyre] = [
    found('motor'),
    found('battery'),
    found('controller'),
    found('tyre'),
  ];
  const copy = ({ id, data }: { id: string; data: object }) => ({ libraryId: id, ...data });
  const all: (Edit | undefined)[] = [
    motor && { path: ['drive', 'motor'], value: copy(motor) },
    battery && { path: ['power', 'battery'], value: copy(battery) },
    controller && { path: ['power', 'controller'], value: copy(controller) },
    tyre && { path: ['drive', 'tyre'], value: tyreForBuild(tyre, library) },
  ];
  const kv = document.drive.motor?.kvRpmPerV ?? motor?.data.kvRpmPerV;
  const cells = document.power.battery?.cells ?? battery?.data.cells;
  const radiusMm = document.drive.tyre?.radiusMm ?? tyre?.data.radiusMm;
  const wheelRpm = rpmOf(document.brief.targetMps ?? USUAL_MPS, (radiusMm ?? 0) / 1000);
  const stages =
    document.drive.stages.length === 0 && kv && cells && radiusMm
      ? [
          {
            path: ['drive', 'stages'],
            value: stagesFor((LOADED_SHARE * kv * cells * NOMINAL_CELL_V) / wheelRpm),
          },
        ]
      : [];
  return [
    ...all.filter((edit) => edit !== undefined).filter(({ path }) => valueAt(document, path) === undefined),
    ...stages,
  ];
}
