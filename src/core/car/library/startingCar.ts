import { startingDragArea } from '../document/chassis';
import type { BuildDocument } from '../document/document';
import { type Patch, valueAt } from '../../base/patch';
import type { LibraryItem } from './kinds';
import { usualDrive } from './usualDrive';

/** Sizes of a usual car times its scale, mm: to start with, by judgement, until the user's own tape and scale. */
const FULL_SIZE_MM = { wheelbase: 2750, track: 2050, cgHeight: 580, height: 1450 };
/** Share of the mass budget that a usual car weighs, ready to run. */
const MASS_SHARE = 0.85;
const FRONT_SHARE = 0.48;

/** Usual figures of a car of this size class, for every one that is not typed yet; with a library the usual drive too. */
export function startingCar(document: BuildDocument, library: readonly LibraryItem[] = []): Patch {
  const size = document.brief.sizeClass;
  const scale = size ? scaleOf(size.name) : undefined;
  if (!size || scale === undefined) return [];
  const mm = (full: number) => Math.round(full / scale);
  const track = mm(FULL_SIZE_MM.track);
  const usual: Patch = [
    { path: ['chassis', 'wheelbaseMm'], value: mm(FULL_SIZE_MM.wheelbase) },
    { path: ['chassis', 'trackFrontMm'], value: track },
    { path: ['chassis', 'trackRearMm'], value: track },
    { path: ['chassis', 'cgHeightMm'], value: mm(FULL_SIZE_MM.cgHeight) },
    { path: ['chassis', 'frontLoadShare'], value: FRONT_SHARE },
    { path: ['chassis', 'massG'], value: Math.round((MASS_SHARE * size.massBudgetG) / 5) * 5 },
    {
      path: ['chassis', 'cdaM2'],
      value: Number(startingDragArea(track, FULL_SIZE_MM.height / scale).toPrecision(2)),
    },
    { path: ['drive', 'drivenAxles'], value: 'rear' },
  ];
  return [
    ...usual.filter(({ path }) => valueAt(document, path) === undefined),
    ...usualDrive(document, library, scale),
  ];
}

function scaleOf(name: string): number | undefined {
  const found = /^1:(\d{1,3})$/.exec(name.trim());
  return found ? Number(found[1]) : undefined;
}
