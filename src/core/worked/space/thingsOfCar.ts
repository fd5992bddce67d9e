import { add, scale, subtract, type Vec3 } from '../../base/vec3';
import type { BuildDocument } from '../../car/document/document';
import { type End, ENDS, type SuspensionEnd } from '../../car/document/suspension';
import { tyreAt, tyreKeys } from '../../car/tyres/tyres';
import { CAR, type ShapeClass } from '../../physics/clearance/definition';
import { factorAt } from '../../physics/motion/plant';
import type { Corner } from '../../physics/corner/corner';
import { grownOf, makeAt } from '../tyres/tyreMake';
import { bodiesOf, REST } from '../chassis/bodiesOfBuild';
import { cornerOf } from '../suspension/endOfBuild';
import { drawnForms } from './drawnForms';
import { shellOfCar } from './shellOfCar';
import { formsOfTrain } from './trainForms';
import { type TrainThing, trainOfCar } from '../train/trainOfCar';
import { wiresOfCar } from './wiresOfCar';
import type { ThingForm } from './thingForm';
import { shaftEnds, USUAL_SHAFT } from '../train/shaftEnds';
import { bodyName, onCar, type Side, SIDES } from './sides';

export const LINK_THINGS = [
  'lower',
  'upper',
  'upright',
  'tie',
  'damper',
  'damperRod',
  'shaft',
  'wheel',
] as const;
export type LinkThing = (typeof LINK_THINGS)[number];

/** Something of the car in space, where it stands as the car is drawn: x forward from the front axle, y left, z up. */
export interface Thing {
  id: string;
  /** Of a component, by its owner. */
  name?: string;
  /** Of a wire: the components that it joins, and what it is called in the wiring. */
  wire?: { id: string; from: string; to: string; fromName: string; toName: string };
  /** Of the body shell. */
  shell?: true;
  /** Of the drive train. */
  train?: TrainThing;
  /** Of what moves with a wheel. */
  of?: { thing: LinkThing; end: End; side: Side };
  /** The body that it moves with. */
  body: string;
  class: ShapeClass;
  forms: readonly ThingForm[];
  /** Of a tyre: the roller that it is drawn as. */
  roller?: { fromMm: Vec3; toMm: Vec3; radiusMm: number };
}

/** Across, mm, where nothing is said: by judgement of cars of 1:10. */
export const USUAL_ACROSS = { armMm: 8, linkMm: 6, damperMm: 13 } as const;
const [ROD_SHARE, TYRE_PIECES, RIM_SHARE, WIDTH_SHARE] = [0.3, 24, 0.6, 0.62];
/** The body that gears and shafts turn with: where it stands no wheel moves it. */
export const TRAIN = 'train';
/** The body shell's id. */
export const SHELL = 'shell';
/** What heats itself. */
const HOT: readonly string[] = ['motor', 'controller'];

/** Everything of the car that has a place: components that were placed, arms, links, dampers and tyres of drawn corners. */
export function thingsOf(document: BuildDocument): Thing[] {
  const { wheelbaseMm } = document.chassis;
  if (wheelbaseMm === undefined) return [];
  const drawn = ENDS.filter((end) => cornerOf(document, end).ok);
  const isDrawn = (id: string) => drawn.some((end) => isOfWheel(id, end));
  const components = bodiesOf(document)
    .filter(({ id, placed }) => placed && id !== REST && !isDrawn(id))
    .map(({ id, name, xMm, yMm, zMm, sizeMm }): Thing => ({
      id,
      name,
      body: CAR,
      class: HOT.includes(id) ? 'hot' : 'plain',
      forms: [{ kind: 'box', centreMm: [xMm, yMm, zMm], sizeMm }],
    }));
  const forms = drawnForms(document);
  const shell = shellOfCar(document);
  return [
    ...components,
    ...wiresOfCar(document).map(({ id, from, to, forms: runs }): Thing => ({
      id: `wire-${id}`,
      wire: { id, from: from.id, to: to.id, fromName: from.name, toName: to.name },
      body: CAR,
      class: 'wire',
      forms: runs,
    })),
    ...(shell.length > 0
      ? [{ id: SHELL, shell: true as const, body: CAR, class: 'plain' as const, forms: shell }]
      : []),
    ...trainOfCar(document).things.map((train): Thing => ({
      id: train.id,
      train,
      body: TRAIN,
      class: 'plain',
      forms: formsOfTrain(train),
    })),
    ...drawn.flatMap((end) => SIDES.flatMap((side) => cornerThings(document, end, side, wheelbaseMm))),
  ].map((thing) => (forms.has(thing.id) ? { ...thing, forms: forms.get(thing.id)! } : thing));
}

