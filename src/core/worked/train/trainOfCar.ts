import { add, subtract, type Vec3 } from '../../base/vec3';
import type { BuildDocument } from '../../car/document/document';
import { drivenOf, motorsApart, motorsInWheels, stagesTo } from '../../car/document/drive';
import type { End } from '../../car/document/suspension';
import { type Stage, stageRatio } from '../../car/stages/stage';
import { tyreAt } from '../../car/tyres/tyres';
import { bodiesOf } from '../chassis/bodiesOfBuild';
import { cornerOf } from '../suspension/endOfBuild';
import { gearsOfStage, type GearSize } from './gearSizes';
import { apartMm, bevelPlaces, lineOf, onLine, phaseOf, type TrainAxis } from './lines';
import { innerJointOf } from './shaftEnds';

/** A gear about its line; `taper` says which way its small end looks along it, 0 of a straight one. */
export type PlacedGear = GearSize & {
  centreMm: Vec3;
  taper: -1 | 0 | 1;
  /** By how much a pinion is turned so that its gap takes a tooth of its wheel, which has one straight up its first axis. */
  phaseRad?: number;
};

/** A gear, pulley or shaft of the drive train where it stands. */
export interface TrainThing {
  id: string;
  role: 'pinion' | 'wheel' | 'shaft';
  /** Of a gear its stage; of a shaft the stage that turns it, none of the motor's own. */
  stage?: string;
  /** Which of the stages that is, from 1. */
  number?: number;
  end?: End;
  /** On the motor's own line. */
  motor?: true;
  axis: TrainAxis;
  gear?: PlacedGear;
  shaft?: { fromMm: Vec3; toMm: Vec3; radiusMm: number };
}

/** Two shafts whose distance is that of a mesh. */
export interface TrainMesh {
  stage: Stage;
  driving: TrainAxis;
  driven: TrainAxis;
  centreDistanceMm: number;
}

export interface TrainOfCar {
  things: TrainThing[];
  meshes: TrainMesh[];
}

const NOTHING: TrainOfCar = { things: [], meshes: [] };
const [USUAL_SHAFT_MM, LEAST_LONG_MM] = [5, 1];

/**
 * Gears and shafts from the motor to the driven axles, as far as their places follow from the motor's, from those of the driven
 * gears and from the axles: a bevel pair turns the line by a right angle, all others keep it.
 */
export function trainOfCar(document: BuildDocument): TrainOfCar {
  const { drive } = document;
  if (motorsInWheels(drive) || motorsApart(drive)) return NOTHING;
  const motor = bodiesOf(document).find(({ id, placed }) => id === 'motor' && placed);
  const found: TrainOfCar = { things: [], meshes: [] };
  const seen = new Set<string>();
  for (const end of drivenOf(drive)) {
    const chain = chainTo(document, end, motor);
    for (const thing of chain.things)
      if (!seen.has(thing.id)) {
        seen.add(thing.id);
        found.things.push(thing);
      }
    for (const mesh of chain.meshes)
      if (!found.meshes.some(({ stage }) => stage.id === mesh.stage.id)) found.meshes.push(mesh);
  }
  return { ...found, things: [...found.things, ...shaftsOf(document, found.things, motor)] };
}

type Motor = ReturnType<typeof bodiesOf>[number] | undefined;

/** Stages whose driven side turns on the line of the driving one. */
const isCoaxial = ({ kind }: Stage): boolean =>
  kind === 'planetary' || kind === 'direct' || kind === 'differential';

