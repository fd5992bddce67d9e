import { parseDocument } from '../../car/document/document.schema';
import type { BuildDocument } from '../../car/document/document';
import { applyPatch, type Patch } from '../../base/patch';
import type { End, SuspensionEnd } from '../../car/document/suspension';
import { weightOf } from '../chassis/weightOfBuild';
import { evaluateBuild } from '../../verdict/evaluate';
import { car } from '../../fixtures/car';
import { servoOf } from '../power/servoOfBuild';
import { benchId, benchList, cornerMark } from './benchList';
import { articulationsOf, endOf } from './endOfBuild';
import { linksOf, playOf } from './playOfBuild';
import { restOf } from './restOfBuild';
import { cornerWeights, inWheelCost, rateAsDrawn, rideOf, springPatch } from './rideOfBuild';
import { startCorner, TEMPLATES } from './start';
import { steerGeometryOf, steeringOfBuild } from './steeringOfBuild';
import { suspensionSweep } from '../../physics/corner/sweep';
import type { Corner } from '../../physics/corner/corner';

const size = { wheelbaseMm: 280, trackMm: 200, tyreRadiusMm: 40 };
const drawn = (template: (typeof TEMPLATES)[number], end: End) =>
  ({ ...startCorner(template, end, size), end, tyreRadiusMm: 40 }) as Corner;
const end = (which: End): SuspensionEnd => ({
  corner: startCorner('unequal', which, size),
  bumpMm: 16,
  droopMm: 10,
  rateNPerMm: 0.9,
  preloadMm: 1,
  damperNsPerM: 30,
  unsprungG: 40,
  play: { bearingSpacingMm: 10, inboardMm: 0.04, outboardMm: 0.04, tieMm: 0.05, upperMm: 0.1 },
});
const servo = {
  id: 'sv',
  name: 'Servo',
  kind: 'servo' as const,
  rail: 'battery',
  minV: 4.8,
  maxV: 8.4,
  typicalA: 0.5,
  peakA: 3,
  servo: { lowV: 6, lowTorqueKgcm: 15, highV: 8.4, highTorqueKgcm: 20 },
  steer: { contactWidthMm: 20 },
};
const whole: BuildDocument = parseDocument({
  ...car,
  brief: { ...car.brief, dropHeightM: 0.1 },
  drive: { ...car.drive, tyre: { ...car.drive.tyre!, radiusMm: 40 } },
  power: { ...car.power, loads: [servo] },
  suspension: { front: end('front'), rear: end('rear'), steering: { lockMm: 7, hornMm: 15 } },
});
const check = (document: BuildDocument, id: string) => evaluateBuild(document).find((one) => one.id === id)!;
const changed = (...patch: Patch) => applyPatch(whole, patch);

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

describe('geometry of a build', () => {
  it('flattens bump steer by the height of the tie rod', () => {
    const { corner } = whole.suspension.front!;
    const steep = changed({
      path: ['suspension', 'front', 'corner', 'tieInner'],
      value: [corner!.tieInner![0], corner!.tieInner![1], corner!.tieInner![2] + 6],
    });
    const bump = check(steep, 'suspension.bump');
    expect(bump.state).toBe('over');
    const flat = restOf(applyPatch(steep, bump.remedies[0]!.patch), 'front')!;
    // a tie rod at another height is another rest by a little
    expect(Math.abs(flat.bumpSteerDegPerMm)).toBeLessThan(0.005);
  });

  it('stops short where the linkage locks, and says where', () => {
    const far = check(changed({ path: ['suspension', 'rear', 'bumpMm'], value: 90 }), 'suspension.lock');
    expect(far).toMatchObject({ state: 'over', finding: { code: 'suspension.lock.locks' } });
    expect(far.remedies[0]!.state).not.toBe('over');
    expect(
      check(
        changed({ path: ['suspension', 'front', 'corner', 'jointLimitDeg'], value: 4 }),
        'suspension.lock',
      ),
    ).toMatchObject({ state: 'over', finding: { code: 'suspension.lock.joint' } });
  });

  it('names the point at which a corner is none, and leaves the checks open', () => {
    const broken = changed({
      path: ['suspension', 'front', 'corner', 'lowerRear'],
      value: whole.suspension.front!.corner!.lowerFront,
    });
    expect(endOf(broken, 'front')).toMatchObject({
      ok: false,
      refused: { path: 'lowerFront', message: expect.stringContaining('coincides') },
    });
    expect(check(broken, 'suspension.bump').state).toBe('unknown');
  });
});

