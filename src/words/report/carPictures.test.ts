import { applyPatch } from '@/core/base/patch';
import { whole } from '@/core/fixtures/suspended';
import { apartPicture, stepsPicture } from './carPictures';

const joined = applyPatch(whole, [
  {
    path: ['parts', 'items'],
    value: [
      { id: 'tower', name: 'Tower', kind: 'shockTower' },
      { id: 'plate', name: 'Plate', kind: 'chassis' },
      { id: 'arm', name: 'Arm', kind: 'arm', made: { as: 'arm', end: 'rear' } },
      { id: 'knuckle', name: 'Knuckle', kind: 'knuckle' },
    ],
  },
  {
    path: ['print', 'joints'],
    value: [
      { id: 'towers', name: 'Tower', kind: 'screw', part: 'tower', to: 'plate', diameterMm: 3 },
      { id: 'hinge', name: 'Hinge', kind: 'pin', part: 'plate', to: 'arm', diameterMm: 3 },
      { id: 'steering', name: 'Steering', kind: 'screw', part: 'knuckle', diameterMm: 3 },
    ],
  },
]);

describe('pictures of the car on paper', () => {
  it('show it taken apart, wider than it stands', () => {
    const picture = apartPicture(joined)!;
    // two tyres of 80 mm, 280 mm apart, over what stands up between them
    expect(picture.aspect).toBeGreaterThan(0.2);
    expect(picture.svg).toContain(`viewBox="0 0 520`);
    expect(apartPicture(applyPatch(whole, [{ path: ['suspension'], value: {} }]))).toBeUndefined();
  });

  it('show each step that joins something in the picture, under the number that it has in the list', () => {
    const picture = stepsPicture(joined)!;
    const numbers = [...picture.svg.matchAll(/<text[^>]*>(\d+)</g)].map(([, number]) => Number(number));
    // a screw between a tower and a plate without a place joins nothing that is drawn
    expect(numbers).toHaveLength(2);
    expect(numbers.every((number, k) => k === 0 || number > numbers[k - 1]!)).toBe(true);
    // both rear arms and both front uprights once each: an arm as bars or hulls, in green
    expect(picture.svg.match(/stroke="#3F6B3A"/g)!.length).toBeGreaterThanOrEqual(6);
    expect(stepsPicture(whole)).toBeUndefined();
  });
});
