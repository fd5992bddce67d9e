import { livesOfCopies, livesOfParts } from '../worked/field/lives';
import { bodiesOf } from '../worked/chassis/bodiesOfBuild';
import { namesOfThings, partName } from '../worked/space/partsOfThings';
import type { Thing } from '../worked/space/thingsOfCar';
import type { Check } from './engine/check';
import type { RevisionRecord } from '../car/records/records';
import type { BuildOnRecord } from './engine/onRecord';
import { byUrgency } from './states';

/** What is known about a thing of the car beside where it stands. */
export interface CarMark {
  /** The check that judges it the hardest. */
  check?: Check;
  massG?: number;
  /** How often it failed, over all revisions. */
  failures: number;
  /** Driven, of the copy that is on the car: the most worn of those in use. */
  hours?: number;
}

type Recorded = Pick<BuildOnRecord, 'document' | 'runs' | 'failures' | 'copies'> & {
  revisions: readonly RevisionRecord[];
};

/** What checks, masses, failures and driven hours say of each thing of the car, by its id. */
export function carMarks(
  record: Recorded,
  things: readonly Thing[],
  checks: readonly Check[],
): ReadonlyMap<string, CarMark> {
  const { document } = record;
  const names = namesOfThings(document, things);
  const masses = new Map(bodiesOf(document).map(({ id, massG }) => [id, massG]));
  const hours = hoursOfParts(record);
  return new Map(
    things.map(({ id }) => {
      const called = new Set(names.get(id));
      const [check] = checks
        .filter(({ about = [], margin }) => margin !== undefined && about.some((name) => called.has(name)))
        .sort(byUrgency);
      const parts = document.parts.items.filter((part) => called.has(partName(part.id)));
      const massG =
        names.get(id)!.flatMap((name) => masses.get(name) ?? [])[0] ??
        parts.find((part) => part.massG !== undefined)?.massG;
      const driven = parts.flatMap((part) => hours.get(part.id) ?? []);
      return [
        id,
        {
          ...(check ? { check } : {}),
          ...(massG === undefined ? {} : { massG }),
          failures: record.failures.filter(({ partId }) => parts.some((part) => part.id === partId)).length,
          ...(driven.length === 0 ? {} : { hours: Math.max(...driven) }),
        },
      ];
    }),
  );
}

/** Hours of the copy in use that ran longest; of what has no copies, those of the part as it is drawn now. */
function hoursOfParts({ revisions, runs, failures, copies }: Recorded): ReadonlyMap<string, number> {
  const found = new Map(livesOfParts(revisions, runs, failures).map(({ partId, hours }) => [partId, hours]));
  const lives = livesOfCopies(copies, runs);
  const counted = new Map<string, number>();
  for (const { id, partId, retiredAt } of copies)
    if (partId !== undefined && retiredAt === undefined)
      counted.set(partId, Math.max(counted.get(partId) ?? 0, lives.get(id)!.hours));
  return new Map([...found, ...counted]);
}
