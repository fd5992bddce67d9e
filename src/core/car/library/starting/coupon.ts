import type { ReadCoupon } from '../kinds/coupon';

export const STARTING_COUPONS: readonly { id: string; data: ReadCoupon }[] = [];
