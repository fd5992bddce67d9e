import { applyPatch } from '../../base/patch';
import type { BuildDocument } from '../../car/document/document';
import { car } from '../../fixtures/car';
import { sprung } from '../../fixtures/sprungCar';
import { hardestForces, standardLoads } from '../../worked/links/linksOfBuild';
import { casesOfBuild } from '../../worked/parts/casesOfBuild';
import { linksOn } from '../../worked/parts/heldLinks';
import { partStrength } from '../../worked/parts/partStrength';
import { evaluateBuild } from '../evaluate';

const surface = sprung.brief.surfaces[0]!;
const holding = (document: BuildDocument, held: object[]) =>
  applyPatch(document, [{ path: ['suspension', 'front', 'held'], value: held }]);
const check = (document: BuildDocument, id: string) => evaluateBuild(document).find((one) => one.id === id)!;
const forces = (document: BuildDocument) => {
  const found = linksOn(document, 'front', surface);
  if (!found.ok) throw new Error(found.missing.join());
  return hardestForces(found.value);
};

describe('what acts on the wheels of a build', () => {
  it('is by hand: half an axle with what braking and driving move, kerb and landing of the car', () => {
    const loads = casesOfBuild(sprung, surface);
    if (!loads.ok) throw new Error(loads.missing.join());
    const of = (which: 'front' | 'rear') => standardLoads(sprung, which, surface, loads.value);
    const { cgHeightMm, wheelbaseMm } = loads.value.input;
    const weight = 1.9 * 9.81;
    const moved = (0.95 * weight * cgHeightMm) / wheelbaseMm;
    expect(of('front').brakingN).toBeCloseTo((0.42 * weight + moved) / 2, 3);
    expect(of('rear').brakingN).toBeCloseTo((0.58 * weight - moved) / 2, 3);
    expect(of('rear').driveN).toBeCloseTo((0.58 * weight + moved) / 2, 3);
    expect(of('front').staticN).toBeCloseTo((0.42 * weight) / 2, 3);
    // half of 1.9 kg from 3 m/s over 10 mm, the force rising to twice its mean
    expect(of('front').kerbAheadN).toBeCloseTo((0.95 * 9) / 0.01, 3);
    // 8 kg·cm
    expect(of('front').servoNm).toBeCloseTo(0.784532, 6);
    expect(of('rear').servoNm).toBeUndefined();
  });

  it('pulls the tie rod as hard as the servo stalls, or as its saver lets it', () => {
    expect(forces(sprung).get('tie')!.pushN).toBeGreaterThanOrEqual(56.03);
    const still = applyPatch(sprung, [
      { path: ['brief', 'kerbMps'], value: undefined },
      { path: ['brief', 'dropHeightM'], value: undefined },
    ]);
    // 0.7845 Nm on 14 mm
    expect(forces(still).get('tie')!.pullN).toBeCloseTo(784.532 / 14, 3);
    const saved = applyPatch(still, [{ path: ['suspension', 'steering', 'saverNm'], value: 0.5 }]);
    expect(forces(saved).get('tie')!.pullN).toBeCloseTo(500 / 14, 3);
  });
});

describe('a link against what it withstands', () => {
  it('stands for pull and push apart, the nearer to its limit', () => {
    const { pullN, pushN = 0 } = forces(sprung).get('tie')!;
    const found = check(
      holding(sprung, [{ id: 'tie', pullN: 4 * pullN, pushN: 1.2 * pushN }]),
      'links.front.tie',
    );
    expect(found).toMatchObject({ state: 'tight', margin: expect.closeTo(1.2, 9), segment: 'parts' });
    expect(
      check(holding(sprung, [{ id: 'tie', pullN: 0.9 * pullN, pushN: 9 * pushN }]), 'links.front.tie').state,
    ).toBe('over');
    // one figure counts for both ways
    const least = Math.max(pullN, pushN);
    expect(check(holding(sprung, [{ id: 'tie', pullN: 2 * least }]), 'links.front.tie').margin).toBeCloseTo(
      2,
      9,
    );
  });

  it('as a part of the build is that part under the force of the link alone', () => {
    const part = {
      id: 'arm',
      name: 'Arm',
      kind: 'arm',
      material: {
        name: 'Test',
        densityGPerCm3: 1.2,
        modulusMpa: 2000,
        inPlaneStrengthMpa: 50,
        softeningC: 80,
      },
      layers: 'along',
      shape: { as: 'beam', profile: 'plate', support: 'cantilever', lengthMm: 40, widthMm: 12, heightMm: 8 },
      loads: [{ id: 'l', from: 'own', forceN: 1 }],
    };
    const made = applyPatch(holding(sprung, [{ id: 'damperOuter', partId: 'arm' }]), [
      { path: ['parts', 'items'], value: [part] },
    ]);
    const forceN = forces(made).get('damperOuter')!.pullN;
    const found = check(made, 'links.front.damperOuter');
    // 50 MPa over F·40/(12·8²/6)
    expect(found.margin).toBeCloseTo((50 * ((12 * 64) / 6)) / (forceN * 40), 6);
    const loaded = applyPatch(made, [
      {
        path: ['parts', 'items', 'arm', 'loads'],
        value: [{ id: 'l', from: 'link', end: 'front', link: 'damperOuter', share: 0.5 }],
      },
    ]);
    const strength = partStrength(loaded, surface, loaded.parts.items[0]!);
    expect(strength.ok && strength.value.worst.forceN).toBeCloseTo(forceN / 2, 9);
  });

  it('of a stalled servo is cured by a saver that gives before it', () => {
    const still = applyPatch(sprung, [
      { path: ['brief', 'kerbMps'], value: undefined },
      { path: ['brief', 'dropHeightM'], value: undefined },
    ]);
    const weak = holding(still, [{ id: 'tie', pullN: 40 }]);
    const found = check(weak, 'links.front.tie');
    expect(found.state).toBe('over');
    const [saver] = found.remedies;
    expect(saver!.patch[0]!.path).toEqual(['suspension', 'steering', 'saverNm']);
    // 40 N on 14 mm, half of it: 0.28 Nm
    expect(saver!.patch[0]!.value).toBe(0.28);
    expect(check(applyPatch(weak, saver!.patch), 'links.front.tie').margin).toBeCloseTo(2, 2);
  });

  it('waits for what is missing, by its field', () => {
    expect(check(holding(car, [{ id: 'tie', pullN: 10 }]), 'links.front.tie').missing).not.toEqual([]);
    expect(check(holding(sprung, [{ id: 'tie', partId: 'gone' }]), 'links.front.tie').missing).toEqual([
      'suspension.front.held.tie.partId',
    ]);
  });
});
