import type { BuildDocument } from '../../car/document/document';
import { applyPatch } from '../../base/patch';
import type { End } from '../../car/document/suspension';
import { weightOf } from '../chassis/weightOfBuild';
import { evaluateBuild } from '../../verdict/evaluate';
import { car } from '../../fixtures/car';
import { articulationsOf, endOf } from './endOfBuild';
import { restOf } from './restOfBuild';
import { cornerWeights, inWheelCost, rateAsDrawn, rideOf, springPatch } from './rideOfBuild';
import { startCorner, TEMPLATES } from './start';
import { suspensionSweep } from '../../physics/corner/sweep';
import { size, drawn, end, whole, check, changed } from '../../fixtures/suspended';

describe('where an end rests', () => {
  /** One wheel's sprung mass on a wheel rate, less the preload, from full droop of 10 mm. */
  const sagMm = (document: BuildDocument, rateNPerMm: number, which: End) => {
    const weights = cornerWeights(document);
    const found = endOf(document, which);
    if (!weights.ok || !found.ok) throw new Error('not ready');
    const ratio = found.value.sweep.stations.find(({ travelMm }) => travelMm === 0)!.motionRatio!;
    const weightN = (weights.value[which].sprungG / 1000) * 9.81;
    return (weightN - rateNPerMm * 1 * ratio) / (rateNPerMm * ratio ** 2);
  };
  const sprung = (rateNPerMm: number) =>
    changed({ path: ['suspension', 'front', 'rateNPerMm'], value: rateNPerMm });

  it('is where its springs hold it: sag from full droop, and everything at rest is read there', () => {
    for (const rate of [0.7, 1.4]) {
      const document = sprung(rate);
      const rest = restOf(document, 'front')!;
      expect(rest.travelMm).toBeCloseTo(sagMm(document, rate, 'front') - 10, 9);
      // drawn anew at rest it is the same corner: moved back by as much it has the angles of the drawing
      const { stations } = suspensionSweep({ ...rest.corner, travelMm: [-rest.travelMm] });
      expect(stations[0]!.camberDeg).toBeCloseTo(whole.suspension.front!.corner!.staticCamberDeg, 6);
      expect(stations[0]!.toeDeg).toBeCloseTo(whole.suspension.front!.corner!.staticToeDeg, 6);
      expect(rest.corner.staticCamberDeg).toBe(rest.station.camberDeg);
    }
  });

  it('ends at the stops, and is as drawn while springs are not known', () => {
    expect(restOf(sprung(0.01), 'front')!.travelMm).toBe(16);
    expect(
      restOf(changed({ path: ['suspension', 'front', 'preloadMm'], value: 100 }), 'front')!.travelMm,
    ).toBe(-10);
    const bare = changed({ path: ['suspension', 'front', 'rateNPerMm'], value: undefined });
    expect(restOf(bare, 'front')).toMatchObject({ travelMm: 0, sprung: false });
  });

  it('says where it differs from the drawing, and which springs would hold it there', () => {
    const document = sprung(1.4);
    const { finding } = check(document, 'suspension.sag');
    expect(finding).toMatchObject({ facts: { end: 'front', drawn: { car: 'higher' } } });
    const mended = applyPatch(document, springPatch(document, 'front', rateAsDrawn(document, 'front')!));
    // three figures of the spring are as good as the drawing
    expect(Math.abs(restOf(mended, 'front')!.travelMm)).toBeLessThan(0.1);
  });

  it('asks of the joints what they turn anywhere between the stops and from lock to lock', () => {
    const found = endOf(whole, 'front');
    const straight = endOf(
      changed({ path: ['suspension', 'steering', 'lockMm'], value: undefined }),
      'front',
    );
    if (!found.ok || !straight.ok) throw new Error('not ready');
    const [all, ahead] = [articulationsOf(found.value), articulationsOf(straight.value)];
    expect(all.tieOuter!).toBeGreaterThan(ahead.tieOuter! + 1);
    const most = suspensionSweep({ ...found.value.corner, travelMm: [-10, 0, 16], rackMm: [-7, 0, 7] });
    for (const { articulationDeg } of most.stations)
      for (const [name, deg] of Object.entries(articulationDeg))
        expect(deg).toBeLessThanOrEqual(all[name as keyof typeof all]! + 1e-6);
    // enough for the way straight ahead, too little for full lock
    const limit = (ahead.tieOuter! + all.tieOuter!) / 2;
    const tight = changed({ path: ['suspension', 'front', 'corner', 'jointLimitDeg'], value: limit });
    expect(check(tight, 'suspension.lock')).toMatchObject({
      state: 'over',
      finding: { facts: { joint: 'tieOuter' } },
    });
  });
});

