import { dot, lengthOf, type Vec3 } from '../../base/vec3';
import { roundedMarkOf } from '../../base/mark';
import type { ChosenSurface } from '../../car/document/brief';
import type { BuildDocument } from '../../car/document/document';
import type { PartBox, PartPull } from '../../car/parts/parts';
import type { MadeKind } from '../../car/parts/partMade';
import type { LoadCaseName } from '../../physics/strength/loadCases';
import type { DrawnPart } from '../../physics/making/drawn/drawing';
import { weightOf } from '../chassis/weightOfBuild';
import { casesOfBuild } from '../parts/casesOfBuild';
import type { MadePart } from './drawer';
import { type ForcesAt, linkPulls, type LinkPull, opposite } from './linkPulls';
import { platePulls } from './platePulls';

/** A force on a place of a drawn part, by a case of the build or its own, in the car's axes. */
interface CasePull {
  place: string;
  from: LoadCaseName | 'own';
  share?: number;
  forceN?: number;
  direction: Vec3;
}

export interface HeldDrawn {
  held: PartBox[];
  pulls: PartPull[];
  /** Of the drawing with all that holds and pulls it. */
  mark: string;
}

/** What holds and pulls a kind of part, by the names of its places. */
interface Holding {
  held: readonly string[];
  links?: readonly LinkPull[];
  cases?: readonly CasePull[];
}

interface Asked {
  document: BuildDocument;
  surface: ChosenSurface | undefined;
  part: MadePart;
  drawn: DrawnPart;
}

const valueOf = (found: ReturnType<typeof linkPulls>): readonly LinkPull[] => (found.ok ? found.value : []);

const [UP, LEFT, AHEAD]: readonly Vec3[] = [
  [0, 0, 1],
  [0, 1, 0],
  [1, 0, 0],
];

const HOLD: Readonly<Record<MadeKind, (asked: Asked) => Holding>> = {
  plate: ({ document, surface, drawn }) => platePulls(document, surface, drawn),

  motorMount: ({ document, surface, drawn: { places } }) => {
    const cases = casesOfBuild(document, surface);
    const stallNm = cases.ok ? cases.value.input.motorStallNm : undefined;
    const share = massShare(document, document.drive.motor?.massG);
    return {
      held: ['footLeft', 'footRight'],
      cases: [
        ...(share === undefined
          ? []
          : [{ place: 'boss', from: 'landingFourWheels' as const, share, direction: opposite(UP!) }]),
        ...(stallNm === undefined ? [] : coupleOf(stallNm, places)),
      ],
    };
  },

  bulkhead: ({ document, surface, part }) => ({
    held: ['foot'],
    links: valueOf(
      linkPulls(document, part.made.end ?? 'front', surface, undefined, ({ chassis }) => [
        ...(chassis.lowerFront ? [{ place: 'pinLeft', link: 'lowerFront', forceN: chassis.lowerFront }] : []),
        ...(chassis.upperInner
          ? [{ place: 'upperLeft', link: 'upper', forceN: chassis.upperInner }]
          : chassis.upperFront
            ? [{ place: 'upperLeft', link: 'upperFront', forceN: chassis.upperFront }]
            : []),
      ]),
    ),
  }),

  arm: ({ document, surface, part: { made } }) => {
    const arm = made.arm ?? 'lower';
    const end = made.end ?? 'front';
    const { damper, rocker } = document.suspension[end]?.corner ?? {};
    const at: ForcesAt = ({ joints }) => [
      ...(['outerFront', 'outerRear'] as const).flatMap((name) =>
        arm === 'lower' && joints[name] ? [{ place: name, link: name, forceN: opposite(joints[name]) }] : [],
      ),
      ...(['lowerOuter', 'upperOuter'] as const).flatMap((name) =>
        name.startsWith(arm) && joints[name]
          ? [{ place: 'outer', link: name, forceN: opposite(joints[name]) }]
          : [],
      ),
      ...(damper?.on === arm && joints.damperOuter
        ? [{ place: 'damperOuter', link: 'damperOuter', forceN: joints.damperOuter }]
        : []),
      ...(rocker?.pushrodArmOn === arm && joints.pushrodArm
        ? [{ place: 'damperOuter', link: 'pushrodArm', forceN: joints.pushrodArm }]
        : []),
    ];
    return { held: ['front', 'rear'], links: valueOf(linkPulls(document, end, surface, arm, at)) };
  },

  upright: ({ document, surface, part: { made }, drawn }) => ({
    held: ['bearings'],
    links: valueOf(
      linkPulls(document, made.end ?? 'front', surface, 'upright', ({ joints }) =>
        UPRIGHT_JOINTS.flatMap(({ place, names }) => {
          const forces = names.flatMap((name) => (joints[name] ? [joints[name]] : []));
          return drawn.places.has(place) && forces.length > 0
            ? [{ place, link: names[0]!, forceN: sumOf(forces) }]
            : [];
        }),
      ),
    ),
  }),

  lever: () => ({ held: ['bore'], cases: [{ place: 'ball', from: 'tieRod', direction: LEFT! }] }),

  tower: ({ document, surface, part: { made } }) => ({
    held: ['footLeft', 'footRight'],
    links: valueOf(
      linkPulls(document, made.end ?? 'front', surface, undefined, ({ chassis }) =>
        chassis.damperInner ? [{ place: 'eyeLeft', link: 'damper', forceN: chassis.damperInner }] : [],
      ),
    ),
  }),

  servoMount: () => ({
    held: ['foot'],
    cases: (['lugUpper', 'lugLower'] as const).map((place) => ({
      place,
      from: 'tieRod',
      share: 1 / SERVO_SCREWS,
      direction: AHEAD!,
    })),
  }),

  wheel: ({ part: { made } }) => {
    const front = (made.end ?? 'rear') === 'front';
    return {
      held: ['hex'],
      cases: [
        { place: 'tread', from: 'landingOneWheel', direction: UP! },
        {
          place: 'tread',
          from: front ? 'corneringVerticalFront' : 'corneringVerticalRear',
          direction: UP!,
        },
        {
          place: 'tread',
          from: front ? 'corneringLateralFront' : 'corneringLateralRear',
          direction: opposite(LEFT!),
        },
      ],
    };
  },

  bumper: () => ({
    held: ['left', 'right'],
    cases: [{ place: 'front', from: 'noseCrash', direction: opposite(AHEAD!) }],
  }),

  tray: ({ document }) => {
    const share = massShare(document, document.power.battery?.massG);
    return {
      held: ['screwFront', 'screwRear'],
      cases: share === undefined ? [] : [{ place: 'wall', from: 'noseCrash', share, direction: AHEAD! }],
    };
  },

  guide: () => ({ held: [] }),
};

