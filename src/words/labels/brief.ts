import type { FieldLabel } from '@/core/car/fields/fieldLabel';

/** What the fields of the brief are called. */
export const BRIEF_LABELS: Readonly<Record<string, FieldLabel>> = {
  'brief.surfaces.*': { label: 'Surface' },
  'brief.surfaces.*.mu': { label: 'Friction', quantity: 'coefficient', limits: { from: 0, to: 5 } },
  'brief.surfaces.*.muError': { label: 'Friction, ±', quantity: 'coefficient', limits: { from: 0, to: 5 } },
  'brief.surfaces.*.rollingResistance': {
    label: 'Rolling resistance',
    quantity: 'coefficient',
    limits: { from: 0, to: 5 },
  },
  'brief.surfaces.*.rollingResistanceError': {
    label: 'Rolling resistance, ±',
    quantity: 'coefficient',
    limits: { from: 0, to: 5 },
  },
  'brief.targetMps': { label: 'Wished speed', quantity: 'speedMps', limits: { above: 0, to: 150 } },
  'brief.distanceM': { label: 'Distance from rest', quantity: 'distanceM', limits: { above: 0, to: 10_000 } },
  'brief.timeToDistanceS': { label: 'Wished time for it', quantity: 'timeS', limits: { above: 0, to: 3600 } },
  'brief.runTimeMinutes': { label: 'Run time per pack', quantity: 'minutes', limits: { above: 0, to: 1440 } },
  'brief.payloadG': { label: 'Payload', quantity: 'massG', limits: { from: 0, to: 100_000 } },
  'brief.gradePct': { label: 'Steepest climb', quantity: 'percent', limits: { from: -100, to: 100 } },
  'brief.meanSpeedShare': { label: 'Mean speed of the wish', quantity: 'share', limits: { above: 0, to: 1 } },
  'brief.sizeClass': { label: 'Size class' },
  'brief.sizeClass.massBudgetG': {
    label: 'Mass budget',
    quantity: 'massG',
    limits: { above: 0, to: 1_000_000 },
  },
  'brief.dropHeightM': { label: 'Lands from', quantity: 'distanceM', limits: { above: 0, to: 20 } },
  'brief.kerbMps': { label: 'Meets a kerb at', quantity: 'speedMps', limits: { above: 0, to: 150 } },
  'brief.place': { label: 'Place' },
  'brief.place.lengthM': {
    label: 'Length of the place',
    quantity: 'distanceM',
    limits: { above: 0, to: 10_000 },
  },
  'brief.place.widthM': {
    label: 'Width of the place',
    quantity: 'distanceM',
    limits: { above: 0, to: 1000 },
  },
  'brief.place.marginStartM': {
    label: 'Free before the start',
    quantity: 'distanceM',
    limits: { from: 0, to: 1000 },
  },
  'brief.place.marginEndM': {
    label: 'Free behind the end',
    quantity: 'distanceM',
    limits: { from: 0, to: 1000 },
  },
  'brief.place.marginSideM': {
    label: 'Free at each side',
    quantity: 'distanceM',
    limits: { from: 0, to: 100 },
  },
  'brief.place.driverAlongM': {
    label: 'Driver, from the start',
    quantity: 'distanceM',
    limits: { from: -1000, to: 10_000 },
  },
  'brief.place.driverBesideM': {
    label: 'Driver, beside the line',
    quantity: 'distanceM',
    limits: { from: -1000, to: 1000 },
  },
  'brief.place.radioRangeM': {
    label: 'Radio tried out to',
    quantity: 'distanceM',
    limits: { above: 0, to: 100_000 },
  },
  'brief.budget': { label: 'Budget', quantity: 'price', limits: { above: 0, to: 1e6 } },
  'brief.currency': { label: 'Currency' },
  'brief.calibration': { label: 'Calibrated' },
  'brief.calibration.letter': { label: 'Calibrated on runs of' },
  'brief.calibration.runs': { label: 'Runs of the calibration' },
  'brief.calibration.at': { label: 'Day of the calibration' },
  'brief.calibration.corrected': { label: 'Figures that the calibration set' },
  'brief.calibration.dragSpread': {
    label: 'Error of the drag area',
    quantity: 'share',
    limits: { above: 0, to: 1 },
  },
  'brief.calibration.efficiencySpread': {
    label: 'Error of the drive’s efficiency',
    quantity: 'share',
    limits: { above: 0, to: 1 },
  },
  'brief.calibration.motorSpread': {
    label: 'Error of the motor constant',
    quantity: 'share',
    limits: { above: 0, to: 1 },
  },
};
