export const WHEELS = ['frontLeft', 'frontRight', 'rearLeft', 'rearRight'] as const;
export type Wheel = (typeof WHEELS)[number];
