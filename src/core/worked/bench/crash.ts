import { CalcError } from '../../base/errors';
import type { ChosenSurface } from '../../car/document/brief';
import type { BuildDocument } from '../../car/document/document';
import type { Part } from '../../car/parts/parts';
import type { CrashSide, DamagedPart, MeasuredCrash } from '../../car/records/benchReport';
import type { FailureSheet, RunRecord, RunSheet } from '../../car/records/records';
import type { LoadCaseName } from '../../physics/strength/loadCases';
import { partStrength } from '../parts/partStrength';
import type { MakeLine } from '../print/makeList';

/** Whether a crash did to a part what was to be expected of it. */
export const CRASH_STANDINGS = ['expected', 'surprising', 'damaged', 'look', 'whole'] as const;
export type CrashStanding = (typeof CRASH_STANDINGS)[number];

export interface CrashedPart {
  partId: string;
  name: string;
  damaged?: DamagedPart;
  /** Of what it carries over what nose or kerb gave at that speed; none where it has no such load. */
  margin?: number;
  standing: CrashStanding;
}

type LoadFrom = LoadCaseName | 'own' | 'link' | 'all';
const BOTH: readonly LoadFrom[] = ['noseCrash', 'curbStrike'];
/** Loads that a crash gives, by what was hit with; of tail and roof none is predicted. */
const STRUCK: Readonly<Record<CrashSide, readonly LoadFrom[]>> = {
  // a kerb is met by the nose as well as by a wheel
  nose: BOTH,
  tail: [],
  roof: [],
  left: ['curbStrike'],
  right: ['curbStrike'],
  frontLeft: ['curbStrike'],
  frontRight: ['curbStrike'],
  rearLeft: ['curbStrike'],
  rearRight: ['curbStrike'],
};
/** A part that was loaded so nearly to its end deserves a look though it seems whole. */
const LOOK_UNDER = 1.5;

/** Every part of the build after a crash, the worst off first. */
export function crashedParts(
  document: BuildDocument,
  surface: ChosenSurface | undefined,
  speedMps: number | undefined,
  { side, damaged = [] }: MeasuredCrash = {},
): CrashedPart[] {
  const struck: BuildDocument =
    speedMps === undefined || speedMps === 0
      ? document
      : { ...document, brief: { ...document.brief, targetMps: speedMps, kerbMps: speedMps } };
  const order = (one: CrashedPart) => CRASH_STANDINGS.indexOf(one.standing);
  return document.parts.items
    .map((part): CrashedPart => {
      const broke = damaged.find(({ partId }) => partId === part.id);
      const margin = speedMps ? struckMargin(struck, surface, part, side ? STRUCK[side] : BOTH) : undefined;
      return {
        partId: part.id,
        name: part.name,
        ...(broke ? { damaged: broke } : {}),
        ...(margin === undefined ? {} : { margin }),
        standing: standingOf(broke !== undefined, margin),
      };
    })
    .sort((one, other) => order(one) - order(other));
}

function standingOf(broke: boolean, margin: number | undefined): CrashStanding {
  if (broke) return margin === undefined ? 'damaged' : margin < 1 ? 'expected' : 'surprising';
  return margin !== undefined && margin < LOOK_UNDER ? 'look' : 'whole';
}

function struckMargin(
  document: BuildDocument,
  surface: ChosenSurface | undefined,
  part: Part,
  loads: readonly LoadFrom[],
): number | undefined {
  try {
    const found = partStrength(document, surface, part);
    if (!found.ok) return undefined;
    const margins = found.value.loads.filter(({ from }) => loads.includes(from)).map(({ margin }) => margin);
    return margins.length === 0 ? undefined : Math.min(...margins);
  } catch (error) {
    if (error instanceof CalcError) return undefined;
    throw error;
  }
}

/** What has to be made or bought until it runs again. */
export interface UntilItRuns {
  /** Without one that lies ready. */
  short: number;
  /** Of those the ones that the printers make, by part. */
  toPrint: string[];
  printS: number;
  price: number;
  /** Of those without a time of printing, or a price. */
  untimed: number;
  unpriced: number;
}

export function untilItRuns(damaged: readonly DamagedPart[], lines: readonly MakeLine[]): UntilItRuns {
  const found: UntilItRuns = { short: 0, toPrint: [], printS: 0, price: 0, untimed: 0, unpriced: 0 };
  for (const { partId } of damaged) {
    const line = lines.find((one) => one.partId === partId);
    if (line && line.onHand > 0) continue;
    found.short++;
    if (line?.source === 'printed') found.toPrint.push(partId);
    if (line?.source === 'printed' && line.printS !== undefined) found.printS += line.printS;
    else found.untimed++;
    if (line?.price === undefined) found.unpriced++;
    else found.price += line.price;
  }
  return found;
}

/** Tells how a part broke, with what broke before it. */
export type CrashStory = (one: DamagedPart, first: readonly string[]) => string;

/** The failures of a crash, the first cause before what followed from it; each is the same however often it is entered. */
export function failuresOfCrash(
  { id, ranAt, report }: Pick<RunSheet, 'id' | 'ranAt' | 'report'>,
  story: CrashStory,
): FailureSheet[] {
  const { crash, speedMps } = report ?? {};
  const came = (when: DamagedPart['came']) => (crash?.damaged ?? []).filter((one) => one.came === when);
  const first = came('first');
  return [...first, ...came('after')].map((one, k): FailureSheet => {
    const ledger = {
      ...(speedMps === undefined ? {} : { impactMps: speedMps }),
      ...(one.copyId === undefined ? {} : { copyId: one.copyId }),
    };
    return {
      id: `${id.slice(0, 56)}-${k + 1}`,
      mode: one.mode,
      partId: one.partId,
      partName: one.name,
      runId: id,
      // a thousandth apart, so that lists keep the order
      occurredAt: new Date(Date.parse(ranAt) + k).toISOString(),
      story: story(
        one,
        first.map(({ name }) => name),
      ),
      ...(Object.keys(ledger).length > 0 ? { ledger } : {}),
    };
  });
}

const QUARANTINE_MS = 24 * 3600 * 1000;

/** Until when a pack that took a blow stays outside, by the last crash; nothing once it is over. */
export function packQuarantine(
  runs: readonly Pick<RunRecord, 'ranAt' | 'report'>[],
  nowMs: number,
): Date | undefined {
  const ends = runs
    .filter(({ report }) => report?.crash?.packHit)
    .map(({ ranAt }) => Date.parse(ranAt) + QUARANTINE_MS);
  const last = Math.max(0, ...ends);
  return last > nowMs ? new Date(last) : undefined;
}
