import { tyreAt } from '../../car/tyres/tyres';
import type { Axle } from '../../car/stages/stage';
import type { BuildDocument } from '../../car/document/document';
import type { Body } from '../../car/document/chassis';
import {
  controllersInAll,
  controllersListed,
  motorAt,
  motorsInAll,
  motorsListed,
} from '../../car/document/motors';
import { allPacks } from '../../car/document/power';
import { drivenOf, motorsInWheels } from '../../car/document/drive';
import { PART_KIND_RECORDS } from '../../car/parts/partKinds';
import type { ComponentDefinition, Triple } from '../../physics/balance/balance';

export interface PlacedBody extends ComponentDefinition {
  name: string;
  sizeMm: Triple;
  sprung: boolean;
  /** From the build itself, added by hand, or what is left of the weighed mass. */
  source: 'build' | 'own' | 'rest';
  /** By the builder; a first guess otherwise. */
  placed: boolean;
  /** Where it is follows from axles and tyres. */
  fixed: boolean;
}

/** What is left of the weighed mass: frame, arms, shell, screws. */
export const REST = 'rest';

/** Mean densities, g/mm³, and proportions of boxes to start with, by judgement. */
const PACK = { density: 2.1e-3, proportions: [5.4, 1.9, 1] } as const;
const CONTROLLER = { density: 1.3e-3, proportions: [1.4, 1.1, 1] } as const;
const SERVO = { density: 1.5e-3, proportions: [2, 1, 2] } as const;
const PRINTED = { density: 0.5e-3, proportions: [2, 1.4, 1] } as const;
const PAYLOAD = { density: 0.8e-3, proportions: [1.6, 1.2, 1] } as const;

function boxOf(massG: number, { density, proportions }: { density: number; proportions: Triple }): Triple {
  const unit = Math.cbrt(massG / density / (proportions[0] * proportions[1] * proportions[2]));
  return [unit * proportions[0], unit * proportions[1], unit * proportions[2]];
}

/** A hub sits inside its wheel by so much of the radius. */
const HUB_INSIDE = 0.35;

/** Kinds whose mass the build has already from the thing itself. */
interface Guess {
  id: string;
  name: string;
  massG: number;
  at: Triple;
  size: Triple;
  sprung?: boolean;
  source?: PlacedBody['source'];
  fixed?: boolean;
}

/**
 * Every component with mass and place; the build's own appear by themselves, at a first guess until they are
 * moved. Empty while the axles are missing.
 */
export function bodiesOf(document: BuildDocument): PlacedBody[] {
  const { chassis, brief } = document;
  const { wheelbaseMm, trackFrontMm, trackRearMm, bodies = [], massG } = chassis;
  if (wheelbaseMm === undefined || trackFrontMm === undefined || trackRearMm === undefined) return [];
  const frame = { L: wheelbaseMm, front: trackFrontMm, rear: trackRearMm };
  const guesses = guessesOf(document, frame);
  const known = new Set(guesses.map(({ id }) => id));
  const own = bodies
    .filter(({ id, massG: mass }) => !known.has(id) && id !== REST && mass !== undefined)
    .map((body): Guess => ({
      id: body.id,
      name: body.name ?? 'Component',
      massG: body.massG!,
      at: [-frame.L / 2, 0, 40],
      size: [30, 30, 20],
      source: 'own',
    }));
  const counted = [...guesses, ...own].map((guess) =>
    placed(
      guess,
      bodies.find(({ id }) => id === guess.id),
    ),
  );
  const payload = brief.payloadG ?? 0;
  const rest = massG === undefined ? 0 : massG + payload - counted.reduce((sum, { massG: m }) => sum + m, 0);
  if (rest <= 0) return counted;
  return [
    ...counted,
    placed(
      {
        id: REST,
        name: 'Frame, arms, shell',
        massG: rest,
        at: [-frame.L / 2, 0, 45],
        size: [0.85 * frame.L, 0.32 * frame.front, 30],
        source: 'rest',
      },
      bodies.find(({ id }) => id === REST),
    ),
  ];
}

/**
 * A place of the level chassis as it stands with its rake: turned about the ground between the axles.
 *
 * @param rakeDeg positive nose down
 */
export function raked([x, y, z]: Triple, wheelbaseMm: number, rakeDeg: number): Triple {
  const angle = (rakeDeg * Math.PI) / 180;
  const [s, c] = [Math.sin(angle), Math.cos(angle)];
  const ahead = x + wheelbaseMm / 2;
  return [ahead * c + z * s - wheelbaseMm / 2, y, z * c - ahead * s];
}

