import { exchangedBy, exchanging } from '../../fixtures/remedies';
import { type Power, type PowerLoad, type PowerRail } from '../../car/document/power';
import { applyPatch } from '../../base/patch';
import { statesOn } from '../states';
import { car } from '../../fixtures/car';
import { servoOf } from '../../worked/power/servoOfBuild';
import { supplyOf } from '../../worked/power/supplyOfBuild';
import { own, receiver, servo, build, wired, check } from '../../fixtures/wired';

describe('a plug that was metered', () => {
  const supply = (more: Partial<Power>) => {
    const found = supplyOf(build(more), 0);
    if (!found.ok) throw new Error('no supply');
    return found;
  };
  const loadV = (found: ReturnType<typeof supply>, id: string) =>
    found.result.loads.find((one) => one.id === id)!;

  it('corrects the tree by Ohm: 0.2 V at 0.55 A in the regulator are 1.3 V at the 3.6 A of its peak', () => {
    const found = supply({ rails: [{ ...own, meteredV: 5.8 }] });
    expect(found.metered).toEqual([
      {
        id: 'own',
        meteredV: 5.8,
        expectedV: 6,
        atA: 0.55,
        lossOhm: expect.closeTo(0.2 / 0.55, 9),
        lostIn: 'regulator',
      },
    ]);
    expect(loadV(found, 'sv').full.volts).toBeCloseTo(5.8, 9);
    expect(loadV(found, 'sv').low.volts).toBeCloseTo(6 - (3.6 * 0.2) / 0.55, 6);
    // 4.69 V of the 4.8 V that the servo needs
    expect(check(build({ rails: [{ ...own, meteredV: 5.8 }] }), 'power.load:sv').state).toBe('over');
    expect(check(wired, 'power.load:sv').state).not.toBe('over');
  });

  it('tells the lead from the regulator where both ends are metered, and counts nothing twice', () => {
    const found = supply({
      rails: [{ ...own, meteredV: 5.8 }],
      loads: [receiver, { ...servo, meteredV: 5.5 }],
    });
    expect(found.metered.map(({ id, expectedV, lostIn }) => [id, expectedV, lostIn])).toEqual([
      ['own', 6, 'regulator'],
      ['sv', expect.closeTo(5.8, 9), 'lead'],
    ]);
    expect(loadV(found, 'sv').full.volts).toBeCloseTo(5.5, 9);
    expect(loadV(found, 'rx').full.volts).toBeCloseTo(5.8, 9);
    expect(supply({ loads: [receiver, { ...servo, meteredV: 5.5 }] }).metered[0]).toMatchObject({
      lostIn: 'either',
    });
  });

  it('takes the pack’s volts of that moment, and a higher reading for no loss', () => {
    const direct: PowerLoad = { ...servo, rail: 'battery', maxV: 9, meteredV: 7.2 };
    const [plug] = supply({ loads: [direct], meteredPackV: 7.4 }).metered;
    expect(plug).toMatchObject({ expectedV: 7.4, lostIn: 'lead', lossOhm: expect.closeTo(0.4, 9) });
    const higher = supply({ rails: [{ ...own, meteredV: 6.4 }] });
    expect(higher.metered[0]!.lossOhm).toBe(0);
    expect(loadV(higher, 'sv').full.volts).toBe(6);
  });

  it('leaves a ring of rails to be refused', () => {
    const ring: PowerRail[] = [
      { ...own, from: 'b', meteredV: 5 },
      { ...own, id: 'b', from: 'own' },
    ];
    expect(supplyOf(build({ rails: ring }), 0)).toMatchObject({ ok: false });
  });
});

