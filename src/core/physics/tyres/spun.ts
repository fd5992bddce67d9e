/** What a spinning tyre does at one speed; SI units. */
export interface Spun {
  /** Growth of the outer radius, m; infinite where it runs away. */
  growthM: number;
  /** Nominal, around the outside, Pa. */
  hoopPa: number;
  /** Pull on a length of one edge of the rim, N/m. */
  pullNPerM: number;
  /** Radial pull at the rim of a layer, Pa. */
  rimPa?: number;
}

/** A tyre as an elastic body on a stiff rim. */
export interface TyreBody {
  /** Speed over which it grows without end, rad/s. */
  runAwayRadPerS: number;
  /** At a speed up to that one, rad/s. */
  at: (omega: number) => Spun;
}
