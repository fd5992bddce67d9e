import type { BuildDocument } from '../../car/document/document';
import { applyPatch } from '../../base/patch';
import type { SuspensionEnd } from '../../car/document/suspension';
import { servoOf } from '../power/servoOfBuild';
import { benchId, benchList, cornerMark } from './benchList';
import { endOf } from './endOfBuild';
import { linksOf, playOf } from './playOfBuild';
import { restOf } from './restOfBuild';
import { startCorner } from './start';
import { steerGeometryOf, steeringOfBuild } from './steeringOfBuild';
import { size, drawn, whole, check, changed } from '../../fixtures/suspended';

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
      refused: { path: 'lowerFront', code: 'corner.coincides' },
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
