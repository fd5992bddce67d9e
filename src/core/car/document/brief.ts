/** A surface copied from the library, with the figures that this build reckons with. */
export interface ChosenSurface {
  id: string;
  libraryId?: string;
  name: string;
  /** Which of a tyre's two factors applies. */
  ground: 'hard' | 'loose';
  /** Friction of a soft rubber tyre, and its standard deviation. */
  mu: number;
  muError: number;
  rollingResistance: number;
  rollingResistanceError: number;
  /** Friction across over that along. */
  lateralGripFactor?: number;
  /** That the friction was measured; it counts while the friction still is that. */
  muMeasured?: MeasuredGrip;
}

/** Friction as it was measured with a tyre, for this surface's friction. */
export interface MeasuredGrip {
  mu: number;
  /** Day, ISO 8601. */
  at: string;
  /** Name of the tyre and its compound. */
  tyre: string;
  readings: number;
}

/** How the friction of a surface was measured, while it still is as measured. */
export const gripMeasured = ({ mu, muMeasured }: ChosenSurface): MeasuredGrip | undefined =>
  muMeasured && muMeasured.mu === mu ? muMeasured : undefined;

export interface SizeClass {
  libraryId?: string;
  name: string;
  massBudgetG: number;
}

/** The straight on which it is driven at speed. */
export interface Place {
  lengthM?: number;
  widthM?: number;
  /** Kept free, m. */
  marginStartM?: number;
  marginEndM?: number;
  marginSideM?: number;
  /** Where the driver stands, from the start end and from the centre line, m. */
  driverAlongM?: number;
  driverBesideM?: number;
  /** As far as the radio was tried, m. */
  radioRangeM?: number;
  /** Wind along it, m/s. */
  windMps?: number;
}

export const TURNS = ['left', 'right'] as const;
export type Turn = (typeof TURNS)[number];

/** One stretch of a track: straight where no radius is given. */
export interface TrackSegment {
  id: string;
  lengthM: number;
  radiusM?: number;
  /** Left where not given. */
  turn?: Turn;
  gradePct?: number;
}

/** A round as it was driven, m east and north of its start. */
export interface TrackLine {
  name: string;
  closed: boolean;
  pointsM: [number, number][];
  /** Rounds that it is the mean of. */
  rounds: number;
}

/** The round that it is driven: laid out segment by segment, or as it was driven, which goes first. */
export interface Track {
  segments?: TrackSegment[];
  line?: TrackLine;
  /** Share of the grip that the driver uses. */
  style?: number;
}

/** What the car is for. Every value may be absent while a build is being made. */
export interface Brief {
  surfaces: ChosenSurface[];
  targetMps?: number;
  /** Distance that should be covered from rest, and in what time. */
  distanceM?: number;
  timeToDistanceS?: number;
  runTimeMinutes?: number;
  payloadG?: number;
  /** Steepest climb, rise over run. */
  gradePct?: number;
  /** Mean speed over the target. */
  meanSpeedShare?: number;
  sizeClass?: SizeClass;
  /** Height from which it is dropped or jumps, and speed at which a wheel meets a kerb. */
  dropHeightM?: number;
  kerbMps?: number;
  place?: Place;
  track?: Track;
  /** What all of it may cost, and in which money, ISO 4217. */
  budget?: number;
  currency?: string;
  /** The last time that measured runs corrected the build, and what they left of the spread of its figures. */
  calibration?: Calibration;
}

export interface Calibration {
  letter: string;
  runs: number;
  /** ISO 8601. */
  at: string;
  /** One standard deviation over the figure. */
  dragSpread?: number;
  efficiencySpread?: number;
  motorSpread?: number;
  /** What it changed, so that the build can be seen without it. */
  corrected?: readonly CorrectedFigure[];
}

/** The runs that a figure was fitted to, while it still is as they say. */
export const fittedTo = (
  { calibration }: Pick<Brief, 'calibration'>,
  path: readonly string[],
  value: number | undefined,
): number | undefined =>
  calibration?.corrected?.some((one) => one.path.join('.') === path.join('.') && one.to === value)
    ? calibration.runs
    : undefined;

/** A figure that a calibration moved, in its own unit; it counts while the build still holds `to`. */
export interface CorrectedFigure {
  path: readonly string[];
  /** None where the field was empty. */
  from?: number;
  to: number;
}

export const USUAL_CURRENCY = 'EUR';

export const emptyBrief = (): Brief => ({ surfaces: [] });
