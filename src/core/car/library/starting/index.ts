import type { LibraryItem } from '../items';
import { STARTING_COMPOUNDS } from './compounds';
import { STARTING_CONTROLLERS } from './controllers';
import { STARTING_GEARS } from './gears';
import { STARTING_MATERIALS } from './materials';
import { STARTING_MOTORS } from './motors';
import { STARTING_PACKS } from './packs';
import { STARTING_PRINTERS } from './printers';
import { STARTING_RECEIVERS, STARTING_TRANSMITTERS } from './radio';
import { STARTING_SIZE_CLASSES } from './sizeClasses';
import { STARTING_STAGES } from './stages';
import { STARTING_REGULATORS, STARTING_SERVOS } from './supply';
import { STARTING_SURFACES } from './surfaces';
import { STARTING_TYRES } from './tyres';

/** What a new workshop's library holds. */
export const STARTING_LIBRARY: readonly LibraryItem[] = [
  ...STARTING_MOTORS,
  ...STARTING_PACKS,
  ...STARTING_CONTROLLERS,
  ...STARTING_TYRES,
  ...STARTING_SURFACES,
  ...STARTING_COMPOUNDS,
  ...STARTING_STAGES,
  ...STARTING_GEARS,
  ...STARTING_MATERIALS,
  ...STARTING_SERVOS,
  ...STARTING_REGULATORS,
  ...STARTING_RECEIVERS,
  ...STARTING_TRANSMITTERS,
  ...STARTING_SIZE_CLASSES,
  ...STARTING_PRINTERS,
];