/** Gears of the stages of one axle. */
function chainTo(document: BuildDocument, end: End, motor: Motor): TrainOfCar {
  const stages = stagesTo(document.drive, end);
  const lines = linesOf(document, stages, end, motor);
  const onAxle = stages.findLastIndex((stage) => !isCoaxial(stage));
  const shared = drivenOf(document.drive).length > 1;
  const numberOf = ({ id }: Stage) => document.drive.stages.findIndex((one) => one.id === id) + 1;
  const things: TrainThing[] = [];
  const meshes: TrainMesh[] = [];
  stages.forEach((stage, k) => {
    const [driving, driven] = [lines[k], lines[k + 1]];
    const gears = gearsOfStage(stage);
    if (!gears || !driven) return;
    // what turns an axle stands at each of them
    const own = shared && k >= onAxle ? { end } : {};
    const put = (
      role: 'pinion' | 'wheel',
      axis: TrainAxis,
      centreMm: Vec3,
      { taper = 0, phaseRad }: Pick<PlacedGear, 'phaseRad'> & { taper?: -1 | 0 | 1 } = {},
    ) => {
      const size = gears[role];
      const id = ['train', stage.id, role, ...(own.end ? [end] : [])].join('.');
      if (size)
        things.push({
          id,
          role,
          stage: stage.id,
          number: numberOf(stage),
          ...own,
          ...(axis === lines[0] ? { motor: true } : {}),
          axis,
          gear: { ...size, centreMm, taper, ...(phaseRad === undefined ? {} : { phaseRad }) },
        });
    };
    if (stage.kind === 'bevel') {
      if (!driving || !gears.pinion || !gears.wheel) return;
      const pair = bevelPlaces(stage, end, gears.pinion, gears.wheel, driving, driven);
      put('pinion', driving, ...pair.pinion);
      put('wheel', driven, ...pair.wheel);
      return;
    }
    // teeth beside each other turn one axle: of two that nobody chose the nearer one
    if (own.end && !isCoaxial(stage) && stage.on === undefined && isFarther(document, end, driving, driven))
      return;
    put('wheel', driven, driven.atMm);
    if (!driving || isCoaxial(stage)) return;
    const pinionMm = onLine(driving, driven.atMm[driving.along]);
    put('pinion', driving, pinionMm, phaseOf(stage, driving.along, subtract(pinionMm, driven.atMm)));
    if (gears.centreDistanceMm !== undefined)
      meshes.push({ stage, driving, driven, centreDistanceMm: gears.centreDistanceMm });
  });
  return { things, meshes };
}

/** Whether the other axle is nearer to the line that drives this one. */
function isFarther(
  document: BuildDocument,
  end: End,
  driving: TrainAxis | undefined,
  driven: TrainAxis,
): boolean {
  const other = axleOf(document, end === 'front' ? 'rear' : 'front');
  return (
    !driving ||
    (other !== undefined && apartMm(driving, { ...driven, atMm: other }) < apartMm(driving, driven))
  );
}

/** What is said of where a driven gear stands: all of it before the axles, on an axle only how far to a side. */
export interface PlacedStage {
  stage: Stage;
  number: number;
  onAxle: boolean;
  beforeBevel: boolean;
}

/** Stages whose driven gear stands where somebody says; of a bevel on the axle the rest follows. */
export function placedStages({ stages }: BuildDocument['drive']): PlacedStage[] {
  const last = stages.findLastIndex((stage) => !isCoaxial(stage));
  return stages.slice(0, last + 1).flatMap((stage, k) => {
    const next = stages.findIndex((one, at) => at > k && !isCoaxial(one));
    const onAxle = k === last;
    return onAxle && stage.kind === 'bevel'
      ? []
      : [{ stage, number: k + 1, onAxle, beforeBevel: next === last && stages[next]?.kind === 'bevel' }];
  });
}

