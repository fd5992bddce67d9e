import type { Assembled } from '../../base/assembled';
import type { DrawnPart } from '../../physics/making/drawn/drawing';
import { bracketDrawing } from '../../physics/making/recipes/bracket';
import { bulkheadDrawing } from '../../physics/making/recipes/bulkhead';
import { towerDrawing } from '../../physics/making/recipes/tower';
import type { Drawer } from './drawer';

/** From the edge of a face to the middle of a hole, holes. */
const EDGE_HOLES = 1.6;

/** The angle that the motor's face is screwed to: slots let the pinion's mesh be set. */
export function motorMountOfBuild(drawer: Drawer): Assembled<DrawnPart> {
  const of = drawer.of.bind(drawer);
  const screwMm = drawer.hole(of('holeMm'), 'loose');
  const [axis, width, spacing, boss, slot] = [
    of('heightMm'),
    of('widthMm'),
    of('spacingMm'),
    of('boreMm'),
    of('slotMm'),
  ];
  const [along, edge] = [of('thicknessMm') + of('filletMm'), EDGE_HOLES * screwMm];
  const middle = (along + of('lengthMm')) / 2;
  return {
    ok: true,
    value: bracketDrawing({
      footMm: of('lengthMm'),
      // over the boss as much plastic as there is beside it
      heightMm: axis + Math.max(boss, screwMm) / 2 + slot / 2 + 2 * of('wallMm'),
      widthMm: width,
      thicknessMm: of('thicknessMm'),
      filletMm: of('filletMm'),
      wall: [
        { id: 'boss', at: [axis, width / 2], diameterMm: boss, slotMm: slot },
        { id: 'screwLeft', at: [axis, (width - spacing) / 2], diameterMm: screwMm, slotMm: slot },
        { id: 'screwRight', at: [axis, (width + spacing) / 2], diameterMm: screwMm, slotMm: slot },
      ],
      foot: [
        { id: 'footLeft', at: [middle, edge], diameterMm: screwMm },
        { id: 'footRight', at: [middle, width - edge], diameterMm: screwMm },
      ],
    }),
  };
}

/** One of the two angles that a servo's lugs are screwed to. */
export function servoMountOfBuild(drawer: Drawer): Assembled<DrawnPart> {
  const of = drawer.of.bind(drawer);
  const pilotMm = drawer.pilot(of('holeMm'));
  const passMm = drawer.hole(of('holeMm'), 'loose');
  const [height, width, length, spacing] = [of('heightMm'), of('widthMm'), of('lengthMm'), of('spacingMm')];
  const top = height - EDGE_HOLES * pilotMm;
  return {
    ok: true,
    value: bracketDrawing({
      footMm: length,
      heightMm: height,
      widthMm: width,
      thicknessMm: of('thicknessMm'),
      filletMm: of('filletMm'),
      wall: [
        { id: 'lugUpper', at: [top, width / 2], diameterMm: pilotMm },
        { id: 'lugLower', at: [top - spacing, width / 2], diameterMm: pilotMm },
      ],
      foot: [
        {
          id: 'foot',
          at: [(of('thicknessMm') + of('filletMm') + length) / 2, width / 2],
          diameterMm: passMm,
        },
      ],
    }),
  };
}

const SCREW_DEPTH_MM = 10;

/** The block that carries the hinges of both arms at one of their ends. */
export function bulkheadOfBuild(drawer: Drawer): Assembled<DrawnPart> {
  const { document, end } = drawer;
  const of = drawer.of.bind(drawer);
  const corner = document.suspension[end]?.corner;
  if (!corner) return { ok: false, missing: [`suspension.${end}.corner`] };
  const holeMm = drawer.hole(of('boreMm'), 'snug');
  const upper = corner.kind === 'hingePins' ? corner.upperInner : corner.upperFront;
  return {
    ok: true,
    value: {
      ...bulkheadDrawing({
        pin: [corner.lowerFront[1], of('heightMm')],
        pinHoleMm: holeMm,
        upper: { at: [upper[1], of('heightMm') + upper[2] - corner.lowerFront[2]], holeMm },
        wallMm: of('wallMm'),
        thicknessMm: of('thicknessMm'),
        screwAtMm: of('spacingMm') / 2,
        screwHoleMm: drawer.pilot(of('holeMm')),
        screwDepthMm: SCREW_DEPTH_MM,
      }),
      anchor: {
        drawing: [0, 0, of('thicknessMm') / 2],
        car: [corner.lowerFront[0], 0, corner.lowerFront[2] - of('heightMm')],
      },
    },
  };
}

/** The plate that the upper ends of both dampers of an end are screwed to. */
export function towerOfBuild(drawer: Drawer): Assembled<DrawnPart> {
  const { document, end } = drawer;
  const of = drawer.of.bind(drawer);
  const damper = document.suspension[end]?.corner?.damper;
  if (!damper) return { ok: false, missing: [`suspension.${end}.corner.damperInner`] };
  return {
    ok: true,
    value: {
      ...towerDrawing({
        eye: [damper.inner[1], of('heightMm')],
        holes: of('holes'),
        pitchMm: of('spacingMm'),
        holeMm: drawer.hole(of('holeMm'), 'snug'),
        footAtMm: of('widthMm') / 2,
        footHoleMm: drawer.hole(of('holeMm'), 'loose'),
        wallMm: of('wallMm'),
        thicknessMm: of('thicknessMm'),
      }),
      anchor: {
        drawing: [0, 0, of('thicknessMm') / 2],
        car: [damper.inner[0], 0, damper.inner[2] - of('heightMm')],
      },
    },
  };
}
