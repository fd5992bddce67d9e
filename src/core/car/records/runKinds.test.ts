import { parse } from '../../base/schema/parse';
import { emptyDocument } from '../document/document';
import { runSheetSchema } from './records.schema';
import type { KeptTrack, RunReport } from './report';
import {
  isRepeatedKind,
  isTimedKind,
  kindsThatAnswer,
  RUN_KIND_RECORDS,
  RUN_KINDS,
  type RunKind,
  WISHES,
} from './runKinds';

const track: KeptTrack = {
  hash: 'a'.repeat(64),
  name: 'lap.gpx',
  windowS: 2,
  distanceM: 300,
  durationS: 60,
  droppedPoints: 0,
};

/** What each kind that is not timed is complete with. */
const WHOLE: Readonly<Partial<Record<RunKind, RunReport>>> = {
  track: {},
  laps: { laps: [15.2, 15.4], lapPredictedS: 15 },
  stopping: { stops: [{ id: 's', fromMps: 8, distanceM: 7, predictedM: 6.6 }] },
  friction: { friction: { pulls: [{ id: 'p', part: 'motor', startG: 40, keepG: 30 }], freeA: 2 } },
  grip: { grip: { method: 'tilt', readings: [{ id: 'r', value: 31 }] } },
  straight: { straight: { drifts: [{ id: 'd', driftM: -0.2 }] } },
  circle: {
    circle: {
      circles: [8, 6].map((lapTimeS) => ({ id: `c${lapTimeS}`, radiusM: 3, lapTimeS, steerDeg: 5 })),
    },
  },
  coastDown: {
    coast: {
      rolls: [
        {
          id: 'r',
          direction: 'out',
          readings: [
            { tS: 0, speedMps: 8 },
            { tS: 2, speedMps: 5 },
          ],
        },
      ],
    },
  },
  endurance: { endedBy: 'battery' },
  spin: { noise: 'even' },
  terrain: { passages: [{ id: 'p', what: 'kerb', passed: true }] },
  drop: { drops: [{ id: 'd', heightM: 1, outcome: 'held' }] },
  blows: { beaten: [{ id: 'b', name: 'Arm', light: 3, hard: 1, failed: false }] },
  tyreSpin: { shielded: true, spins: [{ id: 's', rpm: 9000, diameterMm: 84 }] },
  log: { log: { hash: 'b'.repeat(64), name: 'drive.csv', rows: 900, durationS: 30 } },
  balance: {
    balance: {
      amplitude: 5,
      trialMassG: 2,
      trialRadiusMm: 25,
      runs: [0, 120, 240].map((angleDeg) => ({
        id: `r${angleDeg}`,
        angleDeg,
        amplitude: 4 + angleDeg / 100,
      })),
    },
  },
  staircase: {
    blows: { variants: [{ id: 'v', name: 'Arm', blows: [{ id: 'b', energyJ: 2, broke: false }] }] },
  },
  crash: { hit: 'a post' },
};

describe('kinds of run', () => {
  it.each(RUN_KINDS)('%s is timed, or says what its report lacks until it is whole', (kind) => {
    const { lacks } = RUN_KIND_RECORDS[kind];
    if (isTimedKind(kind)) return expect(lacks).toBeUndefined();
    expect(lacks!({}, undefined)).toEqual(expect.any(String));
    expect(lacks!(WHOLE[kind]!, track)).toBeUndefined();
    expect(() =>
      parse(runSheetSchema, {
        id: 'r',
        kind,
        attempts: [],
        conditions: {},
        report: WHOLE[kind],
        ranAt: '2026-05-01T10:00:00.000Z',
        document: emptyDocument(),
      }),
    ).not.toThrow();
  });

  it('want the shield of a tyre before its readings', () => {
    const { lacks } = RUN_KIND_RECORDS.tyreSpin;
    expect(lacks!({ spins: WHOLE.tyreSpin!.spins! }, undefined)).toBe('shield');
    expect(lacks!({ shielded: true }, undefined)).toBe('spinReading');
  });

  it('answer every wish of the brief, and owe the plainest first', () => {
    expect(WISHES.map((wish) => kindsThatAnswer(wish))).toEqual([
      ['timedDistance', 'track'],
      ['launch'],
      ['endurance'],
    ]);
  });

  it('have a mean where their attempts repeat one thing, which a series does not', () => {
    expect(RUN_KINDS.filter(isRepeatedKind)).toEqual(['timedDistance', 'launch', 'slalom']);
    expect(RUN_KINDS.filter(isTimedKind)).toEqual(['timedDistance', 'launch', 'slalom', 'series']);
  });

  it('refuse a timed run without surface, distance or attempt, each by its name', () => {
    const conditions = { surfaceId: 's', surfaceName: 'Grass', distanceM: 20 };
    const run = {
      id: 'r',
      kind: 'launch',
      attempts: [{ id: 'a', timeS: 2 }],
      conditions,
      ranAt: '2026-05-01T10:00:00.000Z',
      document: emptyDocument(),
    };
    const refusedAt = (change: object) => {
      try {
        parse(runSheetSchema, { ...run, ...change });
      } catch (error) {
        return (error as { path: string }).path;
      }
      return undefined;
    };
    expect(refusedAt({})).toBeUndefined();
    expect(refusedAt({ attempts: [] })).toBe('attempts');
    expect(refusedAt({ conditions: { ...conditions, distanceM: undefined } })).toBe('conditions.distanceM');
    expect(refusedAt({ conditions: { ...conditions, surfaceId: undefined } })).toBe('conditions.surfaceId');
    expect(refusedAt({ kind: 'slalom' })).toBe('conditions.gates');
    const gates = { spacingM: 2, offsetM: 0.2 };
    expect(refusedAt({ kind: 'slalom', conditions: { ...conditions, gates } })).toBeUndefined();
    expect(refusedAt({ kind: 'flight' })).toBe('kind');
  });
});
