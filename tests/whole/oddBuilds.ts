import type { BuildDocument } from '@/core/car/document/document';
import { parseDocument } from '@/core/car/document/document.schema';
import { applyPatch, type Edit, isItemList, type Path } from '@/core/base/patch';
import { finishPatch } from '@/core/car/unfinished/unfinished';
import { car } from '@/core/fixtures/car';
import { itemsOf, tyreForBuild } from '@/core/car/library/items';
import type { LibraryItem, LibraryKind } from '@/core/car/library/kinds';
import { STARTING_LIBRARY } from '@/core/car/library/starting';
import { randomFrom } from '@/core/base/numeric/random';
import { marshHareDocuments } from '@/db/seed/marshHareRevisions';
import { tinWren } from '@/db/seed/tinWren';

const HARES = marshHareDocuments();
const BASES: readonly BuildDocument[] = [HARES.D, HARES.D, HARES.A, HARES.C, car, car, tinWren];

type Draw = () => number;
type Twist = (document: BuildDocument, draw: Draw) => Edit[];

const among = <T>(list: readonly T[], draw: Draw): T => list[Math.floor(draw() * list.length)]!;
const between = (draw: Draw, from: number, to: number) => from * (to / from) ** draw();
const stock = <K extends LibraryKind>(kind: K, draw: Draw): LibraryItem<K> =>
  among(itemsOf(STARTING_LIBRARY, kind), draw);
const copied =
  <K extends 'motor' | 'battery' | 'controller'>(kind: K) =>
  (_: BuildDocument, draw: Draw): Edit[] => {
    const { id, data } = stock(kind, draw);
    return [{ path: [kind === 'motor' ? 'drive' : 'power', kind], value: { libraryId: id, ...data } }];
  };

