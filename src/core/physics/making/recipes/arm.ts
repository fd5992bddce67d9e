import { refusal } from '../../../base/errors';
import { add, cross, dot, lengthOf, middle, scale, subtract, unit, type Vec3 } from '../../../base/vec3';
import {
  bar,
  type Box,
  boxAround,
  disc,
  type DrawnPart,
  prism,
  rectangle,
  type Step,
  taken,
} from '../drawn/drawing';
import type { Disc } from '../drawn/hull';
import { needRoom } from './onEdge';

declare module '../../../base/errors' {
  interface RefusalFacts {
    'making.armFlat': Record<never, never>;
  }
}

export interface ArmInput {
  /** Ends of the inner hinge, in the car's axes, mm. */
  front: Vec3;
  rear: Vec3;
  /** The ball that the upright turns on, or both ends of the outer hinge. */
  outer: { ball: Vec3 } | { front: Vec3; rear: Vec3 };
  /** Eye of the damper that stands on it. */
  damper?: Vec3;
  /** As drawn. */
  pinHoleMm: number;
  outerHoleMm: number;
  damperHoleMm: number;
  thicknessMm: number;
  /** Of each leg of an open arm. */
  widthMm: number;
  /** Round the holes. */
  wallMm: number;
  /** Two legs that give, in place of a plate that does not. */
  open: boolean;
}

const [GRIP_MM, PAST_MM] = [1, 1];
const LUG_HOLES = 2.5;
const SCREW_ROOM_MM = 5;

/** The arm's own axes: along its hinge, out to the wheel, and across both. */
function frameOf(front: Vec3, rear: Vec3, outer: Vec3) {
  const along = unit(subtract(front, rear));
  const origin = middle(front, rear);
  const reach = subtract(outer, origin);
  const out = subtract(reach, scale(along, dot(reach, along)));
  if (lengthOf(out) < PAST_MM) throw refusal('end', 'making.armFlat');
  const [x, y] = [along, unit(out)];
  return { origin, rows: [x, y, cross(x, y)] as const };
}

/**
 * A suspension arm lying flat: the inner hinge's tube along x, the wheel at +y, a lug for the damper. In the drawing the
 * hinge lies as high as its tube needs over the bed.
 *
 * @throws CalcError at `widthMm` for legs narrower than their holes, at `end` for an arm without length
 */
