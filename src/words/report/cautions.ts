/** Said where the act is; local rules go before all of them. */
export const CAUTIONS = {
  pack: 'Lithium packs: charge attended, in a fire-safe place; store at storage voltage; never use a puffed or crashed one.',
  bench:
    'Live motor on the bench: wheels off the ground, pinion out, fail-safe tested first, fingers and sleeves away from wheels and gears.',
  spin: 'Spinning wheels and tyres: from a distance, behind a shield, nobody in the plane of the wheel.',
  hot: 'Motor, controller and pack are hot after a run: a probe, not a finger.',
  field: 'Fast cars: closed ground, nobody in the path, a spotter for fast runs.',
  make: 'Cutting, soldering, resin and fumes: eyes, air and hands protected.',
  rules:
    'All figures are estimates for hobby use. Where local rules or licensed practice apply, they decide.',
} as const;
