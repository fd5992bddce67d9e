/** What a drive loses beyond motor, gears and road; each may be left out of an input for its typical figure. */
export interface LossesDefinition {
  /** Force at the tread over the car's weight, behind the tyre. */
  drivelineDrag?: number;
  /** Cornering stiffness over load, 1/rad. */
  corneringPerRad?: number;
  /** Slip at the grip limit, %. */
  slipAtLimitPct?: number;
  /** Drop of the controller's diodes, V. */
  freewheelV?: number;
  /** Of the motor, µH. */
  inductanceMicroH?: number;
  /** Switching frequency, kHz. */
  pwmKHz?: number;
  /** Receiver, servo and controller, all the time, A. */
  auxiliaryA?: number;
  /** Share of the braking power that ends in the windings. */
  brakingHeatShare?: number;
}

export type Losses = Readonly<Required<LossesDefinition>>;

/**
 * Typical figures, each between its easiest and its hardest: belt drive to sealed four-wheel drive, loose to firm tread,
 * belted tyre to loose ground, active to passive freewheeling, brake discs to a motor that brakes.
 *
 * @see Milliken, Race Car Vehicle Dynamics, ch. 2; Wong, Theory of Ground Vehicles, ch. 1 and 2; Mohan, Power Electronics, ch. 7
 */
export const TYPICAL_LOSSES: Losses = {
  drivelineDrag: 0.03,
  corneringPerRad: 8,
  slipAtLimitPct: 20,
  freewheelV: 0.7,
  inductanceMicroH: 25,
  pwmKHz: 16,
  auxiliaryA: 0.5,
  brakingHeatShare: 0.7,
};

/** No losses: infinite stiffness and switching, so that none of the terms acts. */
const NONE: Losses = {
  drivelineDrag: 0,
  corneringPerRad: Infinity,
  slipAtLimitPct: 0,
  freewheelV: 0,
  inductanceMicroH: Infinity,
  pwmKHz: 1,
  auxiliaryA: 0,
  brakingHeatShare: 0,
};

/** None where none are asked for; the typical figures where some are. */
export const lossesOf = (given: LossesDefinition | undefined): Losses =>
  given ? { ...TYPICAL_LOSSES, ...given } : NONE;