export function armDrawing(input: ArmInput): DrawnPart {
  const { front, rear, outer, damper, pinHoleMm, outerHoleMm, damperHoleMm, thicknessMm, widthMm, wallMm } =
    input;
  const isBall = 'ball' in outer;
  const outerMiddle = isBall ? outer.ball : middle(outer.front, outer.rear);
  const { origin, rows } = frameOf(front, rear, outerMiddle);
  const tube = pinHoleMm / 2 + wallMm;
  const outerTube = outerHoleMm / 2 + wallMm;
  // the hinge's height over the bed: its tube, or the outer one, stands on it
  const up = Math.max(tube, isBall ? thicknessMm / 2 : outerTube);
  const local = (point: Vec3): Vec3 => {
    const from = subtract(point, origin);
    return add([dot(from, rows[0]), dot(from, rows[1]), dot(from, rows[2])], [0, 0, up]);
  };
  needRoom(widthMm / 2, 'widthMm');
  const [a, b] = [local(front), local(rear)];
  const ends = isBall ? [local(outer.ball)] : [local(outer.front), local(outer.rear)];
  const leg = widthMm / 2;
  const inner = [disc(a[0] - leg, 0, leg), disc(b[0] + leg, 0, leg)];
  const boss = isBall ? Math.max(outerTube, leg) : leg;
  const outside = isBall
    ? [disc(ends[0]![0], ends[0]![1], boss)]
    : [disc(ends[0]![0] - leg, ends[0]![1], leg), disc(ends[1]![0] + leg, ends[1]![1], leg)];
  const flat = (discs: readonly Disc[]) => prism('z', discs, 0, thicknessMm);
  const eye = damper && local(damper);
  const lug = LUG_HOLES * damperHoleMm;
  const body: Step[] = input.open
    ? [
        flat([inner[0]!, outside[0]!]),
        flat([inner[1]!, outside.at(-1)!]),
        // what the lug stands on joins the legs
        ...(eye ? [flat(across(eye[1], inner, outside, leg))] : []),
      ]
    : [flat([...inner, ...outside])];
  const saddle = (y: number, radius: number): Disc[] => [
    disc(y - radius, 0),
    disc(y + radius, 0),
    disc(y, up, radius),
  ];
  const tubes: Step[] = [
    prism('x', saddle(0, tube), b[0], a[0]),
    ...(isBall ? [] : [prism('x', saddle(ends[0]![1], outerTube), ends[1]![0], ends[0]![0])]),
  ];
  const eyeRadius = damperHoleMm / 2 + wallMm;
  const lugs: Step[] = eye
    ? [
        prism(
          'x',
          [disc(eye[1] - eyeRadius, 0), disc(eye[1] + eyeRadius, 0), disc(eye[1], eye[2], eyeRadius)],
          eye[0] - lug / 2,
          eye[0] + lug / 2,
        ),
      ]
    : [];
  if (eye) needRoom(eye[2] - eyeRadius, 'wallMm');
  // a plate that is thicker than the lug is high makes room for the screw on both sides of it
  const beside: Step[] =
    eye && thicknessMm > eye[2] - damperHoleMm / 2
      ? [1, -1].map((side) => {
          const [near, far] = [eye[0] + (side * lug) / 2, eye[0] + side * (lug / 2 + SCREW_ROOM_MM)];
          return taken(
            prism(
              'z',
              rectangle([near, eye[1] - eyeRadius], [far, eye[1] + eyeRadius]),
              eye[2] - eyeRadius,
              thicknessMm + PAST_MM,
            ),
          );
        })
      : [];
  const bored = (from: Vec3, to: Vec3, holeMm: number): Step => {
    const past = scale(unit(subtract(to, from)), PAST_MM);
    return taken(bar(subtract(from, past), add(to, past), holeMm / 2));
  };
  const holes: Step[] = [
    bored(b, a, pinHoleMm),
    isBall
      ? taken(prism('z', [disc(ends[0]![0], ends[0]![1], outerHoleMm / 2)], -PAST_MM, thicknessMm + PAST_MM))
      : bored(ends[1]!, ends[0]!, outerHoleMm),
    ...(eye
      ? [bored([eye[0] - lug / 2, eye[1], eye[2]], [eye[0] + lug / 2, eye[1], eye[2]], damperHoleMm)]
      : []),
  ];
  // the ball pulls as high as it stands, if the plate is thick enough there
  const ballMm = Math.min(up, thicknessMm - GRIP_MM / 2);
  const ballHalfMm = Math.min(ballMm, thicknessMm - ballMm);
  const third = (a[0] - b[0]) / 3;
  const around = (at: Vec3, half: number, radius: number): Box =>
    boxAround(at, [half, radius + GRIP_MM, radius + GRIP_MM]);
  return {
    drawing: { steps: [...body, ...beside, ...tubes, ...lugs, ...holes] },
    places: new Map<string, Box>([
      ['front', around([a[0] - third / 2, a[1], a[2]], third / 2, pinHoleMm / 2)],
      ['rear', around([b[0] + third / 2, b[1], b[2]], third / 2, pinHoleMm / 2)],
      ...(isBall
        ? [
            [
              'outer',
              boxAround(
                [ends[0]![0], ends[0]![1], ballMm],
                [outerHoleMm / 2 + GRIP_MM, outerHoleMm / 2 + GRIP_MM, ballHalfMm],
              ),
            ] as [string, Box],
          ]
        : ends.map((end, k): [string, Box] => {
            const half = (ends[0]![0] - ends[1]![0]) / 6;
            const inwards = k === 0 ? -half : half;
            return [
              k === 0 ? 'outerFront' : 'outerRear',
              around([end[0] + inwards, end[1], end[2]], half, outerHoleMm / 2),
            ];
          })),
      ...(eye ? [['damperOuter', around(eye, lug / 2, damperHoleMm / 2)] as [string, Box]] : []),
    ]),
    rows,
    anchor: { drawing: [0, 0, up], car: origin },
  };
}

/** A bar between the legs of an open arm, as far out as the damper stands. */
function across(y: number, [a, b]: readonly Disc[], outside: readonly Disc[], leg: number): Disc[] {
  const [c, d] = [outside[0]!, outside.at(-1)!];
  const at = (from: Disc, to: Disc): Disc => {
    const share = Math.min(1, Math.max(0, (y - from.at[1]) / (to.at[1] - from.at[1])));
    return disc(
      from.at[0] + share * (to.at[0] - from.at[0]),
      from.at[1] + share * (to.at[1] - from.at[1]),
      leg,
    );
  };
  return [at(a!, c), at(b!, d)];
}
