import { inOrder } from './column';

const sorted = (cells: readonly (number | string | Date | null)[], way: 'asc' | 'desc') =>
  [...cells].sort((a, b) => inOrder(a, b, way));

test('cells stand by size, by spelling and by day, and what is not given comes last either way', () => {
  expect(sorted([9, null, 10, 2], 'asc')).toEqual([2, 9, 10, null]);
  expect(sorted([9, null, 10, 2], 'desc')).toEqual([10, 9, 2, null]);
  expect(sorted(['rear arm', 'Front arm', null, 'bumper'], 'asc')).toEqual([
    'bumper',
    'Front arm',
    'rear arm',
    null,
  ]);
  const [early, late] = [new Date('2026-05-01'), new Date('2026-05-31')];
  expect(sorted([late, null, early], 'asc')).toEqual([early, late, null]);
});
