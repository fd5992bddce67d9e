import { type BuildDocument, emptyDocument } from '@/core/car/document/document';
import { motor, sizeClass, surface, tyre } from './copies';

/** Slalom between chair legs in a library after hours; belt to the rear wheels, not finished yet. */
export const tinWren: BuildDocument = {
  ...emptyDocument(),
  brief: {
    surfaces: [surface('smoothFloor'), surface('shortCarpet')],
    targetMps: 12 / 3.6,
    runTimeMinutes: 15,
    sizeClass: sizeClass('size-24'),
  },
  drive: {
    motor: motor('motor-130-brushed'),
    motorCount: 1,
    stages: [{ id: 'belt', kind: 'belt', pinionTeeth: 10, wheelTeeth: 42, efficiency: 0.96 }],
    drivenAxles: 'rear',
    tyre: tyre('tyre-24-slick'),
  },
  chassis: { wheelbaseMm: 112, trackFrontMm: 70, trackRearMm: 72 },
  parts: {
    items: [
      { id: 'belt', name: 'Belt', kind: 'other' },
      { id: 'rearPulley', name: 'Rear pulley', kind: 'gear' },
    ],
  },
};
