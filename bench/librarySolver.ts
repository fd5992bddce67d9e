import { levenbergMarquardt } from 'ml-levenberg-marquardt';
import type { WishboneCorner } from '@/core/physics/corner/corner';
import { cross, distance, dot, subtract, type Vec3 } from '@/core/base/vec3';

const NEAR_MM = 1e-7;
const MOST_ITERATIONS = 60;

/** The same corner as nine lengths and heights in nine unknowns, for a solver that knows nothing of linkages. */
export function libraryCorner(corner: WishboneCorner): {
  place(travelMm: number, from: readonly number[]): number[];
  rest: number[];
} {
  const {
    lowerFront,
    lowerRear,
    lowerOuter,
    upperFront,
    upperRear,
    upperOuter,
    tieInner,
    tieOuter,
    wheelCentre,
  } = corner;
  const lengths = [
    distance(lowerOuter, lowerFront),
    distance(lowerOuter, lowerRear),
    distance(upperOuter, upperFront),
    distance(upperOuter, upperRear),
    distance(lowerOuter, upperOuter),
    distance(tieOuter, lowerOuter),
    distance(tieOuter, upperOuter),
    distance(tieOuter, tieInner),
  ];
  const frame = (p: Vec3, q: Vec3, r: Vec3) =>
    [subtract(q, p), subtract(r, p), cross(subtract(q, p), subtract(r, p))] as const;
  const [e, f, g] = frame(lowerOuter, upperOuter, tieOuter);
  const [a, b, c] = solved(e, f, g, subtract(wheelCentre, lowerOuter));
  const residuals = (at: readonly number[], travelMm: number): number[] => {
    const [p, q, r] = [at.slice(0, 3), at.slice(3, 6), at.slice(6, 9)] as unknown as [Vec3, Vec3, Vec3];
    const now = frame(p, q, r);
    const spans = [
      distance(p, lowerFront),
      distance(p, lowerRear),
      distance(q, upperFront),
      distance(q, upperRear),
      distance(p, q),
      distance(r, p),
      distance(r, q),
      distance(r, tieInner),
    ];
    return [
      ...spans.map((span, index) => span - lengths[index]!),
      p[2] + a * now[0][2] + b * now[1][2] + c * now[2][2] - wheelCentre[2] - travelMm,
    ];
  };
  const index = Array.from({ length: 9 }, (_, i) => i);
  const nothing = index.map(() => 0);
  return {
    rest: [...lowerOuter, ...upperOuter, ...tieOuter],
    place: (travelMm, from) => {
      const model = (at: number[]) => {
        const all = residuals(at, travelMm);
        return (x: number) => all[x]!;
      };
      const { parameterValues } = levenbergMarquardt({ x: index, y: nothing }, model, {
        initialValues: [...from],
        damping: 1e-4,
        gradientDifference: 1e-6,
        maxIterations: MOST_ITERATIONS,
        errorTolerance: NEAR_MM ** 2,
      });
      return [...parameterValues];
    },
  };
}

/** Shares of three directions that make up a vector. Source: Cramer. */
function solved(e: Vec3, f: Vec3, g: Vec3, v: Vec3): [number, number, number] {
  const whole = dot(e, cross(f, g));
  return [dot(v, cross(f, g)) / whole, dot(e, cross(v, g)) / whole, dot(e, cross(f, v)) / whole];
}
