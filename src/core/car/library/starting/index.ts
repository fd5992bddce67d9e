import { LIBRARY_KINDS, type LibraryFigures, type LibraryItem, type LibraryKind } from '../kinds';
import { STARTING_PACKS } from './battery';
import { STARTING_BEARINGS } from './bearing';
import { STARTING_BELTS } from './belt';
import { STARTING_COMPOUNDS } from './compound';
import { STARTING_CONTROLLERS } from './controller';
import { STARTING_COUPONS } from './coupon';
import { STARTING_GEARS } from './gear';
import { STARTING_MATERIALS } from './material';
import { STARTING_MOTORS } from './motor';
import { STARTING_PRINTERS } from './printer';
import { STARTING_RECEIVERS } from './receiver';
import { STARTING_REGULATORS } from './regulator';
import { STARTING_SERVOS } from './servo';
import { STARTING_SIZE_CLASSES } from './sizeClass';
import { STARTING_STAGES } from './stage';
import { STARTING_SURFACES } from './surface';
import { STARTING_TRANSMITTERS } from './transmitter';
import { STARTING_TYRES } from './tyre';

/** What a new workshop holds of each kind; no page needs it, so it stands apart from what describes a kind. */
export const STARTING: {
  readonly [K in LibraryKind]: readonly { readonly id: string; readonly data: LibraryFigures[K] }[];
} = {
  motor: STARTING_MOTORS,
  battery: STARTING_PACKS,
  controller: STARTING_CONTROLLERS,
  tyre: STARTING_TYRES,
  surface: STARTING_SURFACES,
  compound: STARTING_COMPOUNDS,
  stage: STARTING_STAGES,
  gear: STARTING_GEARS,
  belt: STARTING_BELTS,
  bearing: STARTING_BEARINGS,
  material: STARTING_MATERIALS,
  servo: STARTING_SERVOS,
  regulator: STARTING_REGULATORS,
  receiver: STARTING_RECEIVERS,
  transmitter: STARTING_TRANSMITTERS,
  sizeClass: STARTING_SIZE_CLASSES,
  printer: STARTING_PRINTERS,
  coupon: STARTING_COUPONS,
};

export const STARTING_LIBRARY: readonly LibraryItem[] = LIBRARY_KINDS.flatMap((kind) =>
  STARTING[kind].map(({ id, data }): LibraryItem => ({ id, kind, data })),
);
