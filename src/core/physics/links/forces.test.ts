import type { Vec3 } from '../../base/vec3';
import { add, cross, dot, scale, subtract } from '../../base/vec3';
import type { HingePinCorner, WishboneCorner } from '../corner/corner';
import { poseCorner } from '../corner/posed';
import { hingePins, loads, rocker, rods, trailing, unsteered, wishbones } from '../../fixtures/forcedCorners';
import type { LinksForcesInput, RodsCorner } from './definition';
import { linksForces } from './linksForces';

const worked = (input: LinksForcesInput) => linksForces(input);
const moved = [
  ['wishbones', wishbones],
  ['a rocker', rocker],
  ['hinge pins that steer', hingePins],
  ['hinge pins that do not', unsteered],
  ['five rods', rods],
  ['a trailing arm', trailing],
] as const;

describe('forces through the links of a corner', () => {
  it.each(moved)('of %s give the chassis the whole force of the wheel', (_, corner) => {
    const { stations, findings } = worked({ corner, loads, travelMm: [-6, 0, 7] });
    expect(findings).toEqual([]);
    expect(stations).toHaveLength(3);
    for (const { loads: found } of stations)
      found.forEach(({ chassis }, k) => {
        const sum = Object.values(chassis).reduce<Vec3>((all, force) => add(all, force), [0, 0, 0]);
        sum.forEach((value, axis) => expect(value).toBeCloseTo(loads[k]!.forceN[axis]!, 6));
      });
  });

  it.each([
    ['wishbones', wishbones],
    ['hinge pins that steer', hingePins],
    ['a rocker', rocker],
  ] as const)('of %s do the work of the wheel on the damper', (_, corner) => {
    for (const travelMm of [-5, 0, 8]) {
      const { members } = worked({ corner, loads: [loads[0]!], travelMm: [travelMm] }).stations[0]!.loads[0]!;
      const h = 0.01;
      const at = (mm: number) => poseCorner(corner, mm, 0);
      const [down, here, up] = [at(travelMm - h), at(travelMm), at(travelMm + h)];
      const axis = (of: typeof here) => {
        const [g, d] = [of.station.camberDeg, of.station.toeDeg].map((deg) => (deg * Math.PI) / 180) as [
          number,
          number,
        ];
        return [Math.sin(d) * Math.cos(g), Math.cos(d) * Math.cos(g), -Math.sin(g)] as Vec3;
      };
      // the load acts at the hub with the moment of its arm, but for what is about the axle
      const centre = (of: typeof here) => of.station.points.wheelCentre!;
      const path = scale(subtract(centre(up), centre(down)), 1 / (2 * h));
      const arm = cross(subtract(here.station.points.contact, centre(here)), loads[0]!.forceN);
      const s = axis(here);
      const moment = subtract(arm, scale(s, dot(arm, s)));
      // the axle's turn is s × ds; what it turns about itself does no work on this moment
      const turned = cross(s, scale(subtract(axis(up), axis(down)), 1 / (2 * h)));
      const work = dot(loads[0]!.forceN, path) + dot(moment, turned);
      const shortens = (up.station.damperLengthMm! - down.station.damperLengthMm!) / (2 * h);
      expect(members.damper! * shortens).toBeCloseTo(work, 3);
    }
  });

  it('is by hand what a flat strut, a level arm and a level rod carry', () => {
    // all in one plane: the wheel pushed up by 100 N at y = 100; arm from y = 0, damper straight up at half its length
    const flat: HingePinCorner = {
      kind: 'hingePins',
      lowerFront: [10, 0, 20],
      lowerRear: [-10, 0, 20],
      outerFront: [10, 100, 20],
      outerRear: [-10, 100, 20],
      upperInner: [0, 0, 60],
      upperOuter: [0, 100, 60],
      wheelCentre: [0, 100, 40],
      tyreRadiusMm: 40,
      staticCamberDeg: 0,
      staticToeDeg: 0,
      damper: { inner: [0, 50, 120], outer: [0, 50, 20], on: 'lower' },
    };
    const [up, side] = worked({
      corner: flat,
      loads: [
        { name: 'up', forceN: [0, 0, 100] },
        { name: 'side', forceN: [0, 60, 0] },
      ],
    }).stations[0]!.loads;
    // half the arm's length: the damper is pushed with twice the wheel's force, the hinge pulled down by as much again
    expect(up!.members.damper).toBeCloseTo(-200, 9);
    expect(up!.members.upper).toBeCloseTo(0, 9);
    expect(up!.chassis.lowerFront![2]).toBeCloseTo(-50, 9);
    expect(up!.chassis.damperInner![2]).toBeCloseTo(200, 9);
    expect(up!.joints.outerFront![2]).toBeCloseTo(-50, 9);
    // 60 N outward at the ground, 20 mm under the arm and 60 mm under the link: the link is pushed by 60·20/40
    expect(side!.members.upper).toBeCloseTo(-30, 9);
    expect(side!.chassis.lowerFront![1]).toBeCloseTo(45, 9);
    expect(side!.members.damper).toBeCloseTo(0, 9);
  });

  it('holds a jammed wheel against what the servo, or its saver before it, gives', () => {
    const standard = {
      staticN: 20,
      servoNm: 0.6,
      servoSaverNm: 0.4,
      servoArmMm: 12,
      landingN: 150,
      mu: 0.8,
      brakingN: 30,
    };
    const { stations, worst } = worked({ corner: wishbones, standard, travelMm: [0, 6], rackMm: [-2, 2] });
    expect(stations.map(({ travelMm, rackMm }) => [rackMm, travelMm])).toEqual([
      [-2, 0],
      [-2, 6],
      [2, 0],
      [2, 6],
    ]);
    for (const { loads: found } of stations) {
      expect(found.map(({ name }) => name)).toEqual([
        'landing',
        'braking',
        'servoStallPull',
        'servoStallPush',
      ]);
      // 0.4 Nm on 12 mm
      expect(found[2]!.members.tie).toBeCloseTo(400 / 12, 6);
      expect(found[3]!.members.tie).toBeCloseTo(-400 / 12, 6);
    }
    expect(worst.tie!.tensionN).toBeCloseTo(400 / 12, 6);
    expect(worst.tie!.tension).toEqual({ load: 'servoStallPull', travelMm: 0, rackMm: -2 });
    expect(worst.damper!.compression!.load).toBe('landing');
  });

  it('splits the force of a ball along the legs of its arm, where no damper pushes it', () => {
    const { legsN, joints } = worked({ corner: wishbones, loads: [loads[2]!] }).stations[0]!.loads[0]!;
    expect(legsN!.lower).toBeUndefined();
    const [front, rear] = legsN!.upper!;
    const toward = (from: Vec3) => {
      const way = subtract(from, wishbones.upperOuter);
      return scale(way, 1 / Math.hypot(...way));
    };
    const sum = add(scale(toward(wishbones.upperFront), front), scale(toward(wishbones.upperRear), rear));
    sum.forEach((value, k) => expect(value).toBeCloseTo(joints.upperOuter![k]!, 6));
  });

  it('of five rods are those of two arms whose balls the rods meet', () => {
    const meeting: RodsCorner = {
      ...rods,
      links: [
        { id: 'lf', inner: wishbones.lowerFront, outer: wishbones.lowerOuter },
        { id: 'lr', inner: wishbones.lowerRear, outer: wishbones.lowerOuter },
        { id: 'uf', inner: wishbones.upperFront, outer: wishbones.upperOuter },
        { id: 'ur', inner: wishbones.upperRear, outer: wishbones.upperOuter },
        { id: 'toe', inner: wishbones.tieInner, outer: wishbones.tieOuter, steer: true },
      ],
      damper: { inner: [4, 50, 90], outer: [0, 98, 40] },
      staticCamberDeg: -1,
      staticToeDeg: 0.5,
    };
    const arms: WishboneCorner = { ...wishbones, damper: { ...meeting.damper, on: 'upright' } };
    for (const [travelMm, rackMm] of [
      [0, 0],
      [7, 1.5],
    ] as const) {
      const [one, other] = [meeting, arms].map(
        (corner) => worked({ corner, loads, travelMm: [travelMm], rackMm: [rackMm] }).stations[0]!.loads,
      );
      one!.forEach(({ members }, k) => {
        const { members: same, legsN } = other![k]!;
        expect(members.damper).toBeCloseTo(same.damper!, 5);
        expect(members.toe).toBeCloseTo(same.tie!, 5);
        expect([members.lf, members.lr]).toEqual(legsN!.lower!.map((leg) => expect.closeTo(leg, 5)));
        expect([members.uf, members.ur]).toEqual(legsN!.upper!.map((leg) => expect.closeTo(leg, 5)));
      });
    }
  });

  it('tells how well rods hold: 1 for six that stand square, more the worse they stand', () => {
    expect(worked({ corner: rods, loads }).conditionNumber).toBeGreaterThan(1);
    // every rod a unit along an axis or a unit moment about one: through the centre, or a tyre's radius beside it
    const square: RodsCorner = {
      ...rods,
      links: [
        { id: 'x1', inner: [-50, 115, 84], outer: [0, 115, 84] },
        { id: 'x2', inner: [-50, 115, 0], outer: [0, 115, 0] },
        { id: 'y1', inner: [42, 20, 42], outer: [42, 115, 42] },
        { id: 'y2', inner: [-42, 20, 42], outer: [-42, 115, 42] },
        { id: 'z1', inner: [0, 73, 0], outer: [0, 73, 42] },
      ],
      damper: { inner: [0, 157, 100], outer: [0, 157, 42] },
    };
    // each pair along (1, 1) and (1, −1) of a force and its moment: all six singular values are alike
    expect(worked({ corner: square, loads }).conditionNumber).toBeCloseTo(1, 9);
  });

  it('leaves out what is not reached, and says where it stopped', () => {
    const { stations, findings } = worked({ corner: wishbones, loads, travelMm: [0, 400] });
    expect(stations.map(({ travelMm }) => travelMm)).toEqual([0]);
    expect(findings[0]!.why.code).toBe('note.linkage.locks');
  });
});