/** Whether a component is a wheel or a hub of an end. */
export const isOfWheel = (id: string, end: End): boolean =>
  ['wheel', 'hub'].some((of) => id.startsWith(`${of}-${end[0]}`));

function cornerThings(document: BuildDocument, end: End, side: Side, wheelbaseMm: number): Thing[] {
  const found = cornerOf(document, end);
  if (!found.ok) return [];
  const corner = found.value;
  const across = { ...USUAL_ACROSS, ...acrossOf(document.suspension[end]) };
  const at = (place: Vec3) => onCar(place, end, side, wheelbaseMm);
  const bar = (from: Vec3, to: Vec3, mm: number): ThingForm => ({
    kind: 'capsule',
    fromMm: at(from),
    toMm: at(to),
    radiusMm: mm / 2,
  });
  const thing = (name: LinkThing, body: string, forms: readonly ThingForm[]): Thing[] =>
    forms.length === 0
      ? []
      : [
          {
            id: bodyName(end, side, name),
            of: { thing: name, end, side },
            body: bodyName(end, side, body),
            class: 'plain',
            forms,
          },
        ];
  const { tieInner, tieOuter } = corner;
  const damper = corner.damper
    ? [corner.damper.inner, corner.damper.outer]
    : corner.rocker
      ? [corner.rocker.damperChassis, corner.rocker.damperRocker]
      : undefined;
  const middle = damper && scale(add(damper[0]!, damper[1]!), 0.5);
  return [
    ...thing(
      'lower',
      'lower',
      armBars(corner, 'lower', (from, to) => bar(from, to, across.armMm)),
    ),
    ...thing(
      'upper',
      'upper',
      armBars(corner, 'upper', (from, to) =>
        bar(from, to, corner.kind === 'wishbones' ? across.armMm : across.linkMm),
      ),
    ),
    ...thing(
      'upright',
      'upright',
      uprightBars(corner, (from, to) => bar(from, to, across.linkMm)),
    ),
    ...thing('tie', 'tie', tieInner && tieOuter ? [bar(tieInner, tieOuter, across.linkMm)] : []),
    ...thing('damper', 'damperInner', middle ? [bar(damper[0]!, middle, across.damperMm)] : []),
    ...thing(
      'damperRod',
      'damperOuter',
      middle ? [bar(middle, damper[1]!, ROD_SHARE * across.damperMm)] : [],
    ),
    ...thing('shaft', 'shaft', shaftBars(document, end, corner, bar)),
    ...thing('wheel', 'upright', tyreForms(document, end, corner, at)).map((wheel) => ({
      ...wheel,
      roller: rollerOf(document, end, corner, at),
    })),
  ];
}

const acrossOf = ({ armMm, linkMm, damperMm }: SuspensionEnd = {}): Partial<
  Record<keyof typeof USUAL_ACROSS, number>
> => ({
  ...(armMm === undefined ? {} : { armMm }),
  ...(linkMm === undefined ? {} : { linkMm }),
  ...(damperMm === undefined ? {} : { damperMm }),
});

function armBars(
  corner: Corner,
  arm: 'lower' | 'upper',
  bar: (from: Vec3, to: Vec3) => ThingForm,
): ThingForm[] {
  if (corner.kind === 'hingePins')
    return arm === 'upper'
      ? [bar(corner.upperInner, corner.upperOuter)]
      : [bar(corner.lowerFront, corner.outerFront), bar(corner.lowerRear, corner.outerRear)];
  const [front, rear, outer] =
    arm === 'lower'
      ? [corner.lowerFront, corner.lowerRear, corner.lowerOuter]
      : [corner.upperFront, corner.upperRear, corner.upperOuter];
  return [bar(front, outer), bar(rear, outer)];
}

