import { battery } from './battery';
import { bearing } from './bearing';
import { belt } from './belt';
import { compound } from './compound';
import { controller } from './controller';
import { coupon } from './coupon';
import { gear } from './gear';
import { material } from './material';
import { motor } from './motor';
import { printer } from './printer';
import { receiver } from './receiver';
import { regulator } from './regulator';
import { servo } from './servo';
import { sizeClass } from './sizeClass';
import { stage } from './stage';
import { surface } from './surface';
import { transmitter } from './transmitter';
import { tyre } from './tyre';

/** Every kind of thing in the library, in the order of its page. */
export const LIBRARY_KIND_RECORDS = {
  motor,
  battery,
  controller,
  tyre,
  surface,
  compound,
  stage,
  gear,
  belt,
  bearing,
  material,
  servo,
  regulator,
  receiver,
  transmitter,
  sizeClass,
  printer,
  coupon,
};

type Records = typeof LIBRARY_KIND_RECORDS;
export type LibraryKind = keyof Records;
export const LIBRARY_KINDS = Object.keys(LIBRARY_KIND_RECORDS) as LibraryKind[];

/** What the workshop holds of each kind; a build copies the figures. */
export type LibraryFigures = { [K in LibraryKind]: NonNullable<Records[K]['holds']> };

export interface LibraryItem<K extends LibraryKind = LibraryKind> {
  id: string;
  kind: K;
  data: LibraryFigures[K];
}
