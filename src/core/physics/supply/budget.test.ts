import fc from 'fast-check';
import { refusalOf } from '../../fixtures/refused';
import { parse } from '../../base/schema/parse';
import { powerBudget } from './budget';
import type { BudgetInput, Load, Rail } from './budgetDefinition';
import { powerBudgetSchema } from './budget.schema';

const budget = (input: BudgetInput) => powerBudget(parse(powerBudgetSchema, input));
const battery = { cells: 2, capacityMah: 5000, cellResistanceMilliOhm: 10, maxDischargeC: 20 };
const regulator: Rail = {
  id: 'bec',
  from: 'battery',
  kind: 'buck',
  setV: 6,
  dropoutV: 0.5,
  continuousA: 3,
  peakA: 5,
  efficiency: 0.9,
};
const receiver: Load = {
  id: 'receiver',
  kind: 'receiver',
  rail: 'bec',
  minV: 4.5,
  maxV: 7,
  typicalA: 0.1,
  peakA: 0.15,
};
const servo: Load = {
  id: 'servo',
  kind: 'servo',
  rail: 'bec',
  minV: 4.8,
  maxV: 7.4,
  typicalA: 0.5,
  peakA: 2,
};
const pathOf = (input: object) => refusalOf(() => budget(input as BudgetInput)).path;

