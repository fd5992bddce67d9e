import { formatNumber, formatText, type Reader } from '@/core/base/units/formatQuantity';
import type { Way, WayFound } from '@/core/worked/transmissions/sideBySide';

export const WAY_NAMES: Readonly<Record<Way, string>> = {
  spur: 'Straight teeth',
  helical: 'Slanted by 20°',
  herringbone: 'Double slanted by 30°',
  belt: 'Toothed belt',
};

/** A rule of thumb, not a computation: how it sounds beside straight teeth. */
export const WAY_SOUNDS: Readonly<Record<Way, string>> = {
  spur: 'whines with every tooth',
  helical: '5 to 10 dB quieter',
  herringbone: '5 to 10 dB quieter',
  belt: 'about 10 dB quieter',
};

/** What speaks for the way that holds best, and what it costs. */
export function waysSentence(ways: readonly WayFound[], reader: Reader): string {
  const spur = ways.find(({ way }) => way === 'spur');
  const best = [...ways].sort((a, b) => b.margin - a.margin)[0];
  if (!spur || !best) return '';
  if (best.way === 'spur') return 'Straight teeth hold best here and push nothing along the shaft.';
  const gain = formatNumber(best.margin / spur.margin, reader.locale, 2);
  const cost =
    best.way === 'belt'
      ? `${formatText(best.shaftLoadN, 'forceN', reader, 2)} on the shaft against ${formatText(spur.shaftLoadN, 'forceN', reader, 2)}`
      : best.thrustN > 0
        ? `${formatText(best.thrustN, 'forceN', reader, 2)} along the shaft, which a bearing must take`
        : `shafts ${formatText(best.centreMm, 'lengthMm', reader, 3)} apart in place of ${formatText(spur.centreMm, 'lengthMm', reader, 3)}, and a gear that is hard to print in one`;
  return `${WAY_NAMES[best.way]}: ${gain} times the margin of straight teeth on the same width, for ${cost}.`;
}
