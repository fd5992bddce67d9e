import { refusalOf } from '../../fixtures/refused';
import { parse } from '../../base/schema/parse';
import { steeringGeometry, type SteeringInput } from './steering';
import { steeringGeometrySchema } from './sweep.schema';
import { sweep, spatial, hinged } from '../../fixtures/corners';

describe('steering.geometry', () => {
  const steering = (input: SteeringInput) => steeringGeometry(parse(steeringGeometrySchema, input));
  const car = { corner: spatial, wheelbaseMm: 280, rackMm: [-3, 0, 3] };

  it('mirrors: what the rack does to one wheel to the left it does to the other to the right', () => {
    const [right, straight, left] = steering(car).rows;
    expect(straight).toEqual({ rackMm: 0, leftDeg: expect.closeTo(0, 9), rightDeg: expect.closeTo(0, 9) });
    expect(left!.leftDeg).toBeCloseTo(-right!.rightDeg, 9);
    expect(left!.rightDeg).toBeCloseTo(-right!.leftDeg, 9);
    expect(left!.innerDeg).toBeCloseTo(right!.innerDeg!, 9);
  });

  it('turns about the point where both wheels’ normals meet the rear axle’s line', () => {
    const { innerDeg, outerDeg, turnRadiusM, ackermannPct } = steering(car).rows[2]!;
    const cot = (deg: number) => 1 / Math.tan((deg * Math.PI) / 180);
    expect(turnRadiusM).toBeCloseTo((0.28 * (cot(innerDeg!) + cot(outerDeg!))) / 2, 9);
    // at 100 % the cotangents would differ by track over wheelbase
    const [axis] = sweep({ ...spatial, travelMm: [0] }).stations;
    const toe = (0.5 * Math.PI) / 180;
    const track =
      2 * (axis!.points.contact[1] - axis!.trailMm! * Math.sin(toe) - axis!.scrubRadiusMm! * Math.cos(toe));
    const ideal = (Math.atan(1 / (cot(outerDeg!) - track / 280)) * 180) / Math.PI;
    expect(ackermannPct).toBeCloseTo((100 * (innerDeg! - outerDeg!)) / (ideal - outerDeg!), 9);
  });

  it('finds the rack for an angle, and says where there is none', () => {
    const { rackForWantedMm } = steering({ ...car, wantedDeg: 5 });
    expect(steering({ ...car, rackMm: [rackForWantedMm!] }).rows[0]!.leftDeg).toBeCloseTo(5, 8);
    expect(steering({ ...car, wantedDeg: 200 })).toMatchObject({
      notes: [{ code: 'note.steering.noRack' }],
    });
    expect(steering({ ...car, rackMm: [150] })).toMatchObject({
      rows: [],
      findings: [{ about: 'rackMm', severity: 'over' }],
    });
  });

  it('refuses a corner that does not steer, and names its points from outside', () => {
    const { kingpinLower: _l, kingpinUpper: _u, tieInner: _i, tieOuter: _o, ...unsteered } = hinged;
    expect(refusalOf(() => steering({ ...car, corner: unsteered })).path).toBe('corner');
    expect(
      refusalOf(() => steering({ ...car, corner: { ...spatial, lowerRear: spatial.lowerFront } })).path,
    ).toBe('corner.lowerFront');
  });
});
