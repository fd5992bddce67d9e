import { TYPICAL_MATERIALS } from '../../strength/typicalMaterials';
import type { LibraryItem } from '../items';

/** Typical of data sheets; test your own. */
export const STARTING_MATERIALS: readonly LibraryItem<'material'>[] = Object.entries(TYPICAL_MATERIALS).map(([id, data]) => ({ id: `material-${id}`, kind: 'material', data }));
