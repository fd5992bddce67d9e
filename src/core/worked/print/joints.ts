import type { BuildDocument } from '../../car/document/document';
import type { Joint } from '../../car/document/print';
import type { LibraryItem } from '../../car/library/kinds';
import type { ReadCoupon } from '../../car/library/kinds/coupon';
import { ALLOWANCES, type Feature, type Fit, fitCoupon } from '../../physics/printing/coupon';

/** A hole, a peg or a gap as it has to be drawn so that it comes out right. */
export interface DrawnSize {
  kind: Feature | 'gap';
  called: string;
  targetMm: number;
  drawMm: number;
  /** One standard deviation, where the test piece gives one. */
  errorMm?: number;
}

export interface JointDrawing {
  joint: Joint;
  sizes: DrawnSize[];
  missing: string[];
}

/** Of a screw that cuts its own thread: the hole over the screw. Source: makers' sheets for screws in plastics, 0.8 to 0.88. */
export const PILOT_SHARE = 0.85;
/** A captive joint's gap where no test piece says better, mm. */
export const USUAL_GAP_MM = 0.3;

interface Wanted {
  kind: Feature;
  called: string;
  sizeMm: number | undefined;
  needs: string;
  /** None where the size is the hole's own. */
  fit?: Fit;
}

/** What a joint asks to be drawn, and of which size; a screw asks on both sides. */
function wantedOf({ kind, hold, fit, diameterMm, outerMm, insertMm }: Joint): Wanted[] {
  if (kind === 'bearing')
    return [{ kind: 'hole', called: 'seat', sizeMm: outerMm, needs: 'outer diameter', fit: fit ?? 'press' }];
  if (kind === 'pin')
    return [
      {
        kind: 'hole',
        called: 'hole for the pin',
        sizeMm: diameterMm,
        needs: 'diameter',
        fit: fit ?? 'running',
      },
    ];
  if (kind === 'captive') return [];
  const through: Wanted = {
    kind: 'hole',
    called: 'hole it passes',
    sizeMm: diameterMm,
    needs: 'diameter',
    fit: fit ?? 'loose',
  };
  const inside: Readonly<Record<NonNullable<Joint['hold']>, Wanted[]>> = {
    screwInPlastic: [
      {
        kind: 'hole',
        called: 'hole it bites into',
        sizeMm: diameterMm === undefined ? undefined : PILOT_SHARE * diameterMm,
        needs: 'diameter',
      },
    ],
    heatSetInsert: [
      {
        kind: 'hole',
        called: 'hole for the insert',
        sizeMm: insertMm,
        needs: 'hole that the insert asks for',
      },
    ],
    nutTrap: [
      {
        kind: 'hole',
        called: 'pocket for the nut, across flats',
        sizeMm: insertMm,
        needs: 'nut across its flats',
        fit: 'snug',
      },
    ],
    throughBolt: [],
  };
  return [through, ...inside[hold ?? 'throughBolt']];
}

/** The sizes to draw for every joint of a build, by the test piece of its part's material; as wanted where there is none. */
export function drawnJoints(
  document: BuildDocument,
  library: readonly LibraryItem[],
): (JointDrawing & { coupon?: ReadCoupon })[] {
  return (document.print.joints ?? []).map((joint) => {
    const coupon = couponFor(document, library, joint.part);
    return { ...drawnJoint(joint, coupon), ...(coupon ? { coupon } : {}) };
  });
}

export function drawnJoint(joint: Joint, coupon: ReadCoupon | undefined): JointDrawing {
  const read = coupon ? readingsOf(coupon) : undefined;
  const gaps =
    read?.gaps && read.gaps.length > 0
      ? fitCoupon({
          samples: read.samples.length > 0 ? read.samples : [{ kind: 'hole', nominalMm: 1, measuredMm: 1 }],
          gaps: read.gaps,
        }).gaps
      : undefined;
  if (joint.kind === 'captive') {
    const use = gaps?.useMm ?? USUAL_GAP_MM;
    return { joint, missing: [], sizes: [{ kind: 'gap', called: 'gap', targetMm: use, drawMm: use }] };
  }
  const wanted = wantedOf(joint);
  const missing = wanted.filter(({ sizeMm }) => sizeMm === undefined).map(({ needs }) => needs);
  const sizes = wanted.flatMap(({ kind, called, sizeMm, fit }): DrawnSize[] => {
    if (sizeMm === undefined) return [];
    const targetMm = sizeMm + (fit ? (kind === 'hole' ? 1 : -1) * ALLOWANCES[fit] : 0);
    return [{ kind, called, targetMm, ...drawnFor(kind, targetMm, read?.samples) }];
  });
  return { joint, missing: [...new Set(missing)], sizes };
}

/** What to draw so that a hole or a peg comes out at a size; the size itself where the samples tell nothing of its kind. */
export function drawnFor(
  kind: Feature,
  targetMm: number,
  samples: ReturnType<typeof readingsOf>['samples'] = [],
): Pick<DrawnSize, 'drawMm' | 'errorMm'> {
  if (!samples.some((sample) => sample.kind === kind)) return { drawMm: targetMm };
  // the size that is wanted, asked for as a fit without its allowance
  const asked = targetMm - (kind === 'hole' ? 1 : -1) * ALLOWANCES.snug;
  const [drawn] = fitCoupon({ samples, want: [{ kind, actualMm: asked, fit: 'snug' }] }).drawn;
  return {
    drawMm: drawn!.drawMm,
    ...(drawn!.drawErrorMm === undefined ? {} : { errorMm: drawn!.drawErrorMm }),
  };
}

/** What of a sheet was measured. */
export function readingsOf({ samples, gaps }: Pick<ReadCoupon, 'samples' | 'gaps'>): {
  samples: { kind: Feature; nominalMm: number; measuredMm: number }[];
  gaps: { gapMm: number; freed: boolean }[];
} {
  return {
    samples: samples.flatMap(({ kind, nominalMm, measuredMm }) =>
      measuredMm === undefined ? [] : [{ kind, nominalMm, measuredMm }],
    ),
    gaps: gaps.flatMap(({ gapMm, freed }) => (freed === undefined ? [] : [{ gapMm, freed }])),
  };
}

/** The test piece of a part's material, first of a printer that this build prints on. */
export const couponFor = (
  document: BuildDocument,
  library: readonly LibraryItem[],
  partId: string | undefined,
): ReadCoupon | undefined =>
  couponOf(document, library, document.parts.items.find(({ id }) => id === partId)?.material?.name);

export function couponOf(
  { print }: BuildDocument,
  library: readonly LibraryItem[],
  material: string | undefined,
): ReadCoupon | undefined {
  const coupons = library
    .flatMap((item) => (item.kind === 'coupon' ? [item.data as ReadCoupon] : []))
    .filter((one) => one.material === material && readingsOf(one).samples.length > 0);
  const printers = new Set((print.printers ?? []).map(({ name }) => name));
  return (
    coupons.find(({ printer }) => printers.has(printer)) ?? (printers.size === 0 ? coupons[0] : undefined)
  );
}
