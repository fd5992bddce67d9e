import type { Wheel } from '@/core/car/records/wheels';

export const WHEEL_WORDS: Readonly<Record<Wheel, string>> = {
  frontLeft: 'front left',
  frontRight: 'front right',
  rearLeft: 'rear left',
  rearRight: 'rear right',
};
