import type { KeptTrack, RunReport } from './report';

/** A wish of the brief that a run answers, by its path. */
export type Wish = 'brief.targetMps' | 'brief.timeToDistanceS' | 'brief.runTimeMinutes';
export const WISHES = ['brief.targetMps', 'brief.timeToDistanceS', 'brief.runTimeMinutes'] as const;

/** What a run that is not timed still lacks before it can be kept. */
export type Lack =
  | 'wheelNoiseOrTemperature'
  | 'whatEndedIt'
  | 'passage'
  | 'drop'
  | 'blows'
  | 'energyBlow'
  | 'amplitudes'
  | 'log'
  | 'shield'
  | 'spinReading'
  | 'whatItHit'
  | 'lap'
  | 'stop'
  | 'frictionReading'
  | 'gripReading'
  | 'drift'
  | 'circle'
  | 'rollOut'
  | 'track';

export interface RunKindRecord {
  /** Its attempts are passages over a distance, which repeat one thing or set something anew for each. */
  readonly timed?: 'repeated' | 'series';
  /** It starts at rest: there is no run-up, and its time counts rather than its speed. */
  readonly fromRest?: true;
  /** It goes through gates, as fast as its driver can: its prediction is what the car could do at best. */
  readonly weaves?: true;
  /** On the bench, with no ground under it. */
  readonly bench?: true;
  /** It goes on until the pack is empty. */
  readonly wholePack?: true;
  /** How often it has to be done before a change is believed, where three runs do not decide. */
  readonly believedAfter?: 'blows' | 'one';
  /** The first kind that answers a wish is the one that is owed for it. */
  readonly answers?: readonly Wish[];
  /** What is still to be entered, of one that is not timed. */
  readonly lacks?: (report: RunReport, track: KeptTrack | undefined) => Lack | undefined;
}

const none = (list: readonly unknown[] | undefined) => (list ?? []).length === 0;

const RECORDS = {
  timedDistance: { timed: 'repeated', answers: ['brief.targetMps'] },
  launch: { timed: 'repeated', fromRest: true, answers: ['brief.timeToDistanceS'] },
  slalom: { timed: 'repeated', weaves: true },
  track: { answers: ['brief.targetMps'], lacks: (_, track) => (track ? undefined : 'track') },
  laps: { lacks: ({ laps }) => (none(laps) ? 'lap' : undefined) },
  stopping: { lacks: ({ stops }) => (none(stops) ? 'stop' : undefined) },
  series: { timed: 'series' },
  endurance: {
    wholePack: true,
    answers: ['brief.runTimeMinutes'],
    lacks: ({ endedBy }) => (endedBy ? undefined : 'whatEndedIt'),
  },
  spin: {
    bench: true,
    believedAfter: 'one',
    lacks: ({ wheels, noise, temperatures, motors }) =>
      none(Object.keys(wheels ?? {})) && !noise && none(temperatures) && none(motors)
        ? 'wheelNoiseOrTemperature'
        : undefined,
  },
  friction: {
    bench: true,
    believedAfter: 'one',
    lacks: ({ friction = {} }) =>
      none(friction.pulls) && friction.freeA === undefined ? 'frictionReading' : undefined,
  },
  grip: {
    believedAfter: 'one',
    lacks: ({ grip }) => (none(grip?.readings) ? 'gripReading' : undefined),
  },
  straight: {
    believedAfter: 'one',
    lacks: ({ straight }) => (none(straight?.drifts) ? 'drift' : undefined),
  },
  circle: {
    believedAfter: 'one',
    lacks: ({ circle }) => ((circle?.circles ?? []).length < 2 ? 'circle' : undefined),
  },
  coastDown: {
    believedAfter: 'one',
    lacks: ({ coast }) => (none(coast?.rolls) ? 'rollOut' : undefined),
  },
  terrain: { lacks: ({ passages }) => (none(passages) ? 'passage' : undefined) },
  drop: { bench: true, believedAfter: 'blows', lacks: ({ drops }) => (none(drops) ? 'drop' : undefined) },
  blows: { bench: true, believedAfter: 'blows', lacks: ({ beaten }) => (none(beaten) ? 'blows' : undefined) },
  tyreSpin: {
    bench: true,
    lacks: ({ shielded, spins }) => (shielded !== true ? 'shield' : none(spins) ? 'spinReading' : undefined),
  },
  log: { lacks: ({ log }) => (log ? undefined : 'log') },
  balance: {
    bench: true,
    believedAfter: 'one',
    lacks: ({ balance }) =>
      balance?.amplitude === undefined || (balance.runs ?? []).length < 3 ? 'amplitudes' : undefined,
  },
  staircase: {
    bench: true,
    believedAfter: 'one',
    lacks: ({ blows }) =>
      (blows?.variants ?? []).every(({ blows: given }) => given.length === 0) ? 'energyBlow' : undefined,
  },
  crash: { lacks: ({ hit }) => (hit ? undefined : 'whatItHit') },
} as const satisfies Readonly<Record<string, RunKindRecord>>;

type Records = typeof RECORDS;
export type RunKind = keyof Records;
/** Kinds whose attempts are passages over a distance. */
export type TimedKind = { [K in RunKind]: Records[K] extends { timed: string } ? K : never }[RunKind];
export type UntimedKind = Exclude<RunKind, TimedKind>;
/** Kinds whose attempts repeat one thing, so that they have a mean. */
export type RepeatedKind = {
  [K in RunKind]: Records[K] extends { timed: 'repeated' } ? K : never;
}[RunKind];

/** All that is known of each kind of run; what it is called and how it is told stand in the words, its sheet with the pages. */
export const RUN_KIND_RECORDS: Readonly<Record<RunKind, RunKindRecord>> = RECORDS;
export const RUN_KINDS = Object.keys(RECORDS) as RunKind[];

export const isTimedKind = (kind: RunKind): kind is TimedKind => RUN_KIND_RECORDS[kind].timed !== undefined;
export const isRepeatedKind = (kind: RunKind): kind is RepeatedKind =>
  RUN_KIND_RECORDS[kind].timed === 'repeated';
export const TIMED_KINDS = RUN_KINDS.filter(isTimedKind);
export const REPEATED_KINDS = RUN_KINDS.filter(isRepeatedKind);

/** Kinds of run that answer a wish, the one that is owed for it first. */
export const kindsThatAnswer = (wish: Wish): readonly RunKind[] =>
  RUN_KINDS.filter((kind) => RUN_KIND_RECORDS[kind].answers?.includes(wish));