function shaftBars(
  document: BuildDocument,
  end: End,
  corner: Corner,
  bar: (from: Vec3, to: Vec3, mm: number) => ThingForm,
): ThingForm[] {
  const [inner, outer] = shaftEnds(document, end, corner) ?? [];
  return inner && outer ? [bar(inner, outer, document.suspension[end]?.shaftMm ?? USUAL_SHAFT.acrossMm)] : [];
}

/** What holds the wheel: from its joints to the middle of the axle. */
function uprightBars(corner: Corner, bar: (from: Vec3, to: Vec3) => ThingForm): ThingForm[] {
  const joints =
    corner.kind === 'hingePins'
      ? [scale(add(corner.outerFront, corner.outerRear), 0.5), corner.upperOuter]
      : [corner.lowerOuter, corner.upperOuter];
  return joints.map((joint) => bar(joint, corner.wheelCentre));
}

const tyreWidthMm = ({ drive }: BuildDocument, end: End, tyreRadiusMm: number): number =>
  drive[tyreKeys(drive, end).hold]?.widthMm ?? WIDTH_SHARE * tyreRadiusMm;

/** Along its axle outboard, of a wheel as it is drawn. */
function outOf({ staticCamberDeg, staticToeDeg }: Corner): Vec3 {
  const [g, d] = [staticCamberDeg, staticToeDeg].map((deg) => (deg * Math.PI) / 180) as [number, number];
  return [Math.sin(d) * Math.cos(g), Math.cos(d) * Math.cos(g), -Math.sin(g)];
}

function rollerOf(
  document: BuildDocument,
  end: End,
  corner: Corner,
  at: (place: Vec3) => Vec3,
): NonNullable<Thing['roller']> {
  const { wheelCentre, tyreRadiusMm } = corner;
  const half = scale(outOf(corner), tyreWidthMm(document, end, tyreRadiusMm) / 2);
  return {
    fromMm: at(subtract(wheelCentre, half)),
    toMm: at(add(wheelCentre, half)),
    radiusMm: tyreRadiusMm,
  };
}

/** How much larger a tyre is at the wished speed, where its make is known. */
function growthOf({ drive, brief }: BuildDocument, end: End): number {
  const make = makeAt(drive, end);
  return make.ok && brief.targetMps !== undefined ? factorAt(grownOf(make.value), brief.targetMps) : 1;
}

/** A tyre at the wished speed as round pieces side by side round its rim, so that what stands inside the rim is free. */
function tyreForms(
  document: BuildDocument,
  end: End,
  corner: Corner,
  at: (place: Vec3) => Vec3,
): ThingForm[] {
  const { drive } = document;
  const { wheelCentre, staticCamberDeg, staticToeDeg } = corner;
  if (!tyreAt(drive, end)) return [];
  const tyreRadiusMm = corner.tyreRadiusMm * growthOf(document, end);
  const hold = drive[tyreKeys(drive, end).hold];
  const rimMm = Math.min(hold?.rimRadiusMm ?? RIM_SHARE * corner.tyreRadiusMm, 0.95 * corner.tyreRadiusMm);
  const radiusMm = (tyreRadiusMm - rimMm) / 2;
  const half = Math.max(0, tyreWidthMm(document, end, corner.tyreRadiusMm) / 2 - radiusMm);
  const [g, d] = [staticCamberDeg, staticToeDeg].map((deg) => (deg * Math.PI) / 180) as [number, number];
  const out = outOf(corner);
  const forward: Vec3 = [Math.cos(d), -Math.sin(d), 0];
  const up: Vec3 = [Math.sin(g) * Math.sin(d), Math.sin(g) * Math.cos(d), Math.cos(g)];
  return Array.from({ length: TYRE_PIECES }, (_, k): ThingForm => {
    const angle = (2 * Math.PI * k) / TYRE_PIECES;
    const middle = add(
      wheelCentre,
      add(
        scale(forward, (tyreRadiusMm - radiusMm) * Math.cos(angle)),
        scale(up, (tyreRadiusMm - radiusMm) * Math.sin(angle)),
      ),
    );
    return {
      kind: 'capsule',
      fromMm: at(add(middle, scale(out, half))),
      toMm: at(subtract(middle, scale(out, half))),
      radiusMm,
    };
  });
}
