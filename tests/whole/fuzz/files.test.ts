import '@/words/later/bringIn';
import fc from 'fast-check';
import { CalcError } from '@/core/base/errors';
import { parseDocument } from '@/core/car/document/document.schema';
import { FILE_FORMAT, FILE_VERSION } from '@/core/car/file/buildFile';
import { parseBuildFile } from '@/core/car/file/buildFile.schema';
import { STARTING_LIBRARY } from '@/core/car/library/starting';
import { hear } from '@/core/physics/instruments/line';
import { DEMO_CAR, simulatedLines } from '@/core/physics/instruments/simulated';
import { logRead } from '@/core/physics/logs/logRead';
import { readMeshFile } from '@/core/physics/meshFiles/readFile';
import { readSpeeds } from '@/core/physics/timing/track/gpxSpeed';
import { readTrack } from '@/core/physics/timing/track/readTrack';
import { withoutEnds } from '@/core/physics/timing/track/withoutEnds';
import { statesOn } from '@/core/verdict/states';
import { parseWorkshopFile } from '@/core/verdict/workshopFile.schema';
import { WORKSHOP_FORMAT, WORKSHOP_VERSION } from '@/core/verdict/workshopFile';
import { tinWren } from '@/db/seed/tinWren';
import { plainProblemOf } from '@/words/refusals/problemOf';
import { changedBytes, changedText, changedValue } from './changed';
import { LOGS, MESHES, TRACKS } from './oddFiles';

/** Cases of each kind; `FUZZ=2000` looks longer. */
const CASES = Number(process.env.FUZZ ?? 150);

