import type { Joint } from '../../car/document/print';
import { car } from '../../fixtures/car';
import type { LibraryItem } from '../../car/library/kinds';
import type { ReadCoupon } from '../../car/library/kinds/coupon';
import { TYPICAL_MATERIALS } from '../../car/material/typicalMaterials';
import type { BuildDocument } from '../../car/document/document';
import { assemblyOrder, hardwareCount, screwsWithoutJoint } from './assembly';
import { drawnJoint, drawnJoints } from './joints';

/** Holes come out 0.2 mm small at every size, pegs 0.1 mm large. */
const coupon: ReadCoupon = {
  name: 'c',
  printer: 'Home',
  material: 'Printed PETG',
  samples: [3, 5, 10, 12].map((nominalMm) => ({
    id: `h${nominalMm}`,
    kind: 'hole',
    nominalMm,
    measuredMm: nominalMm - 0.2,
  })),
  gaps: [
    { id: 'a', gapMm: 0.2, freed: false },
    { id: 'b', gapMm: 0.3, freed: true },
    { id: 'c', gapMm: 0.4, freed: true },
    { id: 'd', gapMm: 0.5 },
  ],
};
const sizes = (joint: Partial<Joint>, read: ReadCoupon | undefined = coupon) =>
  drawnJoint({ id: 'j', name: 'J', kind: 'screw', ...joint } as Joint, read).sizes.map(({ drawMm }) =>
    Number(drawMm.toFixed(6)),
  );

describe('sizes to draw for joints', () => {
  it('give every hole back what the printer takes away', () => {
    expect(sizes({ kind: 'bearing', outerMm: 11 })).toEqual([11.15]); // press: 11 − 0.05 + 0.2
    expect(sizes({ kind: 'pin', diameterMm: 3 })).toEqual([3.4]); // running: 3 + 0.2 + 0.2
    expect(sizes({ hold: 'throughBolt', diameterMm: 3 })).toEqual([3.6]); // loose: 3 + 0.4 + 0.2
    expect(sizes({ hold: 'screwInPlastic', diameterMm: 3 })).toEqual([3.6, 2.75]); // 0.85 · 3 + 0.2
    expect(sizes({ hold: 'heatSetInsert', diameterMm: 3, insertMm: 4 })).toEqual([3.6, 4.2]);
    expect(sizes({ hold: 'nutTrap', diameterMm: 3, insertMm: 5.5 })).toEqual([3.6, 5.75]); // snug: 5.5 + 0.05 + 0.2
  });

  it('take the smallest gap above every fused one for a captive joint', () => {
    expect(sizes({ kind: 'captive' })).toEqual([0.3]);
    expect(
      sizes(
        { kind: 'captive' },
        {
          ...coupon,
          gaps: [
            { id: 'x', gapMm: 0.35, freed: false },
            { id: 'y', gapMm: 0.4, freed: true },
          ],
        },
      ),
    ).toEqual([0.4]);
  });

  it('are the wanted ones where nothing was read, and name what is missing', () => {
    expect(drawnJoint({ id: 'j', name: 'J', kind: 'bearing' }, undefined)).toMatchObject({
      sizes: [],
      missing: ['outer diameter'],
    });
    expect(
      drawnJoint({ id: 'j', name: 'J', kind: 'bearing', outerMm: 11, fit: 'snug' }, undefined).sizes,
    ).toEqual([{ kind: 'hole', called: 'seat', targetMm: 11.05, drawMm: 11.05 }]);
  });
});

const joints: Joint[] = [
  {
    id: 'mount',
    name: 'Mount',
    kind: 'screw',
    part: 'plate',
    to: 'arm',
    count: 4,
    diameterMm: 3,
    lengthMm: 10,
    hold: 'heatSetInsert',
  },
  {
    id: 'corner',
    name: 'Corner',
    kind: 'pin',
    part: 'arm',
    to: 'carrier',
    count: 2,
    diameterMm: 3,
    lengthMm: 24,
  },
  {
    id: 'wheel',
    name: 'Wheel bearing',
    kind: 'bearing',
    part: 'carrier',
    count: 4,
    diameterMm: 5,
    outerMm: 11,
    widthMm: 4,
  },
  { id: 'ball', name: 'Ball', kind: 'captive', part: 'carrier' },
  {
    id: 'cap',
    name: 'Cap',
    kind: 'screw',
    part: 'plate',
    to: 'cap',
    diameterMm: 3,
    lengthMm: 10,
    hold: 'nutTrap',
  },
];
const document: BuildDocument = {
  ...car,
  parts: {
    items: [
      { id: 'plate', name: 'Plate', kind: 'chassis' },
      { id: 'arm', name: 'Arm', kind: 'arm' },
      { id: 'carrier', name: 'Carrier', kind: 'carrier', material: TYPICAL_MATERIALS.petg },
      { id: 'cap', name: 'Cap', kind: 'other' },
      { id: 'foot', name: 'Foot', kind: 'motorMount', shape: { as: 'boss' } },
    ],
  },
  print: {
    joints,
    printers: [
      {
        id: 'p',
        name: 'Home',
        bedWidthMm: 200,
        bedDepthMm: 200,
        bedHeightMm: 200,
        speedMmps: 80,
        maxFlowMm3ps: 10,
      },
    ],
  },
};

describe('the joints of a car', () => {
  it('use the test piece of the part’s own material and a printer of the build', () => {
    const item = (id: string, more: Partial<ReadCoupon>): LibraryItem => ({
      id,
      kind: 'coupon',
      data: { ...coupon, ...more },
    });
    const found = drawnJoints(document, [
      item('a', { printer: 'Away' }),
      item('b', {}),
      item('c', { material: 'Printed ABS' }),
    ]);
    expect(found.map(({ coupon: used }) => used?.printer)).toEqual([
      undefined,
      undefined,
      'Home',
      'Home',
      undefined,
    ]);
  });

  it('count their hardware over all', () => {
    expect(hardwareCount(document).map(({ called, count }) => `${count} ${called}`)).toEqual([
      '4 Bearing 5 × 11 × 4 mm',
      '4 Insert M3',
      '1 Nut M3',
      '2 Pin 3 × 24 mm',
      '5 Screw M3 × 10 mm',
    ]);
    expect(screwsWithoutJoint(document)).toEqual(['Foot']);
  });

  it('are built from inserts and bearings over the outermost inwards', () => {
    expect(assemblyOrder(document).map(({ id }) => id)).toEqual([
      'mount.insert',
      'ball',
      'wheel',
      'corner',
      'mount',
      'cap',
    ]);
  });
});
