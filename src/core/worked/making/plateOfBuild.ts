import type { Assembled } from '../../base/assembled';
import type { HolePattern } from '../../car/document/print';
import { ENDS } from '../../car/document/suspension';
import type { Drawing, DrawnPart } from '../../physics/making/drawn/drawing';
import { type PlateInput, plateDrawing, plateSections } from '../../physics/making/recipes/plate';
import type { HolesResult } from '../../physics/printing/holes/definition';
import { holesSolve } from '../../physics/printing/holes/solve';
import { bodiesOf, type PlacedBody, REST } from '../chassis/bodiesOfBuild';
import { trainOfCar } from '../train/trainOfCar';
import type { Drawer } from './drawer';
import { bulkheadScrews, plateTopMm } from './plateTop';

/** What stands on the plate: placed components that spring with the car and are no part of the frame. */
export function standsOnPlate(drawer: Drawer): PlacedBody[] {
  const frame = new Set(
    drawer.document.parts.items
      .filter(({ kind }) => kind === 'chassis' || kind === 'body' || kind === 'bumper')
      .map(({ id }) => `part-${id}`),
  );
  return bodiesOf(drawer.document).filter(
    ({ id, placed, fixed, sprung }) =>
      placed && !fixed && sprung && id !== REST && id !== 'payload' && !frame.has(id),
  );
}

/** Between the plate and the tube of an arm's hinge, mm. */
const ROOM_MM = 3;
/** Pin and wall of an arm that is not drawn here, mm. */
const USUAL_TUBE_MM = 4.5;
const BEYOND_MM = 400;

/** Room beside the plate for the arms of both ends: along their hinges, and out from there. */
function notchesOf({ document }: Drawer): NonNullable<PlateInput['notches']> {
  const { wheelbaseMm = 0 } = document.chassis;
  return ENDS.flatMap((end) => {
    const corner = document.suspension[end]?.corner;
    if (!corner) return [];
    const axle = end === 'front' ? 0 : -wheelbaseMm;
    const { lowerFront, lowerRear } = corner;
    const inner = Math.min(lowerFront[1], lowerRear[1]) - USUAL_TUBE_MM - ROOM_MM;
    const past = USUAL_TUBE_MM + ROOM_MM;
    const [rear, front] = [axle + lowerRear[0] - past, axle + lowerFront[0] + past];
    return [1, -1].map((side) => ({
      min: [rear, side > 0 ? inner : -BEYOND_MM] as const,
      max: [front, side > 0 ? BEYOND_MM : -inner] as const,
    }));
  });
}

/** Slots for the gears that reach down to the plate. */
function gearSlots({ document }: Drawer): NonNullable<PlateInput['notches']> {
  const top = plateTopMm(document);
  if (top === undefined) return [];
  return trainOfCar(document).things.flatMap(({ gear, axis }) => {
    if (!gear) return [];
    const { centreMm, tipMm, widthMm } = gear;
    const over = centreMm[2] - top - ROOM_MM;
    if (over >= tipMm) return [];
    const wide = widthMm / 2 + ROOM_MM;
    const round = Math.sqrt(tipMm ** 2 - Math.max(0, over) ** 2) + ROOM_MM;
    const [x, y] = axis.along === 0 ? [wide, round] : [round, wide];
    return [
      { min: [centreMm[0] - x, centreMm[1] - y] as const, max: [centreMm[0] + x, centreMm[1] + y] as const },
    ];
  });
}

const known = new WeakMap<
  HolePattern['readings'],
  Pick<HolePattern, 'holes'> & Pick<HolesResult, 'centresMm'>
>();

/** Where the holes of a pattern lie, solved once for them and their readings. */
function centresOf({ holes, readings }: HolePattern): HolesResult['centresMm'] {
  const kept = known.get(readings);
  if (kept?.holes === holes) return kept.centresMm;
  const { centresMm } = holesSolve({ holes, readings: readings.map(({ id: _, ...reading }) => reading) });
  known.set(readings, { holes, centresMm });
  return centresMm;
}

/** The holes of a measured pattern where it lies in the car, as they have to be drawn. */
export function holesOfPattern(drawer: Drawer, pattern: HolePattern) {
  const { holes, readings, under } = pattern;
  if (readings.length === 0 || holes.length < 2) return [];
  const centresMm = centresOf(pattern);
  const { xMm = 0, yMm = 0, turnDeg = 0 } = under ?? {};
  const [c, s] = [Math.cos((turnDeg * Math.PI) / 180), Math.sin((turnDeg * Math.PI) / 180)];
  return centresMm.map((centre, k) => ({
    id: `${pattern.id}-${centre.id}`,
    at: [xMm + c * centre.xMm - s * centre.yMm, yMm + s * centre.xMm + c * centre.yMm] as const,
    diameterMm: drawer.hole(holes[k]!.diameterMm, 'snug'),
  }));
}

function inputOf(drawer: Drawer): Assembled<PlateInput> {
  const { document } = drawer;
  const stands = standsOnPlate(drawer);
  const screws = ENDS.flatMap((end) => bulkheadScrews(document, end));
  const patterns = (document.print.patterns ?? []).filter(({ under }) => under);
  if (stands.length === 0 && screws.length === 0) return { ok: false, missing: ['chassis.bodies'] };
  const screwMm = drawer.hole(drawer.of('holeMm'), 'loose');
  const flangeMm = drawer.of('flangeMm');
  const pocketMm = drawer.of('pocketMm');
  const holes = [
    ...screws.map(({ id, at: [x, y] }) => ({ id, at: [x, y] as const, diameterMm: screwMm })),
    ...patterns.flatMap((pattern) => holesOfPattern(drawer, pattern)),
  ];
  return {
    ok: true,
    value: {
      footprints: stands.map(({ id, xMm, yMm, sizeMm: [long, wide] }) => ({
        id,
        min: [xMm - long / 2, yMm - wide / 2],
        max: [xMm + long / 2, yMm + wide / 2],
      })),
      reach: holes.map(({ at }) => at),
      notches: [...notchesOf(drawer), ...gearSlots(drawer)],
      marginMm: drawer.of('marginMm'),
      thicknessMm: drawer.of('thicknessMm'),
      holes,
      ...(flangeMm > drawer.of('thicknessMm')
        ? { flange: { heightMm: flangeMm, thicknessMm: drawer.of('wallMm') } }
        : {}),
      ...(pocketMm > 0 ? { pockets: { sizeMm: pocketMm, wallMm: drawer.of('wallMm') } } : {}),
    },
  };
}

/** The chassis plate under everything that has a place. */
export function plateOfBuild(drawer: Drawer): Assembled<DrawnPart> {
  const input = inputOf(drawer);
  if (!input.ok) return input;
  const top = plateTopMm(drawer.document);
  return {
    ok: true,
    value: {
      ...plateDrawing(input.value),
      ...(top === undefined
        ? {}
        : { anchor: { drawing: [0, 0, input.value.thicknessMm], car: [0, 0, top] } }),
    },
  };
}

/** The same in sections, front first. */
export function sectionsOfPlate(drawer: Drawer): Assembled<Drawing[]> {
  const input = inputOf(drawer);
  return input.ok
    ? {
        ok: true,
        value: plateSections(input.value, drawer.of('sections'), drawer.hole(drawer.of('holeMm'), 'loose')),
      }
    : input;
}
