import type { BuildDocument } from '@/core/car/document/document';
import type { ClampedBlow, SpunTyre, TyreSpin } from '@/core/car/records/benchReport';
import type { RunSheet } from '@/core/car/records/records';
import { normalFrom } from '@/core/base/numeric/random';
import { shuffledOrder } from '@/core/advice/learn/series';
import { tyreSpin } from '@/core/physics/tyres/tyreSpin';
import { tyreForBench } from '@/core/worked/bench/constructions';
import { makeOf } from '@/core/worked/tyres/tyreMake';

/** What the benches do not say: the rubber is softer than is typical, and so on; the fits have to find it. */
export const HIDDEN = {
  modulusMpa: 3.1,
  diameterErrorMm: 0.12,
  /** Bumpers as they are and with more walls, J, and how much copies differ. */
  bumperJ: 2.4,
  thickerJ: 4.2,
  scatter: 0.2,
  heavyDeg: 200,
  imbalanceGmm: 44,
  shakePerGmm: 0.05,
  leftGmm: 2.4,
  bestGain: 44,
  bestMps: 8.4,
  lostMpsPerGain2: 0.0011,
};

const RPMS = [0, 2000, 3500, 5000, 6500, 8000];
const FASTEST = 9000;
const [DROP_KG, FIRST_MM, STEP, COPIES] = [0.8, 250, 1.14, 16];
const TRIAL = { massG: 2, radiusMm: 30 };

const bare = (document: BuildDocument) => ({ attempts: [], conditions: {}, document });

/** Two ways to hold the tyre, one wheel balanced, and bumpers hit up and down. */
export function marshHareBenches(document: BuildDocument): RunSheet[] {
  const glued = tyreForBench(document, 'rear')!;
  const tight: SpunTyre = {
    ...glued,
    name: `${glued.name}, not glued`,
    hold: {
      rimRadiusMm: glued.hold.rimRadiusMm!,
      widthMm: glued.hold.widthMm!,
      by: 'friction',
      interferenceMm: 5,
    },
  };
  return [
    {
      id: 'mh-d-spin-1',
      kind: 'tyreSpin',
      ranAt: '2026-05-24T08:30:00.000Z',
      note: 'By remote from behind the shed door.',
      report: {
        shielded: true,
        spunTyre: glued,
        spins: [...growing(glued, RPMS, 41), end('drive', FASTEST, 'drive ran out')],
      },
      ...bare(document),
    },
    {
      id: 'mh-d-spin-2',
      kind: 'tyreSpin',
      ranAt: '2026-05-24T09:10:00.000Z',
      note: 'Without glue it came up off the rim, all at once.',
      report: {
        shielded: true,
        spunTyre: tight,
        spins: [...growing(tight, RPMS.slice(0, 3), 42), end('up', seatRpm(tight), 'lifted')],
      },
      ...bare(document),
    },
    {
      id: 'mh-d-balance-1',
      kind: 'balance',
      ranAt: '2026-05-24T10:00:00.000Z',
      note: 'The phone lay on the chassis plate.',
      report: { balance: shaking(document, 43) },
      ...bare(document),
    },
    gainSeries(document, 48),
    {
      id: 'mh-d-staircase-1',
      kind: 'staircase',
      ranAt: '2026-05-24T16:00:00.000Z',
      note: 'Clamped in the vice by its screws, the weight on a string.',
      report: {
        blows: {
          way: 'drop',
          dropMassKg: DROP_KG,
          variants: [
            { id: 'stock', name: 'Bumper', partId: 'bumper', blows: upAndDown(HIDDEN.bumperJ, 44) },
            { id: 'walls', name: 'Bumper, two walls more', blows: upAndDown(HIDDEN.thickerJ, 47) },
          ],
        },
      },
      ...bare(document),
    },
  ];
}

function growing(tyre: SpunTyre, rpms: readonly number[], seed: number): TyreSpin[] {
  const error = normalFrom(seed);
  return rpms.map((rpm) => {
    const truly = rpm === 0 ? 2 * tyre.radiusMm : spun(tyre, rpm).diameterMm!;
    return {
      id: `at-${rpm}`,
      rpm,
      diameterMm: Number((truly + HIDDEN.diameterErrorMm * error()).toFixed(1)),
    };
  });
}

