import type { FieldLabel } from '@/core/car/fields/fieldLabel';

const AT = { from: -5000, to: 5000 };
const HIGH = { from: 0, to: 2000 };
const SIZE = { above: 0, to: 5000 };
const AREA = { above: 0, to: 5 };
const FLOW = { from: 0, to: 1 };
const ahead = (label: string): FieldLabel => ({ label, quantity: 'lengthMm', limits: AT });
const over = (label: string): FieldLabel => ({ label, quantity: 'lengthMm', limits: HIGH });
const long = (label: string): FieldLabel => ({ label, quantity: 'lengthMm', limits: SIZE });

/** What the fields of the air are called. */
export const AIR_LABELS: Readonly<Record<string, FieldLabel>> = {
  'chassis.air': { label: 'Shapes in the air' },
  'chassis.air.shape': { label: 'Kind of body' },
  'chassis.air.frontalAreaM2': { label: 'Frontal area with wheels', quantity: 'areaM2', limits: AREA },
  'chassis.air.lengthMm': long('Body, long'),
  'chassis.air.xMm': ahead('Its middle ahead of the front axle'),
  'chassis.air.zMm': over('Middle of the frontal area over the ground'),
  'chassis.air.sideAreaM2': { label: 'Area from the side', quantity: 'areaM2', limits: AREA },
  'chassis.air.dragCoefficient': {
    label: 'Drag coefficient, if known',
    quantity: 'coefficient',
    limits: { above: 0, to: 5 },
  },
  'chassis.air.wings': { label: 'Wings' },
  'chassis.air.wings.*': { label: 'Wing' },
  'chassis.air.wings.*.name': { label: 'Wing' },
  'chassis.air.wings.*.profile': { label: 'Profile' },
  'chassis.air.wings.*.spanMm': long('Span'),
  'chassis.air.wings.*.chordMm': long('Chord'),
  'chassis.air.wings.*.angleDeg': {
    label: 'Angle, pressing down',
    quantity: 'angleDeg',
    limits: { from: -45, to: 45 },
  },
  'chassis.air.wings.*.camberPct': { label: 'Camber', quantity: 'percent', limits: { from: 0, to: 15 } },
  'chassis.air.wings.*.endPlateHeightMm': over('End plates, high'),
  'chassis.air.wings.*.spanEfficiency': {
    label: 'Span efficiency',
    quantity: 'coefficient',
    limits: { above: 0, to: 1 },
  },
  'chassis.air.wings.*.flowShare': { label: 'Share of the free flow there', quantity: 'share', limits: FLOW },
  'chassis.air.wings.*.xMm': ahead('Ahead of the front axle'),
  'chassis.air.wings.*.zMm': over('Over the ground'),
  'chassis.air.splitter': { label: 'Splitter' },
  'chassis.air.splitter.widthMm': long('Splitter, wide'),
  'chassis.air.splitter.lengthMm': long('Splitter, long'),
  'chassis.air.splitter.xMm': ahead('Its middle ahead of the front axle'),
  'chassis.air.undertray': { label: 'Closed underside' },
  'chassis.air.undertray.widthMm': long('Underside, wide'),
  'chassis.air.undertray.lengthMm': long('Underside, long'),
  'chassis.air.undertray.xMm': ahead('Its middle ahead of the front axle'),
  'chassis.air.undertray.diffuserDeg': {
    label: 'Rises at the rear by',
    quantity: 'angleDeg',
    limits: { from: 0, to: 30 },
  },
  'chassis.air.noseScoop': { label: 'Air through the nose' },
  'chassis.air.noseScoop.areaM2': { label: 'Opening', quantity: 'areaM2', limits: AREA },
  'chassis.air.noseScoop.xMm': ahead('Ahead of the front axle'),
  'chassis.air.noseScoop.zMm': over('Over the ground'),
  'chassis.air.noseScoop.turnDeg': {
    label: 'Leaves upward at',
    quantity: 'angleDeg',
    limits: { from: -90, to: 90 },
  },
  'chassis.air.fins': { label: 'Fins' },
  'chassis.air.fins.*': { label: 'Fin' },
  'chassis.air.fins.*.name': { label: 'Fin' },
  'chassis.air.fins.*.heightMm': long('High'),
  'chassis.air.fins.*.chordMm': long('Long'),
  'chassis.air.fins.*.count': { label: 'How many', quantity: 'count', limits: { from: 1, to: 20 } },
  'chassis.air.fins.*.flowShare': { label: 'Share of the free flow there', quantity: 'share', limits: FLOW },
  'chassis.air.fins.*.xMm': ahead('Ahead of the front axle'),
  'chassis.air.fins.*.zMm': over('Over the ground'),
};
