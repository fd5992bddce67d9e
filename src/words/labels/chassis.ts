import type { FieldLabel } from '@/core/car/fields/fieldLabel';

/** What the fields of the chassis are called. */
export const CHASSIS_LABELS: Readonly<Record<string, FieldLabel>> = {
  'chassis.touching': { label: 'May touch' },
  'chassis.touching.*': { label: 'May touch' },
  'chassis.touching.*.a': { label: 'One of what may touch' },
  'chassis.touching.*.b': { label: 'Other of what may touch' },
  'chassis.groundMm': {
    label: 'Ground clearance wished',
    quantity: 'lengthMm',
    limits: { above: 0, to: 500 },
  },
  'chassis.stepMm': { label: 'Climbs a step of', quantity: 'lengthMm', limits: { above: 0, to: 500 } },
  'chassis.rakeDeg': { label: 'Rake, nose down', quantity: 'angleDeg', limits: { from: -20, to: 20 } },
  'chassis.wheelbaseMm': { label: 'Wheelbase', quantity: 'lengthMm', limits: { above: 0, to: 5000 } },
  'chassis.trackFrontMm': { label: 'Front track', quantity: 'lengthMm', limits: { above: 0, to: 5000 } },
  'chassis.trackRearMm': { label: 'Rear track', quantity: 'lengthMm', limits: { above: 0, to: 5000 } },
  'chassis.cgHeightMm': {
    label: 'Height of the centre of gravity',
    quantity: 'lengthMm',
    limits: { above: 0, to: 2000 },
  },
  'chassis.frontLoadShare': {
    label: 'Weight on the front axle',
    quantity: 'share',
    limits: { above: 0, below: 1 },
  },
  'chassis.massG': {
    label: 'Ready to run, without payload',
    quantity: 'massG',
    limits: { above: 0, to: 200_000 },
  },
  'chassis.cdaM2': { label: 'Drag area', quantity: 'areaM2', limits: { from: 0, to: 5 } },
  'chassis.claFrontM2': { label: 'Downforce area, front', quantity: 'areaM2', limits: { from: -5, to: 5 } },
  'chassis.claRearM2': { label: 'Downforce area, rear', quantity: 'areaM2', limits: { from: -5, to: 5 } },
  'chassis.bodies': { label: 'Components' },
  'chassis.bodies.*': { label: 'Component' },
  'chassis.bodies.*.name': { label: 'Component' },
  'chassis.bodies.*.massG': { label: 'Mass', quantity: 'massG', limits: { above: 0, to: 200_000 } },
  'chassis.bodies.*.xMm': {
    label: 'Ahead of the front axle',
    quantity: 'lengthMm',
    limits: { from: -5000, to: 5000 },
  },
  'chassis.bodies.*.yMm': { label: 'To the left', quantity: 'lengthMm', limits: { from: -5000, to: 5000 } },
  'chassis.bodies.*.zMm': { label: 'Over the ground', quantity: 'lengthMm', limits: { from: 0, to: 2000 } },
  'chassis.bodies.*.lengthMm': { label: 'Length', quantity: 'lengthMm', limits: { from: 0, to: 5000 } },
  'chassis.bodies.*.widthMm': { label: 'Width', quantity: 'lengthMm', limits: { from: 0, to: 5000 } },
  'chassis.bodies.*.heightMm': { label: 'Height', quantity: 'lengthMm', limits: { from: 0, to: 5000 } },
  'chassis.bodies.*.unsprung': { label: 'Moves with the wheels' },
  'chassis.cornerRadiusM': {
    label: 'Tightest corner at speed',
    quantity: 'distanceM',
    limits: { above: 0, to: 1000 },
  },
};
