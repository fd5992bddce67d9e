import type { FieldLabel } from '@/core/car/fields/fieldLabel';

const PROFILE: Readonly<Record<string, FieldLabel>> = {
  layerMm: { label: 'Layer', quantity: 'lengthMm', limits: { above: 0, to: 2 } },
  topBottomLayers: { label: 'Layers at top and bottom', quantity: 'count', limits: { from: 1, to: 100 } },
  perimeters: { label: 'Perimeters', quantity: 'count', limits: { from: 1, to: 100 } },
  infill: { label: 'Infill', quantity: 'share', limits: { above: 0, to: 1 } },
};

const profile = (how: 'final' | 'draft') =>
  Object.fromEntries(Object.entries(PROFILE).map(([key, label]) => [`print.${how}.${key}`, label]));

/** What the fields of printing are called. */
export const PRINT_LABELS: Readonly<Record<string, FieldLabel>> = {
  'print.printers': { label: 'Printers' },
  'print.printers.*': { label: 'Printer' },
  'print.printers.*.bedWidthMm': { label: 'Bed, wide', quantity: 'lengthMm', limits: { above: 0, to: 2000 } },
  'print.printers.*.bedDepthMm': { label: 'Bed, deep', quantity: 'lengthMm', limits: { above: 0, to: 2000 } },
  'print.printers.*.bedHeightMm': {
    label: 'Prints as high as',
    quantity: 'lengthMm',
    limits: { above: 0, to: 2000 },
  },
  'print.printers.*.speedMmps': {
    label: 'Print speed',
    quantity: 'printMmps',
    limits: { above: 0, to: 2000 },
  },
  'print.printers.*.maxFlowMm3ps': {
    label: 'Hot end melts',
    quantity: 'flowMm3ps',
    limits: { above: 0, to: 500 },
  },
  'print.final': { label: 'Final print' },
  'print.draft': { label: 'Draft print' },
  'print.spacingMm': { label: 'Between parts', quantity: 'lengthMm', limits: { from: 0, to: 100 } },
  'print.joints': { label: 'Joints' },
  'print.joints.*': { label: 'Joint' },
  'print.joints.*.name': { label: 'Joint' },
  'print.joints.*.kind': { label: 'Kind of joint' },
  'print.joints.*.part': { label: 'In' },
  'print.joints.*.to': { label: 'Joins it to' },
  'print.joints.*.count': { label: 'In the car', quantity: 'count', limits: { from: 1, to: 500 } },
  'print.joints.*.diameterMm': { label: 'Diameter', quantity: 'lengthMm', limits: { above: 0, to: 500 } },
  'print.joints.*.lengthMm': { label: 'Length', quantity: 'lengthMm', limits: { above: 0, to: 500 } },
  'print.joints.*.outerMm': { label: 'Outer diameter', quantity: 'lengthMm', limits: { above: 0, to: 500 } },
  'print.joints.*.widthMm': { label: 'Width', quantity: 'lengthMm', limits: { above: 0, to: 500 } },
  'print.joints.*.insertMm': {
    label: 'Insert or nut, across',
    quantity: 'lengthMm',
    limits: { above: 0, to: 500 },
  },
  'print.joints.*.hold': { label: 'Held by' },
  'print.joints.*.fit': { label: 'Fit' },
  'print.joints.*.group': { label: 'Pattern and load of the screws' },
  'print.joints.*.group.screws': {
    label: 'Screws in one group',
    quantity: 'count',
    limits: { from: 1, to: 100 },
  },
  'print.joints.*.group.alongMm': {
    label: 'Pattern, along',
    quantity: 'lengthMm',
    limits: { above: 0, to: 500 },
  },
  'print.joints.*.group.acrossMm': {
    label: 'Pattern, across',
    quantity: 'lengthMm',
    limits: { above: 0, to: 500 },
  },
  'print.joints.*.group.from': { label: 'Loaded by' },
  'print.joints.*.group.end': { label: 'End' },
  'print.joints.*.group.link': { label: 'Link' },
  'print.joints.*.group.share': {
    label: 'Share of it',
    quantity: 'coefficient',
    limits: { above: 0, to: 10 },
  },
  'print.joints.*.group.forceN': { label: 'Force', quantity: 'forceN', limits: { from: 0, to: 1e6 } },
  'print.joints.*.group.way': { label: 'It goes' },
  'print.joints.*.group.overMm': {
    label: 'Acts over the plate by',
    quantity: 'lengthMm',
    limits: { from: -500, to: 500 },
  },
  'print.joints.*.group.aheadMm': {
    label: 'Acts ahead of the middle by',
    quantity: 'lengthMm',
    limits: { from: -500, to: 500 },
  },
  'print.list': { label: 'Make-or-buy list' },
  'print.list.*': { label: 'Line of the make-or-buy list' },
  'print.list.*.name': { label: 'Thing of its own' },
  'print.list.*.source': { label: 'Source' },
  'print.list.*.quantity': { label: 'Quantity', quantity: 'count', limits: { from: 0, to: 1000 } },
  'print.list.*.massG': { label: 'Mass', quantity: 'massG', limits: { above: 0, to: 100_000 } },
  'print.list.*.price': { label: 'Price', quantity: 'price', limits: { from: 0, to: 1e6 } },
  'print.list.*.leadDays': { label: 'Lead time', quantity: 'days', limits: { from: 0, to: 1000 } },
  'print.list.*.onHand': { label: 'Spares on hand', quantity: 'count', limits: { from: 0, to: 1000 } },
  'print.patterns': { label: 'Hole patterns' },
  'print.patterns.*': { label: 'Hole pattern' },
  'print.patterns.*.name': { label: 'Hole pattern' },
  'print.patterns.*.under': { label: 'Laid under the chassis' },
  'print.patterns.*.under.xMm': {
    label: 'First hole, ahead',
    quantity: 'lengthMm',
    limits: { from: -5000, to: 5000 },
  },
  'print.patterns.*.under.yMm': {
    label: 'First hole, to the left',
    quantity: 'lengthMm',
    limits: { from: -5000, to: 5000 },
  },
  'print.patterns.*.under.turnDeg': {
    label: 'Turned to the left',
    quantity: 'angleDeg',
    limits: { from: -360, to: 360 },
  },
  'print.patterns.*.holes': { label: 'Holes' },
  'print.patterns.*.readings': { label: 'Caliper readings' },
  ...profile('final'),
  ...profile('draft'),
};
