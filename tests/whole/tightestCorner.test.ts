import { standingOf } from '@/core/worked/standing/standingOfBuild';
import { steeringOfBuild } from '@/core/worked/suspension/steeringOfBuild';
import { marshHareDocuments } from '@/db/seed/marshHareRevisions';

const { D } = marshHareDocuments();
const surface = D.brief.surfaces[0];
const found = (cornerRadiusM: number | undefined) => {
  const { cornerRadiusM: _, ...chassis } = D.chassis;
  return standingOf({
    document: { ...D, chassis: cornerRadiusM === undefined ? chassis : { ...chassis, cornerRadiusM } },
    surface,
  });
};

describe('the corner that a car slides or rolls over in', () => {
  it('is the one that was given', () => expect(found(3)).toMatchObject({ cornerRadiusM: 3 }));

  it('is the tightest that the steering reaches where none was given, slower by the root of the radii', () => {
    const steering = steeringOfBuild(D);
    if (!steering.ok) throw new Error('the demo car steers');
    // both front wheels point at the centre: from the inner angle δ the radius is L/tan δ and half the kingpins' distance on
    const most = Math.max(...steering.value.geometry.rows.map(({ innerDeg = 0 }) => Math.abs(innerDeg)));
    const inner = D.chassis.wheelbaseMm! / 1000 / Math.tan((most * Math.PI) / 180);
    const [given, own] = [found(3), found(undefined)];
    if (!('stability' in given) || !('stability' in own)) throw new Error('the demo car stands');
    expect(own.cornerRadiusM).toBeGreaterThan(inner);
    expect(own.cornerRadiusM).toBeLessThan(inner + D.chassis.trackFrontMm! / 1000 + 0.1);
    // without downforce v = √(μ g R), on the same tyres
    expect(own.stability.slideSpeedMps! / given.stability.slideSpeedMps!).toBeCloseTo(
      Math.sqrt(own.cornerRadiusM! / 3),
      2,
    );
  });
});
