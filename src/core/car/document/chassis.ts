import type { AirShapes } from '../air/air';

/** Where a component sits and how large it is; what the build knows of it already is left out. */
export interface Body {
  id: string;
  name?: string;
  massG?: number;
  /** Its centre from the front axle on the ground, x forward, y to the left, z up. */
  xMm?: number;
  yMm?: number;
  zMm?: number;
  /** Along, across and up. */
  lengthMm?: number;
  widthMm?: number;
  heightMm?: number;
  /** Moves with the wheels. */
  unsprung?: boolean;
}

/** Two things of the car that may touch. */
export interface Touching {
  id: string;
  a: string;
  b: string;
}

/** A place that a wire goes by on its way, where it does not go straight; by the id of the wire. */
export interface WireWay {
  id: string;
  xMm?: number;
  yMm?: number;
  zMm?: number;
}

/** A body shell as a box that is open below, with round openings over the wheels. */
export interface Shell {
  lengthMm?: number;
  widthMm?: number;
  heightMm?: number;
  /** Its middle from the front axle, positive forward. */
  xMm?: number;
  /** Its lower edge over the ground. */
  zMm?: number;
  /** Radius of the openings. */
  archMm?: number;
}

/** A drag area as it was measured, with one standard deviation. */
export interface MeasuredDrag {
  cdaM2: number;
  errorM2: number;
}

/** How the drag area was measured, while it still is as measured. */
export const dragMeasured = ({ cdaM2, cdaMeasured }: Chassis): MeasuredDrag | undefined =>
  cdaMeasured && cdaMeasured.cdaM2 === cdaM2 ? cdaMeasured : undefined;

/** What drive and brief need to know of the chassis, and the components with their places. */
export interface Chassis {
  wheelbaseMm?: number;
  trackFrontMm?: number;
  trackRearMm?: number;
  cgHeightMm?: number;
  frontLoadShare?: number;
  /** Ready to run, without payload. */
  massG?: number;
  cdaM2?: number;
  /** That the drag area was measured; it counts while the drag area still is that. */
  cdaMeasured?: MeasuredDrag;
  claFrontM2?: number;
  claRearM2?: number;
  bodies?: Body[];
  /** Chassis turned about the ground between the axles, positive nose down; places are those of the level car. */
  rakeDeg?: number;
  /** Of the corner in which it should not roll over. */
  cornerRadiusM?: number;
  /** Things that may touch. */
  touching?: Touching[];
  ways?: WireWay[];
  shell?: Shell;
  /** What counts of drag and downforce where their figures are left out. */
  air?: AirShapes;
  /** Wished under the lowest point, and the height of a step to climb. */
  groundMm?: number;
  stepMm?: number;
}

export const emptyChassis = (): Chassis => ({});

/** Share of track times height that an open or simply shelled car offers to the air, to start with. */
const DRAG_AREA_SHARE = 0.55;

/** Drag area to start with, m², from the wider track and the overall height, mm. */
export function startingDragArea(trackMm: number, heightMm: number): number {
  return DRAG_AREA_SHARE * (trackMm / 1000) * (heightMm / 1000);
}
