import { applyPatch } from '../../base/patch';
import { carry } from '../../base/vec3';
import { whole } from '../../fixtures/suspended';
import { landingImpact } from '../../physics/loads/impact';
import { TYRE_DAMPING_NS_PER_M } from '../../physics/tyres/tyreRate';
import { impactInputOf } from '../suspension/landingOfBuild';
import { bodiesIn } from './posesOfCar';
import { dropOfCar, standsAt } from './dropOfCar';
import { thingsOf } from './thingsOfCar';

const drop = (dropM: number, document = whole) => {
  const found = dropOfCar(document, dropM);
  if (!found.ok) throw new Error(found.missing.join());
  return found.value.moments;
};

describe('the car dropped on its wheels', () => {
  it('touches down with its wheels hanging and its tyres just on the ground, and stands as high as it is drawn at rest', () => {
    const [first] = drop(0.1);
    expect(first!.pose.travelMm).toEqual({ front: -10, rear: -10 });
    expect(first!.liftMm).toEqual({ front: 10, rear: 10 });
    // all that pushes is what the rubber resists at that speed
    expect(first!.tyreN.front).toBeCloseTo(TYRE_DAMPING_NS_PER_M * Math.sqrt(2 * 9.81 * 0.1), 1);
    // where the car is lifted by what its wheels hang, their lowest points are on the ground
    const wheel = thingsOf(whole).find(({ id }) => id === 'front.left.wheel')!;
    const { fromMm, toMm, radiusMm } = wheel.roller!;
    const centre = [0, 1, 2].map((k) => (fromMm[k]! + toMm[k]!) / 2) as unknown as [number, number, number];
    const at = carry(bodiesIn(whole, first!.pose).get(wheel.body)!, centre);
    expect(at[2] + first!.liftMm.front - radiusMm).toBeCloseTo(0, 6);
  });

  it('goes in no farther, and pushes no harder, than the landing of each end says', () => {
    const moments = drop(0.2);
    for (const end of ['front', 'rear'] as const) {
      const input = impactInputOf(whole, end, 0.2);
      if (!input.ok) throw new Error(input.missing.join());
      const { peakTyreN, travelUsedMm } = landingImpact(input.value);
      const most = (of: (moment: (typeof moments)[number]) => number) => Math.max(...moments.map(of));
      expect(most(({ tyreN }) => tyreN[end]) / peakTyreN).toBeCloseTo(1, 1);
      expect((most(({ pose }) => pose.travelMm[end]) + 10) / travelUsedMm!).toBeCloseTo(1, 2);
      // a tyre is never pressed in by less than nothing while it pushes
      for (const { tS, pose, liftMm, tyreN } of moments)
        if (tS > 0 && tyreN[end] > 1) expect(-liftMm[end] - pose.travelMm[end]).toBeGreaterThan(0);
    }
  });

  it('stands on both axles as high as each is lifted', () => {
    const stands = standsAt({ liftMm: { front: 6, rear: -2 } }, 280);
    expect(carry(stands, [0, 50, 0])[2]).toBeCloseTo(6, 9);
    expect(carry(stands, [-280, 50, 0])[2]).toBeCloseTo(-2, 2);
    expect(carry(stands, [-280, 50, 0])[0]).toBeCloseTo(-Math.sqrt(280 ** 2 - 8 ** 2), 1);
  });

  it('waits for springs', () => {
    const bare = applyPatch(whole, [{ path: ['suspension', 'rear', 'rateNPerMm'], value: undefined }]);
    expect(dropOfCar(bare, 0.1)).toMatchObject({ ok: false, missing: ['suspension.rear.springRateNPerMm'] });
  });
});