describe('power.budget', () => {
  it('goes outward with volts and inward with amperes, by hand', () => {
    const found = budget({ battery, rails: [regulator], loads: [receiver, servo], motorPeakA: 40 });
    // unsagged: 6 V · 0.6 A/(0.9 · 8.4 V) = 0.47619 A; sag · 20 mΩ = 9.524 mV
    const [bec] = found.rails;
    expect(bec!.full.inV).toBeCloseTo(8.4 - 0.47619 * 0.02, 6);
    expect(bec!.full).toMatchObject({ outV: 6, typicalA: 0.6, peakA: 2.15 });
    expect(bec!.full.loadPct).toBeCloseTo(20, 9);
    expect(bec!.low).toMatchObject({ inV: 6.6, outV: 6 });
    // low: 6·0.6/(0.9·6.6) and 6·2.15/(0.9·6.6) + 40
    expect(found.batteryTypicalA).toBeCloseTo(3.6 / 5.94, 9);
    expect(found.batteryPeakA).toBeCloseTo(12.9 / 5.94 + 40, 9);
    expect(found.dischargeC).toBeCloseTo((12.9 / 5.94 + 40) / 5, 9);
    expect(found.findings).toEqual([]);
  });

  it('keeps the watts: what enters a regulator leaves it over its efficiency', () => {
    fc.assert(
      fc.property(
        fc.record({
          setV: fc.double({ min: 3, max: 12, noNaN: true }),
          kind: fc.constantFrom('buck' as const, 'boost' as const),
          amps: fc.double({ min: 0.01, max: 3, noNaN: true }),
          efficiency: fc.double({ min: 0.3, max: 1, noNaN: true }),
          cells: fc.integer({ min: 1, max: 4 }),
        }),
        ({ setV, kind, amps, efficiency, cells }) => {
          const { rails, batteryTypicalA } = budget({
            battery: { cells, capacityMah: 1000 },
            rails: [{ id: 'r', from: 'battery', kind, setV, continuousA: 5, efficiency }],
            loads: [{ id: 'l', rail: 'r', minV: 0, maxV: 50, typicalA: amps, peakA: amps }],
          });
          const watts = ['full', 'low'].map((state) => {
            const { inV, outV } = rails[0]![state as 'full' | 'low'];
            return outV === inV ? amps : outV === 0 ? 0 : (outV * amps) / (efficiency * inV);
          });
          expect(batteryTypicalA).toBeCloseTo(Math.max(...watts), 9);
        },
      ),
    );
  });

  it('chains rails, drops out when low, and lets a boost pass on what is over its setting', () => {
    const found = budget({
      battery: { cells: 2, capacityMah: 1000 },
      rails: [
        { id: 'five', from: 'six', kind: 'linear', setV: 5, continuousA: 1 },
        { ...regulator, id: 'six', dropoutV: 1 },
        { id: 'up', from: 'battery', kind: 'boost', setV: 7, continuousA: 2 },
      ],
      loads: [
        { id: 'light', rail: 'five', minV: 4.5, maxV: 5.5, typicalA: 0.2, peakA: 0.2 },
        { id: 'horn', rail: 'up', minV: 5, maxV: 9, typicalA: 1, peakA: 1 },
      ],
    });
    // low: 6.6 − 1 = 5.6 V, less 1 V of the linear one = 4.6 V; the boost lifts 6.6 to 7 V and passes 8.4 V
    expect(found.rails.map(({ low }) => low.outV)).toEqual([
      expect.closeTo(4.6, 9),
      expect.closeTo(5.6, 9),
      7,
    ]);
    expect(found.rails[2]!.full.outV).toBeCloseTo(8.4, 9);
    expect(found.rails[1]!.full.typicalA).toBeCloseTo(0.2, 9);
    // charged: the boost passes 1 A as it is, the buck takes 6·0.2/(0.9·8.4)
    expect(found.batteryTypicalA).toBeCloseTo(
      Math.max(1 + 1.2 / (0.9 * 8.4), 7 / (0.9 * 6.6) + (5.6 * 0.2) / (0.9 * 6.6)),
      9,
    );
  });

  it('switches a rail off outside its window, with all that hangs on it', () => {
    const found = budget({
      battery: { cells: 2, capacityMah: 1000 },
      rails: [{ ...regulator, minInV: 7 }],
      loads: [servo],
    });
    expect(found.rails[0]!.low).toEqual({ inV: 6.6, outV: 0, typicalA: 0, peakA: 0, loadPct: 0 });
    expect(found.loads[0]).toMatchObject({ full: { ok: true }, low: { volts: 0, ok: false } });
    expect(found.findings.map(({ about, severity }) => `${severity} ${about}`)).toEqual([
      'over servo',
      'over bec',
    ]);
  });

  it('counts peaks that come apart by the largest rise alone', () => {
    const apart = { peaksTogether: false, rail: 'bec', minV: 0, maxV: 9 };
    const found = budget({
      battery,
      rails: [regulator],
      loads: [
        servo,
        { ...apart, id: 'a', typicalA: 0.1, peakA: 0.5 },
        { ...apart, id: 'b', typicalA: 0.2, peakA: 1 },
      ],
    });
    // 2 + 0.1 + 0.2 + (1 − 0.2)
    expect(found.rails[0]!.full.peakA).toBeCloseTo(3.1, 9);
  });

  it('sees a servo’s stall brown out what shares its regulator, and a second regulator cure it', () => {
    const hungry = { ...servo, peakA: 4.95 };
    const shared = budget({ battery, rails: [regulator], loads: [receiver, hungry] });
    expect(shared.findings[0]).toMatchObject({
      severity: 'over',
      about: expect.stringMatching(/receiver|bec/),
    });
    expect(shared.findings.find(({ about }) => about === 'receiver')!.why.code).toBe('note.budget.brownsOut');
    const own = budget({
      battery,
      rails: [regulator, { ...regulator, id: 'servoBec', peakA: 8, continuousA: 6 }],
      loads: [receiver, { ...hungry, rail: 'servoBec' }],
    });
    expect(own.findings).toEqual([]);
  });

  it('is tight from 80 % of a rating, over past it, for rails and pack', () => {
    const at = (typicalA: number) =>
      budget({ battery, rails: [regulator], loads: [{ ...servo, typicalA, peakA: typicalA }] }).findings.map(
        ({ severity, about }) => `${severity} ${about}`,
      );
    expect(at(2.3)).toEqual([]);
    expect(at(2.5)).toEqual(['tight bec']);
    expect(at(3.1)).toEqual(['over bec']);
    const pack = (motorPeakA: number) =>
      budget({ battery, rails: [], loads: [], motorPeakA }).findings.map(
        ({ severity, about }) => `${severity} ${about}`,
      );
    expect([pack(70), pack(90), pack(110)]).toEqual([[], ['tight battery'], ['over battery']]);
  });

  it('refuses loops, strangers, doubles and the reserved name, each by its field', () => {
    const two = { battery, loads: [] };
    expect(
      pathOf({
        ...two,
        rails: [
          { ...regulator, from: 'b' },
          { ...regulator, id: 'b', from: 'bec' },
        ],
      }),
    ).toBe('rails.0.from');
    expect(pathOf({ ...two, rails: [{ ...regulator, from: 'nowhere' }] })).toBe('rails.0.from');
    expect(pathOf({ ...two, rails: [regulator, regulator] })).toBe('rails.1.id');
    expect(pathOf({ ...two, rails: [{ ...regulator, id: 'battery' }] })).toBe('rails.0.id');
    expect(pathOf({ battery, rails: [regulator], loads: [{ ...servo, rail: 'x' }] })).toBe('loads.0.rail');
    expect(pathOf({ ...two, rails: [{ ...regulator, kind: 'direct' }] })).toBe('rails.0.setV');
    expect(pathOf({ ...two, rails: [{ id: 'a', from: 'battery', kind: 'buck', continuousA: 1 }] })).toBe(
      'rails.0.setV',
    );
    expect(pathOf({ battery, rails: [regulator], loads: [{ ...servo, maxV: 3 }] })).toBe('loads.0.maxV');
  });
});
