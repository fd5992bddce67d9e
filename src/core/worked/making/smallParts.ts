import type { Assembled } from '../../base/assembled';
import type { DrawnPart } from '../../physics/making/drawn/drawing';
import { bumperDrawing, guideDrawing, leverDrawing, trayDrawing } from '../../physics/making/recipes/flat';
import { wheelDrawing } from '../../physics/making/recipes/wheel';
import type { Drawer } from './drawer';
import { holesOfPattern } from './plateOfBuild';

/** A steering arm or horn. */
export function leverOfBuild(drawer: Drawer): Assembled<DrawnPart> {
  const of = drawer.of.bind(drawer);
  return {
    ok: true,
    value: leverDrawing({
      lengthMm: of('lengthMm'),
      boreMm: drawer.hole(of('boreMm'), 'snug'),
      ballHoleMm: drawer.hole(of('holeMm'), 'snug'),
      widthMm: of('widthMm'),
      wallMm: of('wallMm'),
      thicknessMm: of('thicknessMm'),
    }),
  };
}

const HEX_DEPTH_MM = 5;
const SPOKE_OVER_THICK = 2;

export function wheelOfBuild(drawer: Drawer): Assembled<DrawnPart> {
  const of = drawer.of.bind(drawer);
  if (!drawer.document.drive.tyre) return { ok: false, missing: ['drive.tyre'] };
  return {
    ok: true,
    value: wheelDrawing({
      seatRadiusMm: of('heightMm'),
      widthMm: of('widthMm'),
      wallMm: of('wallMm'),
      lipMm: of('lipMm'),
      hexMm: drawer.hole(of('hexMm'), 'snug'),
      hexDepthMm: HEX_DEPTH_MM,
      axleHoleMm: drawer.hole(of('boreMm'), 'running'),
      spokes: of('spokes'),
      spokeWidthMm: SPOKE_OVER_THICK * of('thicknessMm'),
      thicknessMm: of('thicknessMm'),
    }),
  };
}

export function bumperOfBuild(drawer: Drawer): Assembled<DrawnPart> {
  const of = drawer.of.bind(drawer);
  return {
    ok: true,
    value: bumperDrawing({
      widthMm: of('widthMm'),
      lengthMm: of('lengthMm'),
      thicknessMm: of('thicknessMm'),
      spacingMm: of('spacingMm'),
      holeMm: drawer.hole(of('holeMm'), 'loose'),
      wallMm: of('wallMm'),
    }),
  };
}

/** Screws of a tray from its middle, share of the pack's length. */
const SCREWS_AT = 0.3;

export function trayOfBuild(drawer: Drawer): Assembled<DrawnPart> {
  const of = drawer.of.bind(drawer);
  const pack = drawer.body('pack');
  if (!pack) return { ok: false, missing: ['chassis.bodies'] };
  const [long, wide] = pack.sizeMm;
  return {
    ok: true,
    value: trayDrawing({
      lengthMm: long + 2 * of('marginMm'),
      widthMm: wide + 2 * of('marginMm'),
      heightMm: of('heightMm'),
      floorMm: of('thicknessMm'),
      wallMm: of('wallMm'),
      strapMm: of('slotMm'),
      screwAtMm: SCREWS_AT * long,
      holeMm: drawer.hole(of('holeMm'), 'loose'),
    }),
  };
}

/** A drill guide for a measured pattern: the first where none is named. */
export function guideOfBuild(drawer: Drawer): Assembled<DrawnPart> {
  const of = drawer.of.bind(drawer);
  const patterns = drawer.document.print.patterns ?? [];
  const pattern = patterns.find(({ id }) => id === drawer.made.pattern) ?? patterns[0];
  const holes = pattern ? holesOfPattern(drawer, { ...pattern, under: undefined }) : [];
  if (holes.length === 0) return { ok: false, missing: ['print.patterns'] };
  return {
    ok: true,
    value: guideDrawing({
      holes,
      wallMm: of('wallMm'),
      heightMm: of('heightMm'),
      thicknessMm: of('thicknessMm'),
    }),
  };
}
