import { readLog } from '@/core/physics/logs/logRead';
import type { Reader } from '@/core/base/units/formatQuantity';
import { crashStory } from './crashWords';
import { laidOnWords, logDoubts } from './logWords';

const reader: Reader = { locale: 'en-GB', units: 'metric' };
const plain = (text: string) => text.replace(/[\u00a0\u202f]/g, ' ');

describe('what is said of a log', () => {
  it('counts what was wrong with its file, and says nothing of one that is right', () => {
    const { summary } = readLog(
      { text: 'time [s],speed [m/s]\n0,1\n1,oops\n3,2\n2,2\n4,3\n4,3\n5,1\n60,1,9\n,5' },
      '',
    );
    expect(plain(logDoubts(summary, reader))).toBe(
      'In the file: 1 gap, the longest 55 s; 1 cell with text in columns of numbers; 1 row of another length; 1 row out of order, put in order; 1 row with a time that was there already, left out; 1 row without a time, left out.',
    );
    expect(logDoubts(readLog({ text: 'time [s],speed [m/s]\n0,1\n1,2' }, '').summary, reader)).toBe('');
  });

  it('says where another lies, and where that is not sure', () => {
    const sync = { offsetS: -2.5, quality: 0.62, usable: false, by: 'speed' as const };
    expect(plain(laidOnWords(sync, 'lap.gpx', reader))).toBe(
      'lap.gpx begins 2.5 s earlier, by its speed, but that is not sure; they are 62 % alike.',
    );
    expect(laidOnWords(undefined, 'lap.gpx', reader)).toContain('nothing in common');
  });
});

it('a failure of a crash says what was hit and what broke before it', () => {
  const one = (came: 'first' | 'after') => ({ partId: 'a', name: 'Arm', mode: 'crack' as const, came });
  expect(crashStory('a post')(one('first'), ['Bumper'])).toBe('Hit a post. Broke first.');
  expect(crashStory(undefined)(one('after'), ['Bumper', 'Link'])).toBe(
    'In a crash. Followed from: Bumper and Link.',
  );
});