/** The line before the first stage and those behind each; none where its place is not known. */
function linesOf(
  document: BuildDocument,
  stages: readonly Stage[],
  end: End,
  motor: Motor,
): (TrainAxis | undefined)[] {
  const turns = [...stages.map((_, k) => stages.slice(k).reduce((all, stage) => all * signed(stage), 1)), 1];
  const onAxle = stages.findLastIndex((stage) => !isCoaxial(stage));
  // an axle lies across; every bevel pair before it turns the line
  const first: 0 | 1 = stages.filter(({ kind }) => kind === 'bevel').length % 2 === 1 ? 0 : 1;
  const fits = motor && (motor.sizeMm[0] >= motor.sizeMm[1] ? 0 : 1) === first;
  const lines: (TrainAxis | undefined)[] = [
    fits ? { along: first, atMm: [motor.xMm, motor.yMm, motor.zMm], turns: turns[0]! } : undefined,
  ];
  const axle = axleOf(document, end);
  let along = first;
  stages.forEach((stage, k) => {
    if (stage.kind === 'bevel') along = along === 0 ? 1 : 0;
    const before = lines[k];
    const next = stages.findIndex((one, at) => at > k && !isCoaxial(one));
    const {
      xMm,
      yMm = 0,
      zMm = next === onAxle && stages[next]?.kind === 'bevel' ? axle?.[2] : undefined,
    } = stage.at ?? {};
    const said: Vec3 | undefined = xMm === undefined || zMm === undefined ? undefined : [xMm, yMm, zMm];
    const atMm = k >= onAxle ? axle && add(axle, [0, stage.at?.yMm ?? 0, 0]) : said;
    if (isCoaxial(stage) && k < onAxle)
      lines.push(before && { ...before, atMm: onLine(before, atMm?.[along]), turns: turns[k + 1]! });
    else lines.push(atMm && { along, atMm, turns: turns[k + 1]! });
  });
  return lines;
}

/** Turns in for one out, against them where the teeth stand outside on both. */
const signed = (stage: Stage): number => {
  const ratio = stageRatio(stage) ?? 1;
  return stage.kind === 'spur' ? -ratio : ratio;
};

/** The middle between the inner joints of an axle's drive shafts. */
export function axleOf(document: BuildDocument, end: End): Vec3 | undefined {
  const { wheelbaseMm = 0 } = document.chassis;
  const x = end === 'front' ? 0 : -wheelbaseMm;
  const corner = cornerOf(document, end);
  if (corner.ok) {
    const [ahead, , z] = innerJointOf(document, end, corner.value);
    return [x + ahead, 0, z];
  }
  const radiusMm = tyreAt(document.drive, end)?.radiusMm;
  return radiusMm === undefined ? undefined : [x, 0, radiusMm];
}

/** On each line the shaft that carries its gears, and the motor where it is on it; the axle's own are the drive shafts. */
function shaftsOf({ drive }: BuildDocument, things: readonly TrainThing[], motor: Motor): TrainThing[] {
  const groups = new Map<string, TrainThing[]>();
  for (const thing of things) {
    const key = lineOf(thing.axis);
    groups.set(key, [...(groups.get(key) ?? []), thing]);
  }
  return [...groups.values()].flatMap((group): TrainThing[] => {
    const { axis } = group[0]!;
    const { along } = axis;
    // a line whose gears all are driven ones is an axle
    if (group.every(({ role }) => role === 'wheel')) return [];
    const driven = group.find(({ role }) => role === 'wheel');
    const isMotors = !driven && motor !== undefined;
    const places = [
      ...group.map(({ gear }) => gear!.centreMm[along]),
      ...(isMotors ? [along === 0 ? motor.xMm : motor.yMm] : []),
    ];
    const [from, to] = [Math.min(...places), Math.max(...places)];
    if (to - from < LEAST_LONG_MM) return [];
    const long = drive.shafts?.find(({ kind, behind }) => kind === 'long' && behind === driven?.stage);
    const across = long?.diameterMm ?? (isMotors ? boreOf(drive.stages, group) : undefined) ?? USUAL_SHAFT_MM;
    return [
      {
        id: `train.shaft.${driven?.stage ?? 'motor'}`,
        role: 'shaft',
        ...(driven ? { stage: driven.stage, number: driven.number } : { motor: true }),
        axis,
        shaft: { fromMm: onLine(axis, from), toMm: onLine(axis, to), radiusMm: across / 2 },
      },
    ];
  });
}

const boreOf = (stages: readonly Stage[], group: readonly TrainThing[]): number | undefined =>
  stages.find(({ id }) => id === group[0]!.stage)?.pinion?.boreMm;