function guessesOf(
  { drive, power, brief, suspension, parts }: BuildDocument,
  { L, front, rear }: { L: number; front: number; rear: number },
): Guess[] {
  const { motor, tyre } = drive;
  const { controller, loads = [] } = power;
  const battery = allPacks(power);
  const controllers = controllersInAll({ drive, power });
  const controllersG = controllersListed({ drive, power }).reduce(
    (sum, { massG, count }) => sum + count * massG,
    0,
  );
  const r = tyre?.radiusMm ?? 0;
  const wheel = (id: string, name: string, axle: Axle, y: number): Guess => {
    const { massG, radiusMm } = tyreAt(drive, axle)!;
    return {
      id,
      name,
      massG,
      at: [axle === 'front' ? 0 : -L, y, radiusMm],
      size: [2 * radiusMm, 0.7 * radiusMm, 2 * radiusMm],
      sprung: false,
      fixed: true,
    };
  };
  const hub = (end: 'front' | 'rear', side: 1 | -1): Guess[] => {
    const own = suspension[end];
    const y = own?.corner
      ? own.corner.wheelCentre[1] - HUB_INSIDE * r
      : (end === 'front' ? front : rear) / 2 - HUB_INSIDE * r;
    return own?.unsprungG === undefined
      ? []
      : [
          {
            id: `hub-${end === 'front' ? 'f' : 'r'}${side > 0 ? 'l' : 'r'}`,
            name: `${end === 'front' ? 'Front' : 'Rear'} ${side > 0 ? 'left' : 'right'} hub`,
            massG: own.unsprungG,
            at: [end === 'front' ? 0 : -L, side * y, r],
            size: [0.5 * r, 0.4 * r, 0.9 * r],
            sprung: false,
            fixed: true,
          },
        ];
  };
  const driven = drivenOf(drive);
  const motors: Guess[] = !motor
    ? []
    : motorsInWheels(drive)
      ? driven.flatMap((axle) =>
          ([1, -1] as const).map((side): Guess => ({
            id: `motor-${axle}-${side > 0 ? 'left' : 'right'}`,
            name: `Motor, ${axle} ${side > 0 ? 'left' : 'right'}`,
            massG: motorAt(drive, `${axle}${side > 0 ? 'Left' : 'Right'}`)!.massG * (drive.motorCount ?? 1),
            at: [
              axle === 'front' ? 0 : -L,
              side * ((axle === 'front' ? front : rear) / 2 - 0.5 * motor.lengthMm),
              r,
            ],
            size: [motor.diameterMm, motor.lengthMm, motor.diameterMm],
            sprung: false,
            fixed: true,
          })),
        )
      : [
          {
            id: 'motor',
            name: motorsInAll(drive) > 1 ? `${motorsInAll(drive)} motors` : 'Motor',
            massG: motorsListed(drive).reduce((sum, { motor: one, count }) => sum + count * one.massG, 0),
            at: [-0.72 * L, 0, Math.max(r, motor.diameterMm / 2 + 8)],
            size: [motor.lengthMm, motor.diameterMm, motor.diameterMm],
          },
        ];
  return [
    ...(tyre
      ? [
          wheel('wheel-fl', 'Front left wheel', 'front', front / 2),
          wheel('wheel-fr', 'Front right wheel', 'front', -front / 2),
          wheel('wheel-rl', 'Rear left wheel', 'rear', rear / 2),
          wheel('wheel-rr', 'Rear right wheel', 'rear', -rear / 2),
        ]
      : []),
    ...hub('front', 1),
    ...hub('front', -1),
    ...hub('rear', 1),
    ...hub('rear', -1),
    ...motors,
    ...(battery
      ? [
          {
            id: 'pack',
            name: power.packs === undefined || power.packs === 1 ? 'Pack' : `${power.packs} packs`,
            massG: battery.massG,
            at: [-0.5 * L, 0, 32] as const,
            size: boxOf(battery.massG, PACK),
          },
        ]
      : []),
    ...(controller
      ? [
          {
            id: 'controller',
            name: controllers === 1 ? 'Controller' : `${controllers} controllers`,
            massG: controllersG,
            at: [-0.3 * L, -0.15 * front, 40] as const,
            size: boxOf(controllersG, CONTROLLER),
          },
        ]
      : []),
    ...loads
      .filter(({ massG }) => massG !== undefined)
      .map((load, index) => ({
        id: `load-${load.id}`.slice(0, 64),
        name: load.name,
        massG: load.massG!,
        at: [-(0.1 + 0.1 * index) * L, 0.12 * front, 40] as const,
        size: boxOf(load.massG!, SERVO),
      })),
    ...parts.items
      .filter(({ massG, kind }) => massG !== undefined && !PART_KIND_RECORDS[kind].weighedWhereChosen)
      .map((part) => ({
        id: `part-${part.id}`.slice(0, 64),
        name: part.name,
        massG: part.massG!,
        at: [-0.5 * L, 0, 35] as const,
        size: boxOf(part.massG!, PRINTED),
      })),
    ...(brief.payloadG
      ? [
          {
            id: 'payload',
            name: 'Payload',
            massG: brief.payloadG,
            at: [-0.55 * L, 0, 90] as const,
            size: boxOf(brief.payloadG, PAYLOAD),
          },
        ]
      : []),
  ];
}

function placed(
  { id, name, massG, at, size, sprung = true, source = 'build', fixed = false }: Guess,
  body: Body | undefined,
): PlacedBody {
  return {
    id,
    name: body?.name ?? name,
    massG,
    source,
    fixed,
    xMm: (fixed ? undefined : body?.xMm) ?? at[0],
    yMm: (fixed ? undefined : body?.yMm) ?? at[1],
    zMm: (fixed ? undefined : body?.zMm) ?? at[2],
    sizeMm: [body?.lengthMm ?? size[0], body?.widthMm ?? size[1], body?.heightMm ?? size[2]],
    sprung: body?.unsprung === undefined ? sprung : !body.unsprung,
    placed: fixed || body?.xMm !== undefined || body?.yMm !== undefined || body?.zMm !== undefined,
  };
}
