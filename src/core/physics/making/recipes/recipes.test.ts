import { type Vec3 } from '../../../base/vec3';
import { hasPlastic } from '../../../fixtures/contains';
import { madeSolid, holeMm2, nearVolume, roundedOff } from '../../../fixtures/madeSolid';
import { refusalOf } from '../../../fixtures/refused';
import { bracketDrawing } from './bracket';
import { bumperDrawing, guideDrawing, leverDrawing, trayDrawing } from './flat';
import { type PlateInput, plateDrawing, plateSections } from './plate';
import { wheelDrawing } from './wheel';

describe('a chassis plate', () => {
  const plate: PlateInput = {
    footprints: [],
    reach: [
      [50, 30],
      [50, -30],
      [-50, 30],
      [-50, -30],
    ],
    marginMm: 10,
    thicknessMm: 4,
    holes: [{ id: 'a', at: [50, 30], diameterMm: 3.4 }],
  };
  const outline = 120 * 80 - roundedOff(10);

  it('is as wide as what it reaches and its margin, with its holes through', async () => {
    const { volumeMm3, boundsMm } = await madeSolid(plateDrawing(plate).drawing);
    nearVolume(volumeMm3, (outline - holeMm2(3.4)) * 4);
    expect(boundsMm.max[0] - boundsMm.min[0]).toBeCloseTo(120, 3);
  });

  it('has flanges along both sides where it asks for them', async () => {
    const { volumeMm3 } = await madeSolid(
      plateDrawing({ ...plate, flange: { heightMm: 14, thicknessMm: 3 } }).drawing,
    );
    // 100 mm between the rounded corners on either side
    nearVolume(volumeMm3, (outline - holeMm2(3.4)) * 4 + 2 * 100 * 3 * 10);
  });

  it('is pocketed where nothing stands, not under what it carries, and keeps its walls', async () => {
    const pockets = { sizeMm: 10, wallMm: 5 };
    const bare = await madeSolid(plateDrawing({ ...plate, pockets, holes: [] }).drawing);
    // a row of 8 by 5 at 15 mm: the outer ones of each row lie 2.5 mm from the edge and stay
    nearVolume(bare.volumeMm3, (outline - 6 * 5 * (100 - roundedOff(2.5))) * 4);
    const carrying = { id: 'pack', min: [-60, -40] as const, max: [60, 0] as const };
    const laden = plateDrawing({ ...plate, pockets, holes: [], footprints: [carrying] });
    expect(hasPlastic(laden.drawing, [0, -10, 2])).toBe(true);
    expect(hasPlastic(laden.drawing, [0, 17.5, 2])).toBe(false);
  });

  it('is closed where its flanges are as thick as its margin is wide', async () => {
    const reach = [...plate.reach, [0, 45] as const, [0, -45] as const];
    await madeSolid(
      plateDrawing({ ...plate, reach, holes: [], marginMm: 3, flange: { heightMm: 14, thicknessMm: 3 } })
        .drawing,
    );
  });

  it('leaves room where something moves beside it, through flanges too', async () => {
    const notches = [{ min: [-20, 25] as const, max: [20, 90] as const }];
    const flange = { heightMm: 14, thicknessMm: 3 };
    const { volumeMm3 } = await madeSolid(plateDrawing({ ...plate, flange, notches, holes: [] }).drawing);
    // 40 by 15 off the plate, 40 mm off one flange
    nearVolume(volumeMm3, (outline - 40 * 15) * 4 + (2 * 100 - 40) * 3 * 10);
  });

  it('comes apart into sections that lap, each as long as the bed allows, with nothing lost', async () => {
    const holes: PlateInput['holes'] = [];
    const parts = await Promise.all(plateSections({ ...plate, holes }, 2, 3.4).map(madeSolid));
    // four screws go through each lap
    nearVolume(
      parts.reduce((sum, { volumeMm3 }) => sum + volumeMm3, 0),
      outline * 4 - 4 * holeMm2(3.4) * 4,
    );
    parts.forEach(({ boundsMm: { min, max } }) => expect(max[0] - min[0]).toBeCloseTo(60 + 13.6 / 2, 2));
  });

  it('refuses a hole without plastic beside it', async () => {
    expect(refusalOf(() => plateDrawing({ ...plate, marginMm: 2 }))).toMatchObject({
      path: 'marginMm',
      code: 'making.edge',
    });
  });
});