/** Ways in which a build is out of the ordinary, each as edits. */
export const TWISTS: Readonly<Record<string, Twist>> = {
  motor: copied('motor'),
  battery: copied('battery'),
  controller: copied('controller'),
  tinyPack: () => [
    { path: ['power', 'battery', 'capacityMah'], value: 20 },
    { path: ['power', 'battery', 'cellResistanceMilliOhm'], value: 900 },
  ],
  twoPacks: () => [
    { path: ['power', 'battery', 'parallel'], value: 2 },
    {
      path: ['chassis', 'bodies'],
      value: [
        { id: 'pack-left', name: 'Pack, left', massG: 250, xMm: -140, yMm: 50, zMm: 30 },
        { id: 'pack-right', name: 'Pack, right', massG: 250, xMm: -140, yMm: -50, zMm: 30 },
      ],
    },
  ],
  hugeMotor: () => [
    { path: ['drive', 'motor', 'kvRpmPerV'], value: 9000 },
    { path: ['drive', 'motor', 'resistanceMilliOhm'], value: 1 },
    { path: ['drive', 'motor', 'massG'], value: 2500 },
  ],
  slowMotor: () => [
    { path: ['drive', 'motor', 'kvRpmPerV'], value: 40 },
    { path: ['brief', 'targetMps'], value: 1 },
  ],
  beltOneToOne: () => [
    {
      path: ['drive', 'stages'],
      value: [{ id: 'belt', kind: 'belt', pinionTeeth: 20, wheelTeeth: 20, efficiency: 0.96 }],
    },
  ],
  noStage: () => [{ path: ['drive', 'stages'], value: [] }],
  direct: () => [{ path: ['drive', 'stages'], value: [{ id: 'direct', kind: 'direct', efficiency: 1 }] }],
  planetary: (_, draw) => [
    {
      path: ['drive', 'stages'],
      value: [
        {
          id: 'planet',
          kind: 'planetary',
          pinionTeeth: 12,
          wheelTeeth: Math.round(between(draw, 20, 90)),
          efficiency: 0.9,
        },
      ],
    },
  ],
  oddTeeth: ({ drive }, draw) =>
    drive.stages.flatMap(({ id }) => [
      { path: ['drive', 'stages', id, 'pinionTeeth'], value: Math.round(between(draw, 1, 200)) },
      { path: ['drive', 'stages', id, 'wheelTeeth'], value: Math.round(between(draw, 1, 900)) },
    ]),
  halfStage: ({ drive }) =>
    drive.stages
      .slice(0, 1)
      .map(({ id }) => ({ path: ['drive', 'stages', id, 'wheelTeeth'], value: undefined })),
  inWheel: () => [
    { path: ['drive', 'motorsAt'], value: 'wheel' },
    { path: ['drive', 'mounting'], value: 'wheel' },
    { path: ['drive', 'stages'], value: [] },
  ],
  anAxle: () => [
    { path: ['drive', 'motorsAt'], value: 'axle' },
    { path: ['drive', 'clutchNm'], value: 0.05 },
    { path: ['drive', 'drivenAxles'], value: 'all' },
  ],
  driven: (_, draw) => [
    { path: ['drive', 'drivenAxles'], value: among(['front', 'rear', 'all', undefined], draw) },
  ],
  noServo: ({ power }) =>
    (power.loads ?? [])
      .filter(({ kind }) => kind === 'servo')
      .map(({ id }) => ({ path: ['power', 'loads', id], value: undefined })),
  noPower: () => [
    { path: ['power', 'rails'], value: undefined },
    { path: ['power', 'loads'], value: undefined },
  ],
  foamOnSand: () => [
    {
      path: ['drive', 'tyre'],
      value: tyreForBuild(
        itemsOf(STARTING_LIBRARY, 'tyre').find(({ id }) => id === 'tyre-10-foam')!,
        STARTING_LIBRARY,
      ),
    },
    ground('sand'),
  ],
  tallGrass: () => [ground('tallGrass'), { path: ['brief', 'targetMps'], value: 1 }],
  ice: () => [
    {
      path: ['brief', 'surfaces'],
      value: [
        {
          id: 'ice',
          name: 'Ice',
          ground: 'hard',
          mu: 0,
          muError: 0,
          rollingResistance: 0,
          rollingResistanceError: 0,
        },
      ],
    },
  ],
  mud: () => [
    {
      path: ['brief', 'surfaces'],
      value: [
        {
          id: 'mud',
          name: 'Mud',
          ground: 'loose',
          mu: 0.2,
          muError: 0.3,
          rollingResistance: 2,
          rollingResistanceError: 1,
        },
      ],
    },
  ],
  noSurface: () => [{ path: ['brief', 'surfaces'], value: [] }],
  wish: (_, draw) => [
    { path: ['brief', 'targetMps'], value: between(draw, 0.2, 120) },
    { path: ['brief', 'runTimeMinutes'], value: between(draw, 0.5, 600) },
  ],
  noWish: () =>
    ['targetMps', 'distanceM', 'timeToDistanceS', 'runTimeMinutes', 'dropHeightM', 'sizeClass'].map(
      (key) => ({ path: ['brief', key], value: undefined }),
    ),
  steep: (_, draw) => [{ path: ['brief', 'gradePct'], value: among([-80, -20, 40, 100], draw) }],
  heavy: (_, draw) => [
    { path: ['chassis', 'massG'], value: between(draw, 5, 150_000) },
    { path: ['brief', 'payloadG'], value: between(draw, 1, 50_000) },
  ],
  tall: (_, draw) => [
    { path: ['chassis', 'cgHeightMm'], value: between(draw, 1, 1900) },
    { path: ['chassis', 'frontLoadShare'], value: among([0.01, 0.2, 0.8, 0.99], draw) },
  ],
  lifts: () => [
    { path: ['chassis', 'claFrontM2'], value: -0.5 },
    { path: ['chassis', 'claRearM2'], value: 0.5 },
    { path: ['chassis', 'cdaM2'], value: 0 },
  ],
  small: (_, draw) => [
    { path: ['chassis', 'wheelbaseMm'], value: between(draw, 1, 4000) },
    { path: ['chassis', 'trackFrontMm'], value: between(draw, 1, 4000) },
  ],
  limits: (_, draw) => [
    { path: ['drive', 'currentLimitA'], value: between(draw, 0.05, 200) },
    { path: ['drive', 'throttleLimit'], value: between(draw, 0.02, 1) },
  ],
  hot: (_, draw) => [
    { path: ['drive', 'heat', 'ambientC'], value: among([-40, 45, 95, 300], draw) },
    { path: ['drive', 'heat', 'windingLimitC'], value: among([30, 90, 200], draw) },
  ],
  cycle: (_, draw) => [
    {
      path: ['drive', 'heat', 'preset'],
      value: among(['steady', 'stopAndGo', 'grass', 'speedPasses', 'crawl'], draw),
    },
  ],
  lossless: () => [
    { path: ['drive', 'motor', 'noLoadCurrentA'], value: 0 },
    { path: ['drive', 'motor', 'rotorInertiaKgM2'], value: 0 },
    { path: ['power', 'battery', 'cellResistanceMilliOhm'], value: 0 },
  ],
  thirsty: () => [{ path: ['drive', 'motor', 'noLoadCurrentA'], value: 900 }],
  softSpring: ({ suspension }) =>
    suspension.front
      ? [
          { path: ['suspension', 'front', 'rateNPerMm'], value: 0.001 },
          { path: ['suspension', 'front', 'bumpMm'], value: 0.1 },
        ]
      : [],
  stiffSpring: ({ suspension }) =>
    suspension.rear
      ? [
          { path: ['suspension', 'rear', 'rateNPerMm'], value: 900 },
          { path: ['suspension', 'rear', 'preloadMm'], value: 150 },
        ]
      : [],
  flatCorner: ({ suspension }) =>
    suspension.front?.corner
      ? [{ path: ['suspension', 'front', 'corner', 'lowerOuter'], value: suspension.front.corner.lowerFront }]
      : [],
  crash: () => [
    { path: ['brief', 'dropHeightM'], value: 19 },
    { path: ['brief', 'kerbMps'], value: 140 },
    { path: ['parts', 'crushMm'], value: 0.01 },
  ],
  noParts: () => [{ path: ['parts', 'items'], value: [] }],
  bareParts: ({ parts }) =>
    parts.items.flatMap(({ id }) => [
      { path: ['parts', 'items', id, 'shape'], value: undefined },
      { path: ['parts', 'items', id, 'loads'], value: undefined },
    ]),
  noPrinter: () => [{ path: ['print', 'printers'], value: undefined }],
  smallBed: ({ print }) =>
    (print.printers ?? []).map(({ id }) => ({ path: ['print', 'printers', id, 'bedWidthMm'], value: 3 })),
  gaps: (document, draw) =>
    optionalLeaves(document)
      .filter(() => draw() < 0.12)
      .map((path) => ({ path, value: undefined })),
};

