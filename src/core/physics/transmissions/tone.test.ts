import { toneOf } from './tone';

const RATE = 48_000;
const sound = (wave: (t: number) => number, seconds = 0.1) =>
  Float32Array.from({ length: Math.round(RATE * seconds) }, (_, at) => wave(at / RATE));
const sine = (hz: number) => (t: number) => Math.sin(2 * Math.PI * hz * t);

describe('the tone of a plucked span', () => {
  it.each([31, 219.7, 880])('of %f Hz is heard, with its overtones and as it fades', (hz) => {
    const pure = toneOf(sound(sine(hz), 0.2), RATE)!;
    expect(Math.abs(pure / hz - 1)).toBeLessThan(0.002);
    const plucked = sound(
      (t) =>
        0.3 *
        Math.exp(-4 * t) *
        (sine(hz)(t) + 0.7 * sine(2 * hz)(t + 0.0003) + 0.4 * sine(3 * hz)(t + 0.0001)),
      0.2,
    );
    expect(Math.abs(toneOf(plucked, RATE)! / hz - 1)).toBeLessThan(0.005);
  });

  it('is none of silence, of noise, and of a tone too high for a span', () => {
    expect(toneOf(new Float32Array(4800), RATE)).toBeUndefined();
    let seed = 1;
    const noise = () => {
      seed = (seed * 16_807) % 2_147_483_647;
      return seed / 1_073_741_823 - 1;
    };
    expect(toneOf(sound(noise), RATE)).toBeUndefined();
    expect(
      toneOf(
        sound((t) => 0.001 * sine(300)(t)),
        RATE,
      ),
    ).toBeUndefined();
  });
});
