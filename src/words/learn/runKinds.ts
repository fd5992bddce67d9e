import type { Lack, RunKind } from '@/core/car/records/runKinds';

/** What kinds of run are called. */
export const RUN_KIND_NAMES: Readonly<Record<RunKind, string>> = {
  timedDistance: 'Timed distance',
  launch: 'Launch',
  slalom: 'Slalom',
  track: 'Satellite track',
  laps: 'Lap times',
  stopping: 'Stopping',
  series: 'Settings series',
  endurance: 'Endurance',
  spin: 'Bench spin',
  friction: 'Friction of the drive',
  grip: 'Friction of the tyres',
  straight: 'Straightness',
  circle: 'Circles',
  coastDown: 'Roll-out',
  terrain: 'Terrain',
  drop: 'Drop',
  blows: 'Blows',
  tyreSpin: 'Tyre spin',
  log: 'Log of a controller',
  balance: 'Wheel balance',
  staircase: 'Blows by energy',
  crash: 'Crash',
};

/** What a sheet can still need before it can be saved. */
export type Missing = Lack | 'surface' | 'distance' | 'gates' | 'attempt';

export const MISSING_WORDS: Readonly<Record<Missing, string>> = {
  surface: 'a surface',
  distance: 'the distance',
  gates: 'the gates',
  attempt: 'an attempt',
  wheelNoiseOrTemperature: 'a wheel, a noise or a temperature',
  whatEndedIt: 'what ended it',
  passage: 'something it had to pass',
  drop: 'a drop',
  blows: 'a part and its blows',
  energyBlow: 'a blow',
  log: 'the log',
  amplitudes: 'the amplitude without a weight and three with one',
  shield: 'the shield',
  spinReading: 'a reading',
  whatItHit: 'what it hit',
  lap: 'a lap',
  stop: 'a stop',
  frictionReading: 'a weight or a current',
  gripReading: 'a reading',
  drift: 'a drift',
  circle: 'two circles',
  rollOut: 'a roll-out',
  track: 'the track',
};