/** Both mounts of a servo have two screws each. */
const SERVO_SCREWS = 4;

const UPRIGHT_JOINTS = [
  { place: 'lowerOuter', names: ['lowerOuter'] },
  { place: 'upperOuter', names: ['upperOuter'] },
  { place: 'outer', names: ['outerFront', 'outerRear'] },
  { place: 'kingpinLower', names: ['kingpinLower'] },
  { place: 'kingpinUpper', names: ['kingpinUpper'] },
  { place: 'tieOuter', names: ['tieOuter'] },
] as const;

const sumOf = (forces: readonly Vec3[]): Vec3 =>
  forces.reduce<Vec3>((sum, force) => [sum[0] + force[0], sum[1] + force[1], sum[2] + force[2]], [0, 0, 0]);

/** A torque as the two screws of the face carry it. */
function coupleOf(torqueNm: number, places: DrawnPart['places']): CasePull[] {
  const [left, right] = [places.get('screwLeft')!, places.get('screwRight')!];
  const forceN = (1000 * torqueNm) / (right.min[2] - left.min[2]);
  return [
    { place: 'screwLeft', from: 'own', forceN, direction: UP! },
    { place: 'screwRight', from: 'own', forceN, direction: opposite(UP!) },
  ];
}

function massShare(document: BuildDocument, massG: number | undefined): number | undefined {
  const weight = weightOf(document);
  return massG === undefined || !weight.ok ? undefined : massG / weight.value.massG;
}

/** A load whose every force stays under this share of the hardest that its link carries tries nothing: it is not solved for. */
const TRIES = 0.25;

/** Where a drawn part is held and what pulls at it in the car, in the drawing's axes. */
export function heldDrawn(
  document: BuildDocument,
  surface: ChosenSurface | undefined,
  part: MadePart,
  drawn: DrawnPart,
): HeldDrawn {
  const { held, links = [], cases = [] } = HOLD[part.made.as]({ document, surface, part, drawn });
  const { places, rows } = drawn;
  const turned = (v: Vec3): Vec3 => {
    const size = lengthOf(v);
    return rows.map((row) => Number((dot(row, v) / size).toFixed(6)) + 0) as unknown as Vec3;
  };
  const boxes = held.flatMap((id) => (places.has(id) ? [{ id, ...places.get(id)! }] : []));
  const caseOf = ({ end, load }: LinkPull) => `${end} ${load}`;
  const tried = new Set(links.filter(({ ofHardest }) => ofHardest >= TRIES).map(caseOf));
  const pulls: PartPull[] = [
    ...links
      .filter((pull) => tried.has(caseOf(pull)) && places.has(pull.place))
      .map(({ place, end, link, load, share, forceN }, k): PartPull => ({
        id: `pull-${k + 1}`,
        ...places.get(place)!,
        from: 'link',
        end,
        link,
        load,
        share: Number(share.toPrecision(6)),
        direction: turned(forceN),
      })),
    ...cases.flatMap(({ place, direction, ...more }, k): PartPull[] =>
      places.has(place)
        ? [{ id: `case-${k + 1}`, ...places.get(place)!, ...more, direction: turned(direction) }]
        : [],
    ),
  ];
  const shapes = [...places].map(([id, box]) => [id, box]);
  return {
    held: boxes,
    pulls,
    mark: roundedMarkOf({
      drawing: drawn.drawing,
      shapes,
      held: boxes,
      // what only grows with the car's loads is followed without making it anew
      pulls: pulls.map(({ direction, share = 1, ...pull }) => ({
        ...pull,
        share: Math.round(10 * share),
        direction: direction.map((one) => Math.round(10 * one) + 0),
      })),
    }),
  };
}
