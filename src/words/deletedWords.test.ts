import type { DeletedThing } from '@/core/car/records/deleted';
import { deletedWords } from './deletedWords';

const of = { build: 'Marsh Hare', letter: 'B' };
const THINGS: readonly (readonly [Omit<DeletedThing, 'id' | 'deletedAt'>, string])[] = [
  [{ kind: 'builds', name: 'Marsh Hare' }, 'Build Marsh Hare'],
  [{ kind: 'runs', runKind: 'timedDistance', of }, 'Timed distance, Marsh Hare B'],
  [{ kind: 'failures', name: 'Rear Arm', of }, 'Failure of rear arm, Marsh Hare B'],
  [{ kind: 'prints', parts: ['Bumper', 'Front arm'], of }, 'Print of bumper, front arm, Marsh Hare B'],
  [{ kind: 'library', libraryKind: 'battery', name: '2S 5000' }, 'Packs: 2S 5000'],
];

describe('what was deleted', () => {
  it.each(THINGS)('%j is told by what it was and where it belongs', (thing, words) =>
    expect(deletedWords({ ...thing, id: 'x', deletedAt: '2026-05-01T10:00:00.000Z' })).toBe(words),
  );
});