describe('corners to start from', () => {
  it.each(TEMPLATES)(
    '%s moves freely at both ends, without bump steer, and does what it says',
    (template) => {
      for (const which of ['front', 'rear'] as const) {
        const corner = drawn(template, which);
        const { stations, findings, bumpSteerDegPerMm } = suspensionSweep({
          ...corner,
          travelMm: { from: -10, to: 16, step: 2 },
        });
        expect(stations).toHaveLength(14);
        expect(findings).toEqual([]);
        expect(Math.abs(bumpSteerDegPerMm)).toBeLessThan(0.002);
        const rest = stations.find(({ travelMm }) => travelMm === 0)!;
        expect(rest.points.contact[1]).toBeCloseTo(100, 9);
        expect(rest.points.contact[2]).toBeCloseTo(0, 9);
        const lean = stations.at(-1)!.camberDeg - rest.camberDeg;
        if (template === 'flatArms' || template === 'parallel') expect(lean).toBeCloseTo(0, 6);
        else expect(lean).toBeLessThan(-0.3);
        if (template === 'flatArms') expect(rest.rollCentreMm).toBeCloseTo(0, 6);
        if (template === 'parallel') expect(rest.rollCentreMm).toBeGreaterThan(3);
        expect(rest.motionRatio).toBeGreaterThan(0.3);
      }
    },
  );

  it('grow with the car', () => {
    const twice = startCorner('unequal', 'rear', { wheelbaseMm: 560, trackMm: 400, tyreRadiusMm: 80 });
    const once = startCorner('unequal', 'rear', size);
    for (const [name, value] of Object.entries(once))
      if (Array.isArray(value) && name !== 'tieInner')
        value.forEach((number: number, axis) =>
          expect((twice[name as 'lowerFront'] as readonly number[])[axis]! - 2 * number).toBeLessThan(0.21),
        );
  });
});

describe('the weight on the wheels of a build', () => {
  it('is shared out by the axles, less what moves with each wheel', () => {
    const weights = cornerWeights(whole);
    // 1,900 g with payload, half on each axle; wheel and hub of each corner are not sprung
    if (!weights.ok) throw new Error(weights.missing.join());
    const wheelG = whole.drive.tyre!.massG + 40;
    expect(weights.value.front.sprungG).toBeCloseTo(475 - wheelG, 9);
    expect(weights.value.rear.unsprungG).toBeCloseTo(wheelG, 9);
    expect(inWheelCost(whole, 'front')).toMatchObject({
      unsprungShareThen: expect.closeTo((wheelG + whole.drive.motor!.massG) / 475, 9),
      followsMps2: expect.closeTo((9.81 * 475) / wheelG, 9),
    });
  });

  it('moves forward by the height times the sine of the rake', () => {
    const raked = weightOf(changed({ path: ['chassis', 'rakeDeg'], value: 3 }));
    if (!raked.ok) throw new Error();
    const s = Math.sin((3 * Math.PI) / 180);
    expect(raked.value.cgMm[0]).toBeCloseTo(-140 + 60 * s, 9);
    expect(raked.value.cgMm[2]).toBeCloseTo(60 * Math.cos((3 * Math.PI) / 180), 9);
  });
});

describe('ride of a build', () => {
  it('takes rate, motion ratio and mass from where they are drawn', () => {
    const found = rideOf(whole, 'front');
    const rest = endOf(whole, 'front');
    if (!found.ok || !rest.ok) throw new Error();
    const station = rest.value.sweep.stations.find(({ travelMm }) => travelMm === 0)!;
    expect(found.value.ride.wheelRateNPerMm).toBeCloseTo(0.9 * station.motionRatio! ** 2, 12);
    const n = (79_300 * 1.2 ** 4) / (8 * 14 ** 3 * 6);
    const wound = rideOf(
      changed({
        path: ['suspension', 'front'],
        value: { ...end('front'), springBy: 'wire', wireMm: 1.2, meanDiameterMm: 14, activeCoils: 6 },
      }),
      'front',
    );
    expect(wound.ok && wound.value.input.springRateNPerMm).toBeCloseTo(n, 9);
  });

  it('carries remedies that reach what they promise', () => {
    const soft = changed({ path: ['suspension', 'rear', 'rateNPerMm'], value: 0.1 });
    expect(check(soft, 'suspension.sag')).toMatchObject({
      state: 'over',
      finding: { code: 'suspension.sag.bottoms', facts: { end: 'rear' } },
    });
    const [remedy] = check(soft, 'suspension.sag').remedies;
    const mended = rideOf(applyPatch(soft, remedy!.patch), 'rear');
    expect(mended.ok && mended.value.ride.sagPct).toBeCloseTo(30, 0);
    const landing = check(changed({ path: ['brief', 'dropHeightM'], value: 0.5 }), 'suspension.landing');
    expect(landing).toMatchObject({ state: 'over', limit: 0.5 });
    const bouncy = check(
      changed({ path: ['suspension', 'front', 'damperNsPerM'], value: 3 }),
      'suspension.damping',
    );
    expect(bouncy).toMatchObject({ finding: { facts: { end: 'front', is: 'little' } } });
    expect(bouncy.remedies[0]!.state).toBe('clear');
  });

  it('has no ride for a wheel that carries nothing', () => {
    const light = rideOf(changed({ path: ['suspension', 'front', 'unsprungG'], value: 2000 }), 'front');
    expect(light).toMatchObject({
      ok: false,
      missing: ['suspension.front.unsprungG:carries'],
    });
  });
});

describe('checks of the suspension', () => {
  const IDS = [
    'suspension.sag',
    'suspension.landing',
    'suspension.lock',
    'suspension.bump',
    'suspension.damping',
    'fit.play',
    'steering.effort',
  ];
  it('are worked out for a car that was drawn with care, and it steers at no bump', () => {
    const states = Object.fromEntries(
      evaluateBuild(whole)
        .filter(({ id }) => IDS.includes(id))
        .map(({ id, state }) => [id, state]),
    );
    expect(Object.keys(states).sort()).toEqual([...IDS].sort());
    expect(Object.values(states)).not.toContain('unknown');
    expect(states['suspension.bump']).toBe('clear');
  });

  it('name what is missing for a car without suspension', () =>
    expect(check(car, 'suspension.sag').missing).toEqual(
      expect.arrayContaining(['suspension.front.corner', 'suspension.rear.springRateNPerMm']),
    ));
});
