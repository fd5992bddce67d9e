import type { FieldLabel } from '@/core/car/fields/fieldLabel';

/** What the fields of the heat are called. */
export const HEAT_LABELS: Readonly<Record<string, FieldLabel>> = {
  'drive.heat': { label: 'Heat' },
  'drive.heat.housing': { label: 'Motor case' },
  'drive.heat.body': { label: 'Body over the motor' },
  'drive.heat.sinkFinMm': {
    label: 'Heat sink: height of fins',
    quantity: 'lengthMm',
    limits: { above: 0, to: 100 },
  },
  'drive.heat.sinkLengthMm': {
    label: 'Heat sink: long',
    quantity: 'lengthMm',
    limits: { above: 0, to: 1000 },
  },
  'drive.heat.sinkFins': { label: 'Heat sink: fins', quantity: 'count', limits: { from: 2, to: 200 } },
  'drive.heat.fanM3PerH': { label: 'Fan: flow', quantity: 'flowM3PerH', limits: { above: 0, to: 500 } },
  'drive.heat.fanSizeMm': { label: 'Fan: wide', quantity: 'fitMm', limits: { above: 0, to: 500 } },
  'drive.heat.fanBlows': { label: 'Fan: blows' },
  'drive.heat.fanA': { label: 'Fan: current', quantity: 'currentA', limits: { from: 0, to: 20 } },
  'drive.heat.ambientC': { label: 'Air', quantity: 'temperatureC', limits: { from: -50, to: 400 } },
  'drive.heat.windingLimitC': {
    label: 'Winding limit',
    quantity: 'temperatureC',
    limits: { from: -50, to: 400 },
  },
  'drive.heat.caseLimitC': { label: 'The limit of the motor case' },
  'drive.heat.pinionJoint': { label: 'Pinion held by' },
  'drive.heat.mountMaterial': { label: 'Motor mount' },
  'drive.heat.duty': { label: 'Driven as' },
  'drive.heat.cruiseMps': { label: 'Cruise at', quantity: 'speedMps', limits: { above: 0, to: 150 } },
  'drive.heat.cruiseS': { label: 'Drive it for', quantity: 'timeS', limits: { from: 0, to: 7200 } },
  'drive.heat.restS': { label: 'Then stand for', quantity: 'timeS', limits: { from: 0, to: 7200 } },
  'drive.heat.trace': { label: 'Track that is driven' },
  'drive.heat.trace.name': { label: 'Name of the track' },
  'drive.heat.trace.stepS': { label: 'Step of the track', quantity: 'timeS', limits: { above: 0, to: 60 } },
  'drive.heat.trace.speedMps': { label: 'Speeds of the track' },
  'drive.heat.trace.lateralMps2': { label: 'Cornering of the track' },
  'drive.heat.readings': { label: 'Temperature readings' },
  'drive.heat.calibration': { label: 'Calibrated cooling' },
  'drive.heat.calibration.factor': {
    label: 'Calibrated cooling',
    quantity: 'coefficient',
    limits: { above: 0, to: 1000 },
  },
};
