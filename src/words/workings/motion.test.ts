import { emptyDocument } from '@/core/car/document/document';
import { briefDemand } from '@/core/physics/motion/demand';
import type { DriveRunInput } from '@/core/physics/motion/definition';
import { launchFacts } from '@/core/physics/motion/launchFacts';
import { powerCurves } from '@/core/physics/motion/powerCurves';
import { driveRun } from '@/core/physics/motion/run';
import { resistanceFacts, topSpeedFacts } from '@/core/physics/motion/topSpeedFacts';
import { measuredOf } from '@/core/worked/field/measured';
import type { WorkingStep } from '../workingStep';
import { writerFor } from '../write';
import { workingDemand } from './demand';
import { workingMeasured, workingPrediction } from './field';
import { workingLaunch, workingResistance, workingTopSpeed } from './motion';

const write = writerFor({ locale: 'en-GB', units: 'metric' });
const input: DriveRunInput = {
  car: {
    massKg: 2,
    cdaM2: 0.03,
    claRearM2: 0.01,
    rollingResistance: 0.05,
    frontLoadShare: 0.45,
    cgHeightMm: 60,
    wheelbaseMm: 300,
    drivenAxles: 'all',
  },
  tyre: { radiusMm: 40, mu: 0.8 },
  drive: { ratio: 8, efficiency: 0.85 },
  motor: { kvRpmPerV: 2500, resistanceMilliOhm: 20, noLoadCurrentA: 1.5 },
  esc: { currentLimitA: 80 },
  battery: { cells: 2, cellResistanceMilliOhm: 4, capacityMah: 5000 },
};
const run = driveRun(input);
const value = (steps: readonly WorkingStep[], label: string) =>
  steps.find((step) => step.label === label)!.value!;

describe('a working ends in the figure that it explains', () => {
  it('of the top speed, where force meets resistance', () => {
    const steps = workingTopSpeed(topSpeedFacts(input, run), write);
    expect(value(steps, 'Top speed')).toBe(run.topSpeedMps);
    expect(value(steps, 'No-load speed')).toBe(run.noLoadSpeedMps);
    expect(value(steps, 'Wheel force there')).toBeCloseTo(value(steps, 'Resistance'), 6);
    expect(value(steps, 'Resistance')).toBeCloseTo(value(steps, 'Drag') + value(steps, 'Rolling'), 12);
    expect(steps.find(({ label }) => label === 'No-load speed')!.formula).toBe(
      '8.4\u00a0V · 2,500\u00a0rpm/V · 2π/60 · 40\u00a0mm / 8',
    );
  });

  it('of the resistance, with downforce on the wheels', () => {
    // 10 m/s: drag 1.8 N, down 0.6 N, rolling 0.05·(19.62 + 0.6)
    const steps = workingResistance(resistanceFacts(input, 10), write);
    expect(value(steps, 'Resistance')).toBeCloseTo(1.8 + 0.05 * 20.22, 10);
  });

  it('of the launch, the lower of motor and tyres', () => {
    const steps = workingLaunch(launchFacts(input, run), write);
    const lower = Math.min(value(steps, 'Motor at a standstill'), value(steps, 'Tyres at a standstill'));
    expect(value(steps, 'Peak acceleration')).toBeLessThanOrEqual((lower - 0.05 * 19.62) / 2 + 1e-9);
  });

  it('of the demand, down to the charge', () => {
    const wish = {
      targetMps: 8,
      massKg: 2,
      cdaM2: 0.03,
      tyreRadiusMm: 40,
      drivenAxles: 'all' as const,
      frontLoadShare: 0.5,
      cgHeightMm: 60,
      wheelbaseMm: 300,
      surfaces: [{ id: 's', mu: 0.8, rollingResistance: 0.05 }],
      runTimeMinutes: 20,
      cells: 2,
    };
    const demand = briefDemand(wish).surfaces[0]!;
    const steps = workingDemand(wish, demand, write);
    expect(value(steps, 'Drag') + value(steps, 'Rolling')).toBeCloseTo(demand.resistanceN, 12);
    expect(value(steps, 'Charge')).toBe(demand.chargeMah);
    const [curve] = powerCurves(wish, briefDemand, 8, 5);
    expect(curve!.powerW.at(-1)).toBeCloseTo(demand.powerAtWheelW, 12);
    expect(curve!.powerW[0]).toBeCloseTo(0, 3);
  });

  it('of a measured run and of its prediction', () => {
    const conditions = { surfaceId: 's', surfaceName: 'S', distanceM: 20, packVBefore: 7.68, ambientC: 15 };
    const sheet = {
      conditions,
      attempts: [
        { id: '1', timeS: 2 },
        { id: '2', timeS: 2.2 },
      ],
    };
    const measured = measuredOf(sheet);
    const steps = workingMeasured(sheet, measured, write);
    expect(value(steps, 'Attempt 2')).toBeCloseTo(20 / 2.2, 12);
    expect(value(steps, 'Error')).toBe(Math.max(value(steps, 'Spread over √n'), value(steps, 'Timing')));
    const document = {
      ...emptyDocument(),
      power: {
        battery: {
          name: 'P',
          cells: 2,
          parallel: 1,
          cellResistanceMilliOhm: 3,
          capacityMah: 5000,
          maxDischargeC: 40,
          massG: 265,
        },
      },
    };
    const prediction = { timeS: 2.1, timeErrorS: 0.05, speedMps: 20 / 2.1, speedErrorMps: 0.2, massKg: 2 };
    const predicted = workingPrediction(
      {
        ...sheet,
        id: 'r',
        revisionId: 'v',
        kind: 'timedDistance',
        ranAt: '',
        document,
        prediction,
      },
      write,
    );
    expect(value(predicted, 'Charge')).toBeCloseTo(0.5, 12);
    expect(value(predicted, 'Mean speed')).toBe(prediction.speedMps);
  });
});
