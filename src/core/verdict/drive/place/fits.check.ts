import { CalcError } from '../../../base/errors';
import { finding, working } from '../../../base/finding';
import { type Measure, measure } from '../../../base/measure';
import type { SiteRow } from '../../../physics/place/definition';
import type { DriveSiteResult } from '../../../physics/place/site';
import { placeOf } from '../../../worked/place/placeOfBuild';
import { brakesOf } from '../../../worked/track/brakesOfBuild';
import { defineCheck, type Found, type Proposal } from '../../engine/check';
import { fitsFace } from './fits.face';

declare module '../../../base/finding' {
  interface FindingFacts {
    'drive.place.stands': Record<never, never>;
    'drive.place.margins': Record<never, never>;
    'drive.place.rollsOn': { speed: Measure };
    'drive.place.needs': { speed: Measure; needed: Measure; usable: Measure; allowed?: Measure };
  }
  interface WorkingFacts {
    'drive.place': { row: SiteRow & { neededM: number; stopM: number }; stretchM: number; usableM: number };
  }
}

/** Length of the place less its margins against run-up, measured stretch and stop at the wished speed. */
export const fits = defineCheck({
  ...fitsFace,
  find: (subject) => {
    const found = siteOf(subject.document, subject.surface);
    if (found === undefined) return { state: 'over', margin: 0, finding: finding('drive.place.margins', {}) };
    return found.ok ? held(found.value.site, found.value.input.stretchM) : found;
  },
  remedies: ({ document, surface }): Proposal[] => {
    const found = siteOf(document, surface);
    const row = found?.ok ? found.value.site.rows.at(-1) : undefined;
    if (!found?.ok || !row) return [];
    const { placeSpeedMps, usableM } = found.value.site;
    const { motorShare = 0 } = brakesOf(document);
    return [
      ...HARDER.filter((share) => share > motorShare).map((value) => ({
        patch: [{ path: ['drive', 'brakes', 'motorShare'], value }],
        cost: 1 as const,
      })),
      ...(placeSpeedMps === undefined
        ? []
        : [
            {
              patch: [
                {
                  path: ['brief', 'targetMps'],
                  value: roundedDown(easier(placeSpeedMps, usableM, found.value.input.stretchM) / row.share),
                },
              ],
              cost: 2 as const,
            },
          ]),
      ...(row.neededM === undefined
        ? []
        : [
            {
              patch: [
                {
                  path: ['brief', 'place', 'lengthM'],
                  value: Math.ceil(document.brief.place!.lengthM! + ROOM * row.neededM - usableM),
                },
              ],
              cost: 3 as const,
            },
          ]),
    ];
  },
});

/** Shares of the motor brake that are tried. */
const HARDER = [0.75, 1];
/** Over the length that is needed. */
const ROOM = 1.11;

/** Leaves room where a bare fit leaves none: run-up and stop grow with the square of the speed, the stretch does not. */
function easier(allowedMps: number, usableM: number, stretchM: number): number {
  const [left, all] = [usableM / ROOM - stretchM, usableM - stretchM];
  return left > 0 ? allowedMps * Math.sqrt(left / all) : allowedMps;
}

const roundedDown = (mps: number): number => Math.floor(mps * 10) / 10;

/** Undefined where the margins leave nothing of the place. */
function siteOf(...of: Parameters<typeof placeOf>) {
  try {
    return placeOf(...of);
  } catch (error) {
    if (error instanceof CalcError && error.path === 'site.lengthM') return undefined;
    throw error;
  }
}

function held({ rows, usableM, stalled, placeSpeedMps }: DriveSiteResult, stretchM: number): Found {
  const row = rows.at(-1);
  if (stalled) return { state: 'over', margin: 0, finding: finding('drive.place.stands', {}) };
  if (!row) return { missing: ['brief.targetMps'] };
  const speed = measure(row.speedMps, 'speedMps');
  if (row.neededM === undefined || row.stopM === undefined)
    return { state: 'over', margin: 0, finding: finding('drive.place.rollsOn', { speed }) };
  return {
    value: usableM,
    limit: row.neededM,
    finding: finding('drive.place.needs', {
      speed,
      needed: measure(row.neededM, 'distanceM'),
      usable: measure(usableM, 'distanceM'),
      ...(row.fits || placeSpeedMps === undefined ? {} : { allowed: measure(placeSpeedMps, 'speedMps') }),
    }),
    working: working('drive.place', {
      row: { ...row, neededM: row.neededM, stopM: row.stopM },
      stretchM,
      usableM,
    }),
  };
}