/** What was read, or nothing where it was refused in sound words; anything else is a fault. */
function readOr<T>(read: () => T): T | undefined {
  try {
    return read();
  } catch (error) {
    if (!(error instanceof CalcError)) throw error;
    const { message, remedy = '' } = plainProblemOf(error.refused);
    expect(message.length).toBeGreaterThan(3);
    expect(`${message} ${remedy}`).not.toMatch(/undefined|NaN|\[object/);
    return undefined;
  }
}

/** Holds for every file of a kind however it was changed; and some of them are read, else nothing was tried. */
function holds<T, R>(cases: fc.Arbitrary<T>, read: (one: T) => R, sound: (found: R) => void): void {
  let taken = 0;
  fc.assert(
    fc.property(cases, (one) => {
      const found = readOr(() => read(one));
      if (found === undefined) return;
      taken++;
      sound(found);
    }),
    { numRuns: CASES },
  );
  expect(taken).toBeGreaterThan(0);
}

const among = <T, U>(all: readonly T[], changed: (one: T) => fc.Arbitrary<U>) =>
  fc.oneof(...all.map(changed));
const isSound = (values: readonly number[]) => values.every(Number.isFinite);

it('a track is read into places on the globe, or refused by its line', () => {
  holds(among(TRACKS, changedText), readTrack, (track) => {
    const all = track.flat();
    expect(isSound(all.map(({ atMs }) => atMs))).toBe(true);
    expect(all.every(({ latDeg, lonDeg }) => Math.abs(latDeg) <= 90 && Math.abs(lonDeg) <= 180)).toBe(true);
    const { result } = readSpeeds(track, 1, 15);
    expect(isSound([result.distanceM, result.durationS, result.topSpeedMps ?? 0])).toBe(true);
    expect(isSound(result.series.speedMps)).toBe(true);
    const shown = withoutEnds(track).flat();
    expect(isSound(shown.flatMap(({ atMs, latDeg, lonDeg }) => [atMs, latDeg, lonDeg]))).toBe(true);
    expect(shown.length).toBeLessThanOrEqual(all.length);
  });
});

it('a log is read into figures with its holes counted, or refused', () => {
  holds(
    among(LOGS, changedText),
    (text) => logRead({ text, resampleHz: 20 }),
    ({ rows, durationS, rateHz, columns, series }) => {
      expect(rows).toBeGreaterThanOrEqual(2);
      expect(durationS).toBeGreaterThanOrEqual(0);
      expect(isSound([durationS, rateHz])).toBe(true);
      for (const { n, missing, mean = 0, sd = 0 } of columns) {
        expect(isSound([mean, sd])).toBe(true);
        expect(n + missing).toBeLessThanOrEqual(rows);
      }
      const lengths = Object.values(series ?? {}).map(({ length }) => length);
      expect(new Set(lengths).size).toBeLessThanOrEqual(1);
    },
  );
});

it('a mesh is read into triangles between its own corners, or refused', () => {
  holds(
    among(MESHES, ([name, bytes]) => changedBytes(bytes).map((changed) => [name, changed] as const)),
    ([name, bytes]) => readMeshFile(bytes, name),
    ({ vertices, triangles }) => {
      expect(isSound([...vertices])).toBe(true);
      expect([...triangles].every((at) => at < vertices.length / 3)).toBe(true);
      expect([triangles.length % 3, vertices.length % 3]).toEqual([0, 0]);
    },
  );
});

it('a line of an instrument is a reading with figures, a problem by name, or nothing', () => {
  const lines = Array.from({ length: 60 }, (_, at) => at).map((at) => {
    const sent = simulatedLines(7, DEMO_CAR);
    for (let skipped = 0; skipped < at; skipped++) sent.next();
    return sent.next().value.line;
  });
  holds(
    among([...new Set(lines), '$GPRMC,090000.00,A,6000.0,N,01100.0,E,5.4,90.0,010526,,,A*6A'], changedText),
    hear,
    (heard) => {
      if (heard && 'reading' in heard) expect(isSound(Object.values(heard.reading.values ?? {}))).toBe(true);
    },
  );
});

const build = { id: 'wren', name: 'Wren', createdAt: '2026-05-01T10:00:00Z' };
const revision = {
  id: 'wren-a',
  letter: 'A',
  createdAt: '2026-05-01T10:00:00Z',
  document: tinWren,
};
const run = {
  id: 'run',
  kind: 'track',
  revisionId: 'wren-a',
  attempts: [{ id: 'one', timeS: 4.2 }],
  conditions: { ambientC: 15 },
  ranAt: '2026-05-02T10:00:00Z',
  document: tinWren,
};
const failure = {
  id: 'failure',
  revisionId: 'wren-a',
  runId: 'run',
  mode: 'cracked',
  partName: 'Arm',
  occurredAt: '2026-05-02T11:00:00Z',
  ledger: { wet: true },
};
const buildFile = {
  format: FILE_FORMAT,
  formatVersion: FILE_VERSION,
  build,
  revisions: [revision],
  runs: [run],
  failures: [failure],
  prints: [],
  copies: [],
  library: STARTING_LIBRARY.slice(0, 2),
  files: [],
};

it('a build file is read into what is read again from it, or refused at a place in it', () => {
  holds(
    fc.oneof(
      changedValue(buildFile).map((file) => JSON.stringify(file)),
      changedText(JSON.stringify(buildFile)),
    ),
    parseBuildFile,
    (file) => expect(parseBuildFile(JSON.stringify(file))).toEqual(file),
  );
});

it('the text of a workshop is read into what is read again from it, or refused', () => {
  const workshop = {
    format: WORKSHOP_FORMAT,
    formatVersion: WORKSHOP_VERSION,
    name: 'Bench',
    builds: 1,
    settings: { printAheadMinutes: 90 },
    library: STARTING_LIBRARY.slice(0, 3),
  };
  holds(
    changedValue(workshop).map((file) => JSON.stringify(file)),
    parseWorkshopFile,
    (file) => expect(parseWorkshopFile(JSON.stringify(file))).toEqual(file),
  );
});

it('a document is taken whole and has its checks, or is refused at a field', () => {
  holds(changedValue(tinWren), parseDocument, (document) => {
    const checks = statesOn(document, document.brief.surfaces[0], {});
    expect(checks.length).toBeGreaterThan(10);
    expect(isSound(checks.flatMap(({ value }) => (typeof value === 'number' ? [value] : [])))).toBe(true);
  });
});
