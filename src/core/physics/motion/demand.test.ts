import fc from 'fast-check';
import { briefDemand, type BriefDemandInput } from './demand';

const base: BriefDemandInput = {
  targetMps: 10,
  massKg: 2,
  cdaM2: 0.03,
  tyreRadiusMm: 50,
  drivenAxles: 'all',
  frontLoadShare: 0.5,
  cgHeightMm: 50,
  wheelbaseMm: 250,
  surfaces: [{ id: 'asphalt', mu: 0.9, rollingResistance: 0.02 }],
  ratio: 8,
  runTimeMinutes: 30,
  cells: 2,
};

describe('brief.demand', () => {
  it('adds up by hand', () => {
    const [demand] = briefDemand(base).surfaces;
    // drag 0.5·1.2·0.03·100 = 1.8 N, rolling 0.02·19.62 = 0.3924 N
    expect(demand!.resistanceN).toBeCloseTo(2.1924, 10);
    expect(demand!.powerAtWheelW).toBeCloseTo(21.924, 9);
    expect(demand!.gripN).toBeCloseTo(0.9 * 19.62, 10);
    expect(demand!.launchMps2).toBeCloseTo((0.9 - 0.02) * 9.81, 10);
    // at 6 m/s: (0.648 + 0.3924)·6/(0.8·0.75) = 10.404 W; half an hour 5.202 Wh; at 7.6 V 684.5 mAh
    expect(demand!.meanPowerW).toBeCloseTo(10.404, 9);
    expect(demand!.energyWh).toBeCloseTo(5.202, 9);
    expect(demand!.chargeMah).toBeCloseTo(684.47, 2);
  });

  it('turns the wheel and the motor', () => {
    const { wheelRpm, motorRpm } = briefDemand(base);
    expect(wheelRpm).toBeCloseTo((10 / (Math.PI * 0.1)) * 60, 9);
    expect(motorRpm).toBeCloseTo(8 * wheelRpm, 9);
  });

  it('finds where drag outruns grip: ½ρCdA·v² = (μ − c_rr)·m·g', () => {
    const [demand] = briefDemand(base).surfaces;
    expect(demand!.gripSpeedMps).toBeCloseTo(Math.sqrt((0.88 * 19.62) / 0.018), 6);
  });

  it('says so where grip never ends, and 0 where it fails at rest', () => {
    const result = briefDemand({
      ...base,
      surfaces: [
        { id: 'wing', mu: 0.9, rollingResistance: 0.02 },
        { id: 'ice', mu: 0.01, rollingResistance: 0.02 },
      ],
      claRearM2: 0.1,
    });
    expect(result.surfaces[0]).not.toHaveProperty('gripSpeedMps');
    expect(result.notes).toMatchObject([{ code: 'note.demand.gripEnough', facts: { surface: 'wing' } }]);
    expect(result.surfaces[1]).toMatchObject({ gripSpeedMps: 0, gripHolds: false, launchMps2: 0 });
  });

  it('holds grip below the grip speed and loses it above, for every layout', () => {
    const inputs = fc.record({
      mu: fc.double({ min: 0.2, max: 1.2, noNaN: true }),
      cla: fc.double({ min: -0.02, max: 0.03, noNaN: true }),
      driven: fc.constantFrom('front' as const, 'rear' as const, 'all' as const),
    });
    fc.assert(
      fc.property(inputs, ({ mu, cla, driven }) => {
        const at = (targetMps: number) =>
          briefDemand({
            ...base,
            targetMps,
            drivenAxles: driven,
            claFrontM2: cla,
            surfaces: [{ id: 's', mu, rollingResistance: 0.02 }],
          }).surfaces[0]!;
        const limit = at(1).gripSpeedMps;
        if (limit === undefined || limit < 0.01) return;
        expect(at(limit * 0.999).gripHolds).toBe(true);
        expect(at(limit * 1.001).gripHolds).toBe(false);
      }),
    );
  });
});
