import { COMPOUND_FIGURES, HOLD_FIGURES, TYRE_FIGURES } from '@/core/car/tyres/tyre.figures';
import type { FieldLabel } from '@/core/car/fields/fieldLabel';
import type { Figure } from '@/core/car/fields/figure';
import type { SpinHold } from '@/core/physics/tyres/tyreKinds';
import type { SpinOutcome } from '@/core/physics/tyres/tyreFit';
import type { TyreSpinResult } from '@/core/physics/tyres/tyreSpin';

/** What keeps a tyre on its rim. */
export const HOLD_NAMES: Readonly<Record<SpinHold, string>> = {
  bonded: 'glue all over',
  beads: 'glue at its beads',
  clamp: 'a bolted ring',
  friction: 'tightness alone',
  free: 'nothing: a loop',
};

/** What lets go first, as the end of "it turns so fast;". */
export const SPIN_ENDS_WORDS: Readonly<Record<TyreSpinResult['endsBy'], string>> = {
  bond: 'its glue fails',
  clamp: 'it slips out of its bolted rings',
  seat: 'it lifts off its rim',
  tearAtRim: 'it tears at the rim',
  tearOutside: 'its tread tears',
  runAway: 'it grows without end',
  burst: 'it bursts',
};

/** What became of a tyre on the bench. */
export const SPIN_OUTCOME_WORDS: Readonly<Record<SpinOutcome, string>> = {
  held: 'it held',
  'drive ran out': 'it held all that the drive gives',
  lifted: 'it lifted off its rim',
  tore: 'it tore',
  'bond let go': 'its glue failed',
};

export const HOLD_LABELS: Readonly<Record<keyof typeof HOLD_FIGURES, string>> = {
  rimRadiusMm: 'Rim radius',
  widthMm: 'Tyre width',
  densityKgM3: 'Density of the tyre',
  hoopModulusMpa: 'Modulus of the tyre',
  hoopStrengthMpa: 'Tensile strength of the tyre',
  bondStrengthMpa: 'Glue, pulled off',
  bondShearMpa: 'Glue, in shear',
  beadMm: 'Glue at each bead, width',
  screws: 'Screws a side',
  screwPreloadN: 'Preload of each screw',
  interferenceMm: 'Tyre tighter than its rim by',
  wallMm: 'Wall of the tread',
  insertDensityKgM3: 'Density of the insert',
  pressureMpa: 'Air in the tyre',
  provenRpm: 'Proven on the bench',
};

const TYRE_LABELS: Readonly<Partial<Record<string, string>>> = {
  radiusMm: 'Tyre radius',
  massG: 'Wheel with tyre',
  rateNPerMm: 'Tyre rate',
  ring: 'Tyre built as',
  hardFactor: 'Grip factor, hard ground',
  looseFactor: 'Grip factor, loose ground',
};

const labelsOf = (
  at: string,
  figures: Readonly<Record<string, Figure>>,
  names: Readonly<Partial<Record<string, string>>>,
  of: string,
): Record<string, FieldLabel> =>
  Object.fromEntries(
    Object.entries(figures).flatMap(([key, figure]) => {
      const name = names[key];
      if (name === undefined) return [];
      const label = name + of;
      return [
        [
          `${at}.${key}`,
          'quantity' in figure ? { label, quantity: figure.quantity, limits: figure.limits } : { label },
        ],
      ];
    }),
  );

const ofWheels = (tyre: string, hold: string, of: string): Record<string, FieldLabel> => ({
  [tyre]: { label: `Tyre${of}` },
  ...labelsOf(tyre, { ...TYRE_FIGURES, ...COMPOUND_FIGURES }, TYRE_LABELS, of),
  [hold]: { label: `Tyre on its rim${of}` },
  [`${hold}.by`]: { label: `Tyre held by${of}` },
  ...labelsOf(hold, HOLD_FIGURES, HOLD_LABELS, of),
});

/** Fields of the tyres, of all wheels and of front wheels that have their own. */
export const WHEEL_LABELS: Readonly<Record<string, FieldLabel>> = {
  ...ofWheels('drive.tyre', 'drive.tyreHold', ''),
  ...ofWheels('drive.frontTyre', 'drive.frontTyreHold', ', front'),
};
