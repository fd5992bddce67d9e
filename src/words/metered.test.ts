import type { MeteredPlug } from '@/core/physics/supply/metered';
import { meteredWords } from './metered';

const plug: MeteredPlug = {
  id: 'sv',
  meteredV: 5.5,
  expectedV: 5.8,
  atA: 0.5,
  lossOhm: 0.6,
  lostIn: 'lead',
};
const said = (more: Partial<MeteredPlug>) =>
  meteredWords({ ...plug, ...more }, 'Servo', { units: 'metric', locale: 'en-GB' }).replace(/\s/g, ' ');

test('a metered plug says what loses its volts, and what to look at', () => {
  expect(said({})).toBe(
    'Servo: 5.5 V metered, 5.8 V worked out: its lead and plugs lose 0.3 V at 0.5 A, 600 mΩ. The tree counts with it.',
  );
  expect(said({ lostIn: 'either' })).toMatch(/meter what feeds it to tell which\.$/);
  expect(said({ meteredV: 6.4, lossOhm: 0 })).toMatch(/It reads higher: look what feeds it is set to/);
  expect(said({ meteredV: 5.8, lossOhm: 0 })).toMatch(/nothing is lost on the way\.$/);
  expect(said({ lossOhm: undefined, atA: 0 })).toMatch(/enter what it draws\.$/);
});
