import { formatNumber, type Reader } from '@/core/base/units/formatQuantity';
import type { FoundSet } from '@/core/physics/planetary/planetarySearch';
import type { FoundGears, SearchSort } from '@/core/physics/transmissions/gearSearch';
import type { RatioWish } from '@/core/worked/transmissions/searchOfBuild';
import { counted } from '../lists';

export const SORT_NAMES: Readonly<Record<SearchSort, string>> = {
  closest: 'the nearest ratio',
  hunting: 'teeth that meet late',
  small: 'the smallest gears',
};

export const AMONG_NAMES = {
  hand: 'the gears at hand',
  any: 'any teeth',
  sets: 'planetary sets',
} as const;

/** Teeth of a row, stage by stage. */
export const pairsName = ({ stages }: FoundGears): string =>
  stages.map(([pinion, wheel]) => `${pinion} to ${wheel}`).join(', then ');

export const setName = ({ sunTeeth, planetTeeth, ringTeeth, planets }: FoundSet): string =>
  `sun ${sunTeeth}, ${planets} planets of ${planetTeeth}, ring ${ringTeeth}`;

/** What a search found for a ratio of the whole drive. */
export function foundSentence(
  { found, rows }: { found: number; rows: readonly { errorPct: number }[] },
  { overall, tolerancePct }: RatioWish,
  reader: Reader,
): string {
  const n = (value: number, digits: number) => formatNumber(value, reader.locale, digits);
  const ratio = `${n(overall, 4)} : 1`;
  if (found === 0) return `Nothing comes within ${n(tolerancePct, 2)} % of ${ratio}.`;
  const nearest = Math.min(...rows.map(({ errorPct }) => Math.abs(errorPct)));
  return `${counted(found, 'way', 'ways')} within ${n(tolerancePct, 2)} % of ${ratio}, the nearest off by ${n(nearest, 2)} %.`;
}