describe('steering of a build', () => {
  it('asks the servo for scrub, and for the lift that the moment about the kingpin gives', () => {
    // no caster: the contact point swings back by (d·cos λ + r·sin λ)·sin δ, and the load there turns about the axis by sin λ of it
    const corner = {
      ...startCorner('flatArms', 'front', size),
      lowerOuter: [0, 86, 22],
      upperOuter: [0, 78, 60],
      upperFront: [12, 30, 60],
      upperRear: [-12, 30, 60],
    } as SuspensionEnd['corner'];
    // without a spring it stands as it is drawn
    const document = changed(
      { path: ['suspension', 'front', 'corner'], value: corner },
      { path: ['suspension', 'front', 'rateNPerMm'], value: undefined },
    );
    const found = steerGeometryOf(document)!;
    const lambda = Math.atan(8 / 38);
    const d = found.scrubRadiusMm;
    expect(d).toBeCloseTo(100 - (86 + (22 * 8) / 38), 9);
    const rows = steeringOfBuild(document);
    if (!rows.ok) throw new Error();
    const [deltaOne, deltaOther] = [
      rows.value.geometry.rows.at(-1)!.leftDeg,
      rows.value.geometry.rows[0]!.leftDeg,
    ].map((deg) => Math.abs((deg * Math.PI) / 180));
    const moment =
      Math.sin(lambda) *
      (d * Math.cos(lambda) + 40 * Math.sin(lambda)) *
      (Math.sin(deltaOne!) + Math.sin(deltaOther!));
    expect(found.liftMmPerN! / moment).toBeCloseTo(1, 1);
    // a horn of 15 mm: a millimetre of rack is 1/15 rad of servo
    expect(found.linkageRatio).toBeCloseTo(180 / Math.PI / 15 / found.degPerMm, 9);
    expect(found.servoDeg).toBeCloseTo((Math.asin(7 / 15) * 180) / Math.PI, 9);
  });

  it('is a check under the suspension too, with what the power page says of the servo', () => {
    const effort = check(whole, 'steering.effort');
    const servoCheck = check(whole, 'power.servo:sv');
    expect(effort.value).toBe(servoCheck.value);
    const found = servoOf(whole, whole.brief.surfaces[0], whole.power.loads![0]!, 0);
    expect(found.ok && found.value.input.liftNmm).toBeGreaterThan(0);
    const longer = check(
      changed({ path: ['suspension', 'steering', 'hornMm'], value: 30 }),
      'steering.effort',
    );
    expect(longer.limit! / effort.limit!).toBeCloseTo(2, 6);
  });
});

describe('links and free play', () => {
  it('turns the wheel by the tie rod over its lever on the kingpin', () => {
    const corner = drawn('flatArms', 'rear');
    const [tie] = linksOf(corner);
    // the rod lies across the car, its end 22 mm behind a kingpin that leans by 7°
    expect(tie!.lengthMm).toBeCloseTo(
      Math.hypot(...([0, 1, 2] as const).map((axis) => corner.tieOuter![axis] - corner.tieInner![axis])),
      12,
    );
    expect(Math.abs(tie!.toeDegPerMm)).toBeCloseTo(180 / Math.PI / 22, 1);
    const hinged = linksOf(drawn('hingePins', 'rear'));
    expect(hinged.map(({ id }) => id)).toEqual(['upper']);
    const lever = 1.5 * 40 - 0.55 * 40;
    expect(Math.abs(hinged[0]!.camberDegPerMm)).toBeCloseTo(180 / Math.PI / lever, 1);
  });

  it('adds bearings and joints at the rim', () => {
    const found = playOf(whole, 'front');
    if (!found.ok) throw new Error();
    const { bearingRimMm, toeDeg, camberDeg, rimPlayMm, toeRimMm } = found.value;
    expect(bearingRimMm).toBeCloseTo(2 * 40 * (0.08 / 20), 12);
    expect(toeDeg).toBeCloseTo((0.025 * (180 / Math.PI)) / 22, 2);
    expect(camberDeg).toBeGreaterThan(0);
    expect(toeRimMm).toBeCloseTo(bearingRimMm + 80 * Math.tan((toeDeg * Math.PI) / 180), 12);
    expect(rimPlayMm).toBeGreaterThanOrEqual(toeRimMm);
    const loose = check(
      changed({ path: ['suspension', 'rear', 'play', 'inboardMm'], value: 0.4 }),
      'fit.play',
    );
    expect(loose).toMatchObject({
      state: 'over',
      limit: expect.closeTo(0.6, 12),
      finding: { facts: { end: 'rear' } },
    });
    expect(loose.remedies.length).toBeGreaterThan(1);
  });

  it('keeps a look at the bench until a point of that corner moves', () => {
    const ticked = changed({
      path: ['suspension', 'bench'],
      value: [
        {
          id: benchId('front', 'loose'),
          at: '2026-05-01T10:00:00.000Z',
          of: cornerMark(whole.suspension, 'front'),
        },
      ],
    });
    const stateIn = (document: BuildDocument) =>
      benchList(document.suspension, 'front').find(({ item }) => item === 'loose')!.state;
    expect(stateIn(ticked)).toBe('passed');
    const moved = applyPatch(ticked, [
      { path: ['suspension', 'front', 'corner', 'upperOuter'], value: [0, 78, 61] },
    ]);
    expect(stateIn(moved)).toBe('undone');
    expect(stateIn(applyPatch(ticked, [{ path: ['suspension', 'rear', 'corner'], value: undefined }]))).toBe(
      'passed',
    );
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
