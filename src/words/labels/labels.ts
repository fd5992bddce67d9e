import type { Refused } from '@/core/base/errors';
import type { Reader } from '@/core/base/units/formatQuantity';
import { problemOf } from '../refusals/problemOf';
import type { FieldLabel } from '@/core/car/fields/fieldLabel';
import { AIR_LABELS } from './air';
import { BRIEF_LABELS } from './brief';
import { CHASSIS_LABELS } from './chassis';
import { DRIVE_LABELS } from './drive';
import { PARTS_LABELS } from './parts';
import { POWER_LABELS } from './power';
import { PRINT_LABELS } from './print';
import { SUSPENSION_LABELS } from './suspension';

/** What every field of the document is called, and in what it is measured; `*` stands for an item's id. */
export const LABELS: Readonly<Record<string, FieldLabel>> = {
  unfinished: { label: 'Unfinished' },
  assumed: { label: 'Assumed' },
  ...BRIEF_LABELS,
  ...DRIVE_LABELS,
  ...POWER_LABELS,
  ...CHASSIS_LABELS,
  ...AIR_LABELS,
  ...SUSPENSION_LABELS,
  ...PARTS_LABELS,
  ...PRINT_LABELS,
};

/** Lists of the document whose items go by their ids. */
const LISTS: ReadonlySet<string> = new Set([
  'surfaces',
  'segments',
  'stages',
  'ownMotors',
  'shafts',
  'rails',
  'loads',
  'wires',
  'failsafe',
  'bodies',
  'touching',
  'ways',
  'wings',
  'fins',
  'bench',
  'held',
  'items',
  'patterns',
  'printers',
  'joints',
  'list',
]);

/** Label of a path, item ids included; the last key where none is listed. */
export function labelOf(path: readonly string[]): FieldLabel {
  const direct = LABELS[path.join('.')];
  if (direct) return direct;
  const starred =
    LABELS[
      path
        .map((key, index) => (index >= 2 && index <= 4 && LISTS.has(path[index - 1]!) ? '*' : key))
        .join('.')
    ];
  return starred ?? { label: path.at(-1) ?? 'Document' };
}

/** A refusal with the name that its field has on the page, from the place in the document that the operation's fields belong to. */
export function refusalInWords(refused: Refused, place: readonly string[], reader: Reader): string {
  const { path, message, remedy } = problemOf(refused, reader);
  const { label } = labelOf([...place, ...path.split('.')]);
  return `${label.charAt(0).toLowerCase()}${label.slice(1)}, ${message}${remedy ? `: ${remedy}` : ''}`;
}
