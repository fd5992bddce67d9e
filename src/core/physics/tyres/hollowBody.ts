import type { TyreBody } from './spun';
import type { WholeMake } from './tyreKinds';

/** Curved side-walls carry less than flat ones would. */
const CURVED = 0.3;

/** A hollow tyre: the tread a ring on elastic side-walls, with what an insert presses and air stretches; SI units from mm and MPa. */
export function hollowBody(make: WholeMake, modulusMpa: number): TyreBody {
  const [E, Es, p] = [modulusMpa, make.sidewallModulusMpa ?? modulusMpa, make.pressureMpa].map(
    (mpa) => mpa * 1e6,
  ) as [number, number, number];
  const { R, a, t, ts, h, w, middle, inner } = hollowShape(make);
  const foundation = (2 * CURVED * Es * ts) / (h * w);
  const mass = make.densityKgM3 * (t + (ts * h) / w);
  const insert = (make.insertDensityKgM3 * (inner ** 3 - a ** 3)) / (3 * inner);
  const stiffness = (E * t) / middle ** 2 + foundation;
  return {
    runAwayRadPerS: Math.sqrt(stiffness / mass),
    at: (omega) => {
      const left = stiffness - mass * omega ** 2;
      const growthM = left > 0 ? (omega ** 2 * (mass * middle + insert)) / left : Infinity;
      return {
        growthM: growthM > 1e3 * R ? Infinity : growthM,
        hoopPa: (E * growthM) / middle + (p * inner) / t,
        pullNPerM:
          (foundation * growthM * w * middle) / (2 * a) +
          0.5 * make.densityKgM3 * ts * h * a * omega ** 2 +
          (p * h) / 2,
      };
    },
  };
}

/** Lengths of a hollow tyre, m: radius, rim, wall, side-wall and its height, width, middle and inside of the tread. */
export function hollowShape(make: WholeMake) {
  const [R, a, t, ts, w] = [make.radiusMm, make.rimRadiusMm, make.wallMm, make.sidewallMm, make.widthMm].map(
    (mm) => mm / 1000,
  ) as [number, number, number, number, number];
  return { R, a, t, ts, w, h: R - t - a, middle: R - t / 2, inner: R - t };
}
