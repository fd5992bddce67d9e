import type { BuildDocument } from '../../car/document/document';
import type { Part } from '../../car/parts/parts';
import { car, surface } from '../../fixtures/car';
import { armGive } from './armGive';
import { casesOfBuild } from './casesOfBuild';
import { TYPICAL_MATERIALS } from '../../car/material/typicalMaterials';

const asphalt = surface('asphalt');
const document: BuildDocument = {
  ...car,
  suspension: {
    ...car.suspension,
    front: {
      corner: {
        kind: 'wishbones',
        lowerFront: [20, 30, 20],
        lowerRear: [-20, 30, 20],
        lowerOuter: [0, 80, 20],
        upperFront: [20, 40, 60],
        upperRear: [-20, 40, 60],
        upperOuter: [0, 80, 60],
        tieInner: [-20, 35, 40],
        tieOuter: [-20, 80, 40],
        wheelCentre: [0, 100, 42],
        staticCamberDeg: 0,
        staticToeDeg: 0,
      },
    },
  },
};
const arm: Part = {
  id: 'a',
  name: 'Arm',
  kind: 'arm',
  material: { ...TYPICAL_MATERIALS.petg },
  layers: 'along',
  shape: { as: 'beam', profile: 'plate', lengthMm: 40, widthMm: 20, heightMm: 6 },
};

test('an arm shortens under the lever of the joints and turns by the trail, by hand', () => {
  const [found, cases] = [armGive(document, asphalt, 'front', arm), casesOfBuild(document, asphalt)];
  if (!found.ok || !cases.ok) throw new Error('missing');
  const f = cases.value.cases.corneringLateralFront!.forceN!;
  const radius = car.drive.tyre!.radiusMm;
  expect(found.value.armN).toBeCloseTo(f * 1.5, 9);
  expect(found.value.camberDeg).toBeCloseTo(((f * 1.5 * 50) / (1900 * 120) / 40) * (180 / Math.PI), 12);
  expect(found.value.toeDeg).toBeCloseTo(
    ((f * ((0.2 * radius) / 3) * 50) / (1900 * ((6 * 8000) / 12))) * (180 / Math.PI),
    12,
  );
});

test('a flexible one gives as much more as it is softer', () => {
  const give = (material: keyof typeof TYPICAL_MATERIALS) => {
    const found = armGive(document, asphalt, 'front', {
      ...arm,
      material: { ...TYPICAL_MATERIALS[material] },
    });
    if (!found.ok) throw new Error('missing');
    return found.value.camberDeg;
  };
  expect(give('tpu') / give('petg')).toBeCloseTo(1900 / 90, 9);
});

test('an end that is not drawn is named', () =>
  expect(armGive(car, asphalt, 'rear', arm)).toEqual({
    ok: false,
    missing: ['suspension.rear.corner'],
  }));
