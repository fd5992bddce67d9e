/** First suspension: how far a wheel gives way when it lands or meets a kerb. */
export interface Suspension {
  stopMm?: number;
  kerbStopMm?: number;
}

export const emptySuspension = (): Suspension => ({});

/** To start with, by judgement: travel that is left at rest, and what tyre and arm give lengthwise, mm. */
export const USUAL_STOP_MM = 20;
export const USUAL_KERB_STOP_MM = 10;
