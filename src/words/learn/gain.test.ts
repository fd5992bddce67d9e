import { PLAIN_READER } from '@/core/base/units/plain';
import { gainsOf } from '@/core/advice/learn/gains';
import { car } from '@/core/fixtures/car';
import type { RunRecord } from '@/core/car/records/records';
import { gainText } from './gain';

const plain = (text: string) => text.replace(/\s/g, ' ');
const run = (revisionId: string, timeS: number): RunRecord => ({
  id: revisionId,
  revisionId,
  kind: 'timedDistance',
  ranAt: '2026-05-01T10:00:00.000Z',
  document: car,
  conditions: { distanceM: 20, surfaceId: 'mownGrass', surfaceName: 'Mown grass', runUpM: 20 },
  attempts: [{ id: 'a', timeS }],
});

describe('what a revision gained', () => {
  // 20 m in 4 s are 18 km/h, in 2 s 36 km/h, in 2.5 s 28.8 km/h
  const revisions = [
    { id: 'A' },
    { id: 'B', parentId: 'A' },
    { id: 'C', parentId: 'B' },
    { id: 'D', parentId: 'C' },
    { id: 'E', parentId: 'B' },
  ];
  const gains = gainsOf(revisions, [run('A', 4), run('B', 2), run('D', 2), run('E', 2.5)]);

  it('is its mean against that of the one that it came from', () => {
    const texts = gains.map((gain) => plain(gainText(gain, PLAIN_READER)));
    expect(texts).toEqual(['18 km/h', '36 km/h, +18 km/h', '', '36 km/h', '28.8 km/h, −7.2 km/h']);
  });

  it('is broad as the share of the fastest', () =>
    expect(gains.map(({ share }) => share && Number(share.toFixed(3)))).toEqual([0.5, 1, undefined, 1, 0.8]));
});
