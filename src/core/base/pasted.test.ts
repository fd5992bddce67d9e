import { pastedPairs } from './pasted';

describe('pasted numbers', () => {
  it.each([
    [
      '0 1.5\n0.1 2\n',
      [
        [0, 1.5],
        [0.1, 2],
      ],
    ],
    [
      '0;1,5\r\n0,1;2',
      [
        [0, 1.5],
        [0.1, 2],
      ],
    ],
    [
      '0\t-3\n\n1\t4',
      [
        [0, -3],
        [1, 4],
      ],
    ],
    [
      '0, 1\n1, 2',
      [
        [0, 1],
        [1, 2],
      ],
    ],
  ])('%j are two a line', (text, pairs) => expect(pastedPairs(text)).toEqual(pairs));

  it.each(['0 1', '0 one\n1 2', '0 1 2\n1 2 3', '', '0\n1'])('%j are none', (text) =>
    expect(pastedPairs(text)).toBeUndefined(),
  );
});
