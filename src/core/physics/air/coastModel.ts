import { AIR_DENSITY, GRAVITY } from '../../base/constants';
import type { CoastInput, CoastRun } from './coastDefinition';

/** What the roll-out is fitted for, SI; the grade in percent. */
export interface Coasting {
  cdaM2: number;
  rollingResistance: number;
  windMps: number;
  gradePct: number;
}

const LONGEST_STEP_S = 0.05;
const MOST_STEPS = 1000;

/** Mass and what turns along with it, kg. */
export const effectiveMass = ({ massKg, rotatingInertiaKgM2 = 0, tyreRadiusMm }: CoastInput): number =>
  massKg + (tyreRadiusMm === undefined ? 0 : rotatingInertiaKgM2 / (tyreRadiusMm / 1000) ** 2);

/** Speeds of a run at its readings from the speed of the first one on, by Runge-Kutta 4 between them. */
export function coastSpeeds(
  input: CoastInput,
  { direction, readings }: CoastRun,
  { cdaM2, rollingResistance, windMps, gradePct }: Coasting,
  startMps: number,
): number[] {
  const { massKg, airDensityKgM3 = AIR_DENSITY, claM2 = 0 } = input;
  const mass = effectiveMass(input);
  const sign = direction === 'back' ? -1 : 1;
  const slope = Math.atan(gradePct / 100);
  const steady = (massKg * GRAVITY * (rollingResistance * Math.cos(slope) + sign * Math.sin(slope))) / mass;
  const air = (airDensityKgM3 * (cdaM2 + rollingResistance * claM2)) / (2 * mass);
  const wind = sign * windMps;
  const change = (v: number) => -steady - air * (v - wind) * Math.abs(v - wind);
  let v = startMps;
  return readings.map(({ tS }, k) => {
    if (k === 0) return v;
    const span = tS - readings[k - 1]!.tS;
    const steps = Math.min(MOST_STEPS, Math.max(1, Math.ceil(span / LONGEST_STEP_S)));
    const h = span / steps;
    for (let step = 0; step < steps; step++) {
      const first = change(v);
      const second = change(v + (h / 2) * first);
      const third = change(v + (h / 2) * second);
      v += (h / 6) * (first + 2 * second + 2 * third + change(v + h * third));
    }
    return v;
  });
}

/** Drag and rolling resistance as the losses of speed between readings say them: where the fit starts. */
export function coastGuess(input: CoastInput): Coasting {
  const { massKg, airDensityKgM3 = AIR_DENSITY, claM2 = 0, windMps = 0, gradePct = 0, runs } = input;
  const losses = runs.flatMap(({ readings }) => {
    const far = Math.max(1, Math.floor(readings.length / 8));
    return readings.slice(far).map(({ tS, speedMps }, k) => {
      const before = readings[k]!;
      return {
        square: ((speedMps + before.speedMps) / 2) ** 2,
        loss: (before.speedMps - speedMps) / (tS - before.tS),
      };
    });
  });
  const n = losses.length;
  const [square, loss] = (['square', 'loss'] as const).map(
    (what) => losses.reduce((sum, one) => sum + one[what], 0) / n,
  ) as [number, number];
  const spread = losses.reduce((sum, one) => sum + (one.square - square) ** 2, 0);
  const common = losses.reduce((sum, one) => sum + (one.square - square) * (one.loss - loss), 0);
  const slope = spread > 0 ? Math.max(0, common / spread) : 0;
  const mass = effectiveMass(input);
  const rollingResistance = Math.max(1e-4, ((loss - slope * square) * mass) / (massKg * GRAVITY));
  const cdaM2 = Math.max(1e-4, (2 * mass * slope) / airDensityKgM3 - rollingResistance * claM2);
  return { cdaM2, rollingResistance, windMps, gradePct };
}
