/** First chassis: the figures that the drive needs. */
export interface Chassis {
  wheelbaseMm?: number;
  trackFrontMm?: number;
  trackRearMm?: number;
  cgHeightMm?: number;
  frontLoadShare?: number;
  /** Ready to run, without payload. */
  massG?: number;
  cdaM2?: number;
  claFrontM2?: number;
  claRearM2?: number;
}

export const emptyChassis = (): Chassis => ({});

/** Share of track times height that an open or simply shelled car offers to the air, to start with. */
const DRAG_AREA_SHARE = 0.55;

/** Drag area to start with, m², from the wider track and the overall height, mm. */
export function startingDragArea(trackMm: number, heightMm: number): number {
  return DRAG_AREA_SHARE * (trackMm / 1000) * (heightMm / 1000);
}
