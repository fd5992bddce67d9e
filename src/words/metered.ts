import { formatText, type Reader } from '@/core/base/units/formatQuantity';
import type { MeteredPlug } from '@/core/physics/supply/metered';

/** Reads higher than worked out by more than a meter errs, V. By judgement. */
const HIGHER_V = 0.1;

const LOST: Readonly<Record<MeteredPlug['lostIn'], string>> = {
  lead: 'its lead and plugs lose',
  regulator: 'the regulator loses',
  either: 'its lead or what feeds it loses',
};

/** What one metered plug says of the supply. */
export function meteredWords(
  { meteredV, expectedV, atA, lossOhm, lostIn }: MeteredPlug,
  name: string,
  reader: Reader,
): string {
  const volts = (value: number) => formatText(value, 'voltageV', reader, 3);
  const read = `${name}: ${volts(meteredV)} metered, ${volts(expectedV)} worked out`;
  if (meteredV > expectedV + HIGHER_V)
    return `${read}. It reads higher: look what feeds it is set to, and whether the pack was fuller.`;
  if (lossOhm === undefined)
    return `${read}. Without a typical current the loss has no resistance: enter what it draws.`;
  if (lossOhm === 0) return `${read}: nothing is lost on the way.`;
  const lost = `${LOST[lostIn]} ${volts(expectedV - meteredV)} at ${formatText(atA, 'currentA', reader, 2)}, ${formatText(1000 * lossOhm, 'resistanceMilliOhm', reader, 2)}`;
  return `${read}: ${lost}. The tree counts with it${lostIn === 'either' ? '; meter what feeds it to tell which' : ''}.`;
}
