import { guessesText } from './guesses';

describe('what an answer stands on that is guessed', () => {
  it('is named, the first three and how many more', () => {
    expect(guessesText({ assumed: ['chassis/massG', 'drive/motor'] })).toBe(
      'Guessed still: ready to run, without payload and motor.',
    );
    expect(
      guessesText({
        assumed: ['drive/motor', 'drive/tyre', 'power/battery', 'power/controller', 'drive/stages'],
      }),
    ).toBe('Guessed still: motor, tyre, pack and 2 more.');
  });
  it('is nothing where all was chosen', () => {
    expect(guessesText({})).toBeUndefined();
    expect(guessesText({ assumed: [] })).toBeUndefined();
  });
});