describe('the supply of a build', () => {
  it('browns out on a shared regulator, in the builder’s words, and a second one cures it', () => {
    const starved = check(wired, 'power.load:rx');
    expect(starved).toMatchObject({
      state: 'over',
      finding: {
        code: 'power.load.brownOut',
        facts: {
          servo: 'Servo',
          takes: { value: 3.5, quantity: 'currentA' },
          rail: 'Own regulator',
          gives: { value: 3, quantity: 'currentA' },
        },
      },
    });
    expect(check(wired, 'power.rail:own').state).toBe('over');
    const cure = starved.remedies.find(exchanging('sv'))!;
    const cured = applyPatch(wired, cure.patch);
    for (const id of ['power.load:rx', 'power.load:sv', 'power.rail:own', 'power.rail:own-sv'])
      expect(check(cured, id).state).toBe('clear');
  });

  it('says what it lacks by name, and names a ring that feeds itself', () => {
    expect(supplyOf(build({ rails: [{ ...own, setV: undefined }] }), 0)).toMatchObject({
      ok: false,
      missing: ['power.rails.own.setV'],
    });
    const ring = build({
      rails: [
        { ...own, from: 'b' },
        { ...own, id: 'b', name: 'Other', from: 'own' },
      ],
    });
    expect(supplyOf(ring, 0)).toMatchObject({
      ok: false,
      refused: { code: 'budget.ring', given: { id: 'Own regulator' } },
    });
    expect(check(ring, 'power.rail:own')).toMatchObject({
      state: 'unknown',
      finding: {
        code: 'power.supply.refused',
        facts: { refused: { code: 'budget.ring' } },
      },
    });
  });

  it('gets a stronger regulator where it has none to spare', () => {
    const small = build({ loads: [receiver, { ...servo, peakA: 2.8, typicalA: 2 }] });
    const stronger = check(small, 'power.rail:own').remedies.find(exchanging('continuousA'))!;
    expect(applyPatch(small, stronger.patch).power.rails![0]).toMatchObject({ continuousA: 3, peakA: 4 });
    expect(stronger.state).toBe('clear');
  });

  it('feeds too much or too little, with a rail that fits as the remedy', () => {
    const hungry = applyPatch(wired, [
      { path: ['power', 'loads', 'sv'], value: { ...servo, rail: 'battery' } },
    ]);
    const over = check(hungry, 'power.load:sv');
    expect(over).toMatchObject({ state: 'over', limit: 7.4 });
    expect(over.margin!).toBeLessThan(1);
    expect(over.remedies[0]!.state).toBe('clear');
  });

  it('sees the lowest volts of the run: what the cut-off would still feed browns out under full throttle', () => {
    // 2 cells at 30 % are 7.54 V; 60 A over 2 · 30 mΩ take 3.6 V, far under the cut-off of 6.6 V
    const saggy = applyPatch(wired, [
      { path: ['power', 'battery', 'cellResistanceMilliOhm'], value: 60 },
      { path: ['power', 'loads', 'rx', 'minV'], value: 5.5 },
    ]);
    const stiff = applyPatch(saggy, [{ path: ['power', 'battery', 'cellResistanceMilliOhm'], value: 0 }]);
    expect(check(stiff, 'power.load:rx').finding!.code).not.toBe('power.load.low');
    const found = check(saggy, 'power.load:rx');
    expect(found).toMatchObject({
      state: 'over',
      finding: { code: 'power.load.low', facts: { charge: 'low' } },
    });
    const lowest = check(saggy, 'power.sag').value! * 2;
    // the regulator drops half a volt
    expect(found.value).toBeCloseTo(lowest - 0.5, 9);
  });

  it('turns what a linear regulator drops into heat, which a switching one does not', () => {
    const linear = build({
      rails: [{ ...own, kind: 'linear', setV: 5, dropoutV: 1, peakA: 10, continuousA: 5 }],
    });
    // (8.4 V less 0.55 A through 2 · the cell’s resistance − 5 V) · 0.55 A
    const sagV = 0.55 * 2 * (car.power.battery!.cellResistanceMilliOhm / 1000);
    const found = check(linear, 'power.rail:own');
    expect(found).toMatchObject({
      state: 'over',
      finding: { code: 'power.rail.heat', facts: { sheds: { value: 1.4 } } },
    });
    expect(found.margin).toBeCloseTo(1.4 / ((8.4 - sagV - 5) * 0.55), 9);
    expect(found.remedies.find(exchanging('kind'))).toMatchObject({
      state: 'clear',
      exchanges: [{ from: 'linear', to: 'buck' }],
    });
    expect(
      check(applyPatch(linear, [{ path: ['power', 'rails', 'own', 'shedsW'], value: 5 }]), 'power.rail:own')
        .state,
    ).toBe('clear');
  });

  it('adds the tree to what the pack must give', () => {
    const alone = check(car, 'power.pack').value!;
    // low: (3.5 + 0.1) A at 6 V through 90 % from 6.6 V
    expect(check(wired, 'power.pack').value!).toBeCloseTo(alone + (6 * 3.6) / (0.9 * 6.6), 6);
  });

  it('has a check for each rail, load and servo among those that are worked out at once', () => {
    const ids = statesOn(wired, car.brief.surfaces[0]).map(({ id }) => id);
    expect(ids).toEqual(
      expect.arrayContaining([
        'power.rail:own',
        'power.load:rx',
        'power.load:sv',
        'power.servo:sv',
        'power.radio',
        'power.failsafe',
        'power.wiring',
      ]),
    );
  });
});

describe('a servo at its true voltage', () => {
  it('stands between the data sheet’s points, and against the wheels by hand', () => {
    const found = servoOf(wired, { ...car.brief.surfaces[0]!, mu: 1, ground: 'hard' }, servo, 0);
    if (!found.ok) throw new Error(found.missing.join());
    // 6 V halfway from 5 to 7 V
    expect(found.value.low.torqueKgcm).toBeCloseTo(12, 9);
    const mu = car.drive.tyre!.hardFactor;
    // 1.9 kg, half of it in front, √(20²/8 + 10²) mm, 80 % of the linkage
    expect(found.value.steer.neededNm).toBeCloseTo(
      (mu * 1.9 * 9.81 * 0.5 * Math.sqrt(400 / 8 + 100)) / 1000 / 0.8,
      9,
    );
    expect(found.value.steer.availableNm).toBeCloseTo(12 * 0.0980665, 9);
  });

  it('too weak at a low rail is stronger at a higher one', () => {
    const weak = build({
      loads: [
        receiver,
        { ...servo, peakA: 1, servo: { lowV: 5, lowTorqueKgcm: 1, highV: 7, highTorqueKgcm: 4 } },
      ],
      rails: [{ ...own, setV: 5, dropoutV: 0 }],
    });
    const before = check(weak, 'power.servo:sv');
    expect(before.state).not.toBe('clear');
    expect(before.remedies.filter(exchanging('lowTorqueKgcm')).map(exchangedBy)).toEqual([[1, 1.5]]);
    expect(check(applyPatch(weak, before.remedies[0]!.patch), 'power.servo:sv').margin!).toBeGreaterThan(
      before.margin!,
    );
  });
});