function ground(id: string): Edit {
  return {
    path: ['brief', 'surfaces'],
    value: [
      {
        id,
        libraryId: `surface-${id}`,
        ...itemsOf(STARTING_LIBRARY, 'surface').find((item) => item.id === `surface-${id}`)!.data,
      },
    ],
  };
}

function optionalLeaves(node: unknown, path: Path = []): Path[] {
  if (isItemList(node)) return node.flatMap((item) => optionalLeaves(item, [...path, item.id]));
  if (Array.isArray(node)) return [];
  if (typeof node === 'object' && node !== null)
    return Object.entries(node).flatMap(([key, value]) => optionalLeaves(value, [...path, key]));
  return path.length < 2 || path.at(-1) === 'id' ? [] : [path];
}

export interface OddBuild {
  readonly name: string;
  readonly document: BuildDocument;
}

const MOST_TWISTS = 4;

/** A build that is valid and out of the ordinary, the same for the same number. */
export function oddBuild(number: number): OddBuild {
  const draw = randomFrom(7919 * number + 17);
  let document = BASES[number % BASES.length]!;
  const names = Object.keys(TWISTS);
  // every twist comes first in turn, others join it
  const chosen = [
    names[number % names.length]!,
    ...Array.from({ length: Math.floor(draw() * MOST_TWISTS) }, () => among(names, draw)),
  ];
  for (const name of chosen) {
    const next = applyPatch(document, finishPatch(document, TWISTS[name]!(document, draw)));
    try {
      document = parseDocument(next);
    } catch {
      // two twists that do not go together: the first stands
    }
  }
  return { name: `${number}: ${chosen.join(', ')}`, document };
}
