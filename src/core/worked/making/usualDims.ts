import type { BuildDocument } from '../../car/document/document';
import type { Part } from '../../car/parts/parts';
import type { MadeCount, MadeDim, MadeKind, PartMade } from '../../car/parts/partMade';
import { tyreAt, tyreKeys } from '../../car/tyres/tyres';
import { distance, middle } from '../../base/vec3';
import { bodiesOf } from '../chassis/bodiesOfBuild';
import { bulkheadScrewsMm, plateTopMm } from './plateTop';

export type UsualDims = Partial<Record<MadeDim | MadeCount, number>>;

/** By judgement of cars of 1:10, mm: round holes of 3 mm screws and pins, of plates and of what carries wheels. */
const WALL_MM = 3;
const SCREW_MM = 3;
/** Screws on the face of cans of 36 mm and more, and of smaller ones, mm or share of the can. */
const [LARGE_CAN_MM, LARGE_CIRCLE_MM, SMALL_CIRCLE] = [33, 25, 0.69];
/** Boss in the middle of a can's face, share of the can; play in its slots, mm. */
const [BOSS_SHARE, SLOT_MM] = [0.36, 3];
/** Lugs of a standard servo: holes above each other, and how wide the lug is, mm. */
const [SERVO_LUG_MM, SERVO_WIDE_MM, SERVO_HIGH_MM] = [10, 20, 36];
/** A hexagon of the usual drive, and its axle, mm. */
const [HEX_MM, AXLE_MM] = [12, 4];
const [RIM_SHARE, WIDTH_SHARE] = [0.6, 0.62];

/** The dimensions that a part usually has, from the document where it knows them. */
export function usualDims(document: BuildDocument, part: Part & { made: PartMade }): UsualDims {
  return { wallMm: WALL_MM, holeMm: SCREW_MM, ...USUAL[part.made.as](document, part) };
}

type Usual = (document: BuildDocument, part: Part & { made: PartMade }) => UsualDims;

const given = (key: MadeDim, value: number | undefined): UsualDims =>
  value === undefined ? {} : { [key]: value };

const USUAL: Readonly<Record<MadeKind, Usual>> = {
  plate: (_, { shape }) => ({
    thicknessMm: shape?.heightMm ?? 4,
    marginMm: 5,
    flangeMm: shape?.profile === 'flanged' ? (shape.flangeMm ?? 0) : 0,
    wallMm: shape?.wallMm ?? WALL_MM,
    pocketMm: 0,
    sections: 1,
  }),
  motorMount: (document) => {
    const { motor } = document.drive;
    const can = motor?.diameterMm;
    const body = bodiesOf(document).find(({ id, placed }) => id === 'motor' && placed);
    const top = plateTopMm(document);
    const over = body && top !== undefined ? body.zMm - top : undefined;
    return {
      thicknessMm: 5,
      lengthMm: 26,
      filletMm: 4,
      slotMm: SLOT_MM,
      ...(can === undefined
        ? {}
        : {
            widthMm: can + 8,
            boreMm: Number((BOSS_SHARE * can).toFixed(1)),
            spacingMm: can >= LARGE_CAN_MM ? LARGE_CIRCLE_MM : Number((SMALL_CIRCLE * can).toFixed(1)),
            heightMm: over ?? can / 2 + 5,
          }),
    };
  },
  bulkhead: (document, { made: { end = 'front' } }) => {
    const corner = document.suspension[end]?.corner;
    const top = plateTopMm(document);
    const side = bulkheadScrewsMm(document, end);
    return {
      thicknessMm: 12,
      boreMm: SCREW_MM,
      ...(corner && top !== undefined
        ? { heightMm: Math.max(SCREW_MM / 2 + WALL_MM, corner.lowerFront[2] - top) }
        : {}),
      ...given('spacingMm', side === undefined ? undefined : 2 * side),
    };
  },
  arm: (_, { shape }) => ({ thicknessMm: shape?.heightMm ?? 6, widthMm: 9, boreMm: SCREW_MM }),
  upright: (document, { id }) => {
    const bearing = (document.print.joints ?? []).find(({ kind, part }) => kind === 'bearing' && part === id);
    return {
      thicknessMm: 14,
      boreMm: bearing?.outerMm ?? 10,
      lengthMm: bearing?.widthMm ?? 4,
    };
  },
  lever: (document, { shape }) => {
    const corner = document.suspension.front?.corner;
    const { kingpinLower, kingpinUpper, tieOuter } = (corner ?? {}) as {
      kingpinLower?: readonly [number, number, number];
      kingpinUpper?: readonly [number, number, number];
      tieOuter?: readonly [number, number, number];
    };
    const reach =
      kingpinLower && kingpinUpper && tieOuter
        ? Math.round(distance(middle(kingpinLower, kingpinUpper), tieOuter))
        : undefined;
    return {
      thicknessMm: shape?.heightMm ?? 5,
      widthMm: shape?.widthMm ?? 8,
      boreMm: 4,
      ...given('lengthMm', shape?.lengthMm ?? reach),
    };
  },
  tower: (document, { shape, made: { end = 'front' } }) => {
    const corner = document.suspension[end]?.corner;
    const top = plateTopMm(document);
    return {
      thicknessMm: shape?.heightMm ?? 6,
      wallMm: 4,
      holes: 3,
      spacingMm: 7,
      ...(corner ? { widthMm: 2 * Math.min(corner.lowerFront[1], corner.lowerRear[1]) } : {}),
      ...given('heightMm', corner?.damper && top !== undefined ? corner.damper.inner[2] - top : undefined),
    };
  },
  servoMount: () => ({
    thicknessMm: 4,
    widthMm: SERVO_WIDE_MM,
    lengthMm: 16,
    heightMm: SERVO_HIGH_MM,
    spacingMm: SERVO_LUG_MM,
    filletMm: 3,
  }),
  wheel: ({ drive }, { made: { end = 'rear' } }) => {
    const tyre = tyreAt(drive, end);
    const hold = drive[tyreKeys(drive, end).hold];
    return {
      wallMm: 2,
      thicknessMm: 4,
      hexMm: HEX_MM,
      boreMm: AXLE_MM,
      spokes: 5,
      lipMm: hold?.by === 'beads' || hold?.by === 'clamp' ? 1.5 : 0,
      heightMm: hold?.rimRadiusMm ?? (tyre ? RIM_SHARE * tyre.radiusMm : undefined),
      widthMm: hold?.widthMm ?? (tyre ? WIDTH_SHARE * tyre.radiusMm : undefined),
    } as UsualDims;
  },
  bumper: (document, { shape }) => ({
    widthMm: shape?.lengthMm ?? 0.6 * (document.chassis.trackFrontMm ?? 180),
    lengthMm: shape?.widthMm ?? 26,
    thicknessMm: shape?.heightMm ?? 8,
    spacingMm: 30,
    wallMm: 4,
  }),
  tray: () => ({ heightMm: 10, thicknessMm: 2, wallMm: 2, marginMm: 0.5, slotMm: 16 }),
  guide: () => ({ thicknessMm: 3, heightMm: 12 }),
};
