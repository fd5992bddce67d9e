import { type BuildDocument, emptyDocument } from '@/core/car/document/document';
import type { TrackSegment } from '@/core/car/document/brief';
import { motor, sizeClass, surface, tyre } from './copies';

const LEG_RADIUS_M = 0.7;
const bend = (id: string, deg: number, turn: 'left' | 'right'): TrackSegment => ({
  id,
  lengthM: Number(((LEG_RADIUS_M * deg * Math.PI) / 180).toFixed(3)),
  radiusM: LEG_RADIUS_M,
  turn,
});

/** Between the chair legs of one row, straight on at both ends, and half round to the next. */
const row = (id: string): TrackSegment[] => [
  bend(`${id}-in`, 45, 'left'),
  bend(`${id}-1`, 90, 'right'),
  bend(`${id}-2`, 90, 'left'),
  bend(`${id}-3`, 90, 'right'),
  bend(`${id}-out`, 45, 'left'),
  bend(`${id}-turn`, 180, 'left'),
];

/** Slalom between chair legs in a library after hours; belt to the rear wheels, not finished yet. */
export const tinWren: BuildDocument = {
  ...emptyDocument(),
  brief: {
    surfaces: [surface('smoothFloor'), surface('shortCarpet')],
    targetMps: 12 / 3.6,
    runTimeMinutes: 15,
    sizeClass: sizeClass('size-24'),
    track: { segments: [...row('there'), ...row('back')] },
  },
  drive: {
    motor: motor('motor-130-brushed'),
    motorCount: 1,
    stages: [
      {
        id: 'belt',
        kind: 'belt',
        pinionTeeth: 10,
        wheelTeeth: 42,
        efficiency: 0.96,
        pitchMm: 2,
        beltTeeth: 56,
        faceWidthMm: 4,
      },
    ],
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