describe('an angle bracket', () => {
  const bracket = {
    footMm: 26,
    heightMm: 40,
    widthMm: 44,
    thicknessMm: 5,
    filletMm: 4,
    wall: [{ id: 'boss', at: [22, 22] as const, diameterMm: 13, slotMm: 3 }],
    foot: [{ id: 'foot', at: [17, 8] as const, diameterMm: 3.4 }],
  };

  it('is two plates, the fillet between them, less its holes and slots', async () => {
    const { volumeMm3 } = await madeSolid(bracketDrawing(bracket).drawing);
    const plates = (26 * 5 + 35 * 5) * 44;
    const fillet = (roundedOff(4) / 4) * 44;
    nearVolume(volumeMm3, plates + fillet - (holeMm2(13) + 13 * 3) * 5 - holeMm2(3.4) * 5);
  });

  it('refuses holes that its faces have no room for', async () => {
    expect(refusalOf(() => bracketDrawing({ ...bracket, heightMm: 28 }))).toMatchObject({ path: 'heightMm' });
    expect(refusalOf(() => bracketDrawing({ ...bracket, footMm: 18 }))).toMatchObject({ path: 'lengthMm' });
  });
});

describe('a wheel', () => {
  const wheel = {
    seatRadiusMm: 28,
    widthMm: 26,
    wallMm: 2,
    lipMm: 1.5,
    hexMm: 12,
    hexDepthMm: 5,
    axleHoleMm: 4,
    spokes: 0,
    spokeWidthMm: 8,
    thicknessMm: 4,
  };

  it('is a rim with two lips, a disc, and a hub with its hexagon', async () => {
    const { volumeMm3 } = await madeSolid(wheelDrawing(wheel).drawing);
    const rim = Math.PI * (28 ** 2 - 26 ** 2) * 26;
    const lips = 2 * Math.PI * (29.5 ** 2 - 28 ** 2) * 1.5;
    const hub = 12 / Math.sqrt(3) + 3;
    const hexagon = (Math.sqrt(3) / 2) * 12 ** 2;
    const middle = Math.PI * 26 ** 2 * 4 + Math.PI * hub ** 2 * 5 - hexagon * 5 - holeMm2(4) * 4;
    nearVolume(volumeMm3, rim + lips + middle);
  });

  it('turns into itself by a spoke, and is air between two', async () => {
    const { drawing } = wheelDrawing({ ...wheel, spokes: 5, lipMm: 0 });
    await madeSolid(drawing);
    const at = (deg: number): Vec3 => [
      18 * Math.cos((deg * Math.PI) / 180),
      18 * Math.sin((deg * Math.PI) / 180),
      2,
    ];
    for (let k = 0; k < 5; k++) {
      expect(hasPlastic(drawing, at(72 * k))).toBe(true);
      expect(hasPlastic(drawing, at(72 * k + 36))).toBe(false);
    }
  });
});

describe('flat parts', () => {
  it('are a lever between two holes', async () => {
    const { volumeMm3 } = await madeSolid(
      leverDrawing({ lengthMm: 24, boreMm: 4, ballHoleMm: 3, widthMm: 10, wallMm: 3, thicknessMm: 5 })
        .drawing,
    );
    nearVolume(volumeMm3, (24 * 10 + holeMm2(10) - holeMm2(4) - holeMm2(3)) * 5);
  });

  it('are a bumper with two screws', async () => {
    const { boundsMm } = await madeSolid(
      bumperDrawing({ widthMm: 120, lengthMm: 26, thicknessMm: 8, spacingMm: 30, holeMm: 3.4, wallMm: 4 })
        .drawing,
    );
    expect(boundsMm.max[1] - boundsMm.min[1]).toBeCloseTo(120, 1);
    expect(boundsMm.max[0]).toBeCloseTo(26, 3);
  });

  it('are a tray: floor, walls, ears for the strap', async () => {
    const { volumeMm3 } = await madeSolid(
      trayDrawing({
        lengthMm: 120,
        widthMm: 46,
        heightMm: 10,
        floorMm: 2,
        wallMm: 2,
        strapMm: 16,
        screwAtMm: 36,
        holeMm: 3.4,
      }).drawing,
    );
    const box = (124 * 50 - roundedOff(3)) * 12 - 120 * 46 * 10;
    const ears = 2 * 24 * 6.5 * 2;
    const slots = 2 * (16 * 2.5 - roundedOff(1)) * 2;
    nearVolume(volumeMm3, box + ears - slots - 2 * holeMm2(3.4) * 2);
  });

  it('are a drill guide with a bush round each hole', async () => {
    const { volumeMm3 } = await madeSolid(
      guideDrawing({
        holes: [
          { at: [0, 0], diameterMm: 3 },
          { at: [46, 0], diameterMm: 3 },
        ],
        wallMm: 3,
        heightMm: 12,
        thicknessMm: 3,
      }).drawing,
    );
    const plate = (46 * 11 + holeMm2(11)) * 3;
    nearVolume(volumeMm3, plate + 2 * holeMm2(9) * 9 - 2 * holeMm2(3) * 12);
  });
});
