import { BENCH_ITEMS, type BenchTick, ENDS, type Suspension } from '@/core/car/document/suspension';
import { benchId, cornerMark } from '@/core/worked/suspension/benchList';

/** Hinge pins and a camber link at both ends; the wheels lean in by 1°, the rear ones toe in. */
export const marshHareSuspension: Suspension = {
  stopMm: 25,
  kerbStopMm: 15,
  front: {
    corner: {
      kind: 'hingePins',
      lowerFront: [23, 32, 24.5],
      lowerRear: [-23, 32, 23.5],
      outerFront: [11, 84, 23.5],
      outerRear: [-11, 84, 22.5],
      upperInner: [-5, 40, 59],
      upperOuter: [-5, 84, 63],
      kingpinLower: [3, 93, 23],
      kingpinUpper: [-3, 88.5, 63],
      tieInner: [-23, 38, 41.2],
      tieOuter: [-23, 83, 43],
      wheelCentre: [0, 106.8, 42],
      staticCamberDeg: -1,
      staticToeDeg: 0,
      damper: { inner: [9.5, 40, 98], outer: [9.5, 74, 27], on: 'lower', closedLengthMm: 55 },
      jointLimitDeg: 46,
    },
    bumpMm: 30,
    droopMm: 9,
    rateNPerMm: 0.74,
    preloadMm: 1,
    damperNsPerM: 32,
    targetSagPct: 25,
    unsprungG: 44,
    links: 'fixed',
    linkMmPerTurn: 1,
    play: { bearingSpacingMm: 12, inboardMm: 0.04, outboardMm: 0.04, tieMm: 0.06, upperMm: 0.06 },
    armMm: 6,
    linkMm: 4,
    damperMm: 10,
    held: [
      { id: 'tie', pullN: 320, pushN: 260 },
      { id: 'upper', pullN: 320, pushN: 220 },
      { id: 'damper', pullN: 180, pushN: 320 },
    ],
  },
  rear: {
    corner: {
      kind: 'hingePins',
      lowerFront: [24, 31, 25],
      lowerRear: [-24, 33, 24],
      outerFront: [12, 85, 23.5],
      outerRear: [-12, 85.5, 23.5],
      upperInner: [4, 41, 58.5],
      upperOuter: [4, 85, 62.5],
      wheelCentre: [0, 106.8, 42],
      staticCamberDeg: -1,
      staticToeDeg: 2,
      damper: { inner: [-9, 41, 100], outer: [-9, 75, 27], on: 'lower', closedLengthMm: 57 },
      jointLimitDeg: 46,
    },
    bumpMm: 30,
    droopMm: 9,
    rateNPerMm: 0.78,
    preloadMm: 1,
    damperNsPerM: 34,
    targetSagPct: 25,
    unsprungG: 40,
    armMm: 6,
    linkMm: 4,
    damperMm: 10,
    links: 'fixed',
    linkMmPerTurn: 1,
    play: { bearingSpacingMm: 12, inboardMm: 0.04, outboardMm: 0.05, upperMm: 0.06 },
    held: [
      { id: 'outerRear', partId: 'armRear' },
      { id: 'upper', pullN: 320, pushN: 220 },
      { id: 'damper', pullN: 180, pushN: 320 },
    ],
  },
  steering: { lockMm: 8, hornMm: 14 },
};

/** Every joint of both ends found free on a day. */
export const marshHareBench = (at: string): BenchTick[] =>
  ENDS.flatMap((end) =>
    BENCH_ITEMS.map((item) => ({ id: benchId(end, item), at, of: cornerMark(marshHareSuspension, end) })),
  );
