import { defineLibraryKind } from './define';
import type { Feature } from '../../../physics/printing/coupon';

/** A printed test piece as it was read: what one printer makes of one material. */
export interface ReadCoupon {
  name: string;
  printer: string;
  material: string;
  samples: CouponReading[];
  gaps: { id: string; gapMm: number; freed?: boolean }[];
}

export interface CouponReading {
  id: string;
  kind: Feature;
  nominalMm: number;
  measuredMm?: number;
}

export const coupon = defineLibraryKind<ReadCoupon, 'samples' | 'gaps'>({
  figures: {
    printer: { text: 80 },
    material: { text: 80 },
  },
  blank: {},
  tells: [],
});
