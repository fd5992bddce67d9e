import type { ScrewKind } from '../../car/document/parts';

export const SCREW_WORDS: Readonly<Record<ScrewKind, string>> = {
  screwInPlastic: 'screws into the plastic',
  nutTrap: 'trapped nuts',
  heatSetInsert: 'heat-set inserts',
  throughBolt: 'bolts right through',
};