function spun(tyre: SpunTyre, rpm: number) {
  const make = makeOf(tyre.kind, tyre.radiusMm, tyre.hold);
  if (!make.ok) throw new Error(`the demo tyre cannot be spun: ${make.missing.join(', ')}`);
  return tyreSpin({ ...make.value, hoopModulusMpa: HIDDEN.modulusMpa, rpm });
}

const seatRpm = (tyre: SpunTyre) =>
  Math.round(spun(tyre, 1).limits!.find(({ what }) => what === 'seat')!.rpm / 10) * 10;

const end = (id: string, rpm: number, outcome: TyreSpin['outcome']): TyreSpin => ({
  id,
  rpm,
  ...(outcome ? { outcome } : {}),
});

function shaking(document: BuildDocument, seed: number) {
  const error = normalFrom(seed);
  const read = (gmm: number) => Number((HIDDEN.shakePerGmm * gmm * (1 + 0.01 * error())).toFixed(3));
  const heavy = (HIDDEN.heavyDeg * Math.PI) / 180;
  return {
    wheel: 'rearLeft' as const,
    massG: document.drive.tyre!.massG,
    rpm: 2100,
    trialMassG: TRIAL.massG,
    trialRadiusMm: TRIAL.radiusMm,
    correctionRadiusMm: 28,
    amplitude: read(HIDDEN.imbalanceGmm),
    runs: [0, 120, 240].map((angleDeg) => {
      const at = (angleDeg * Math.PI) / 180;
      const trial = TRIAL.massG * TRIAL.radiusMm;
      return {
        id: `at-${angleDeg}`,
        angleDeg,
        amplitude: read(
          Math.hypot(
            HIDDEN.imbalanceGmm * Math.cos(heavy) + trial * Math.cos(at),
            HIDDEN.imbalanceGmm * Math.sin(heavy) + trial * Math.sin(at),
          ),
        ),
      };
    }),
    amplitudeAfter: read(HIDDEN.leftGmm),
  };
}

/** A step higher after each copy that held, a step lower after each that broke. */
function upAndDown(halfJ: number, seed: number): ClampedBlow[] {
  const spread = normalFrom(seed);
  let heightMm = FIRST_MM;
  return Array.from({ length: COPIES }, (_unused, k): ClampedBlow => {
    const atMm = Math.round(heightMm / 5) * 5;
    const strength = halfJ * Math.exp(HIDDEN.scatter * spread());
    const broke = (DROP_KG * 9.81 * atMm) / 1000 >= strength;
    heightMm = broke ? heightMm / STEP : heightMm * STEP;
    return { id: `blow-${k + 1}`, dropMassKg: DROP_KG, heightMm: atMm, broke, part: `copy ${k + 1}` };
  });
}

const [GAINS, TIMES, DISTANCE_M, FPS, SPREAD] = [[20, 30, 40, 50, 60, 70], 3, 20, 240, 0.012];

/** Degrees of steering a degree a second for one per cent of this gyro's dial. */
const GAIN_OF_ONE = 0.0011;

/** How fast the car stays on twenty metres with more and more of its gyro, in a shuffled order. */
function gainSeries(document: BuildDocument, seed: number): RunSheet {
  const surface = document.brief.surfaces[0]!;
  const error = normalFrom(seed);
  const order = shuffledOrder(GAINS, TIMES, seed);
  return {
    id: 'mh-d-series-1',
    kind: 'series',
    ranAt: '2026-05-24T13:00:00.000Z',
    note: 'A friend set it; the driver did not know.',
    document,
    conditions: {
      surfaceId: surface.id,
      surfaceName: surface.name,
      distanceM: DISTANCE_M,
      distanceErrorM: 0.02,
      runUpM: 25,
      ambientC: 18,
    },
    report: {
      settingName: 'gyro gain',
      settingUnit: '%',
      settingAid: { of: 'yawGain', perUnit: GAIN_OF_ONE },
      blind: true,
      order,
    },
    attempts: order.map((setting, k) => {
      const mps =
        (HIDDEN.bestMps - HIDDEN.lostMpsPerGain2 * (setting - HIDDEN.bestGain) ** 2) * (1 + SPREAD * error());
      return { id: `run-${k + 1}`, setting, frames: Math.round((DISTANCE_M / mps) * FPS), captureFps: FPS };
    }),
  };
}
