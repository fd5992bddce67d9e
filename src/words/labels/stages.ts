import type { FieldLabel } from '@/core/car/fields/fieldLabel';
import type { BeltProfile } from '@/core/physics/transmissions/beltDefinition';
import type { BeamSupport } from '@/core/physics/transmissions/opening';

/** Forms of a belt's teeth. */
export const BELT_PROFILE_NAMES: Readonly<Record<BeltProfile, string>> = {
  curvilinear: 'round teeth',
  trapezoidal: 'straight teeth',
};

export const MOUNT_SUPPORT_NAMES: Readonly<Record<BeamSupport, string>> = {
  cantilever: 'at one end',
  simple: 'on two supports',
  fixed: 'clamped at both ends',
};

const upTo = (to: number) => ({ above: 0, to });

/** Fields of how a body sits on its shaft, by the field's own name. */
const seatLabels = (at: string, name: string): Record<string, FieldLabel> => ({
  [`${at}.boreMm`]: { label: `${name} bore`, quantity: 'lengthMm', limits: upTo(500) },
  [`${at}.flatDepthMm`]: { label: `${name} flat, depth`, quantity: 'lengthMm', limits: upTo(500) },
  [`${at}.hexAcrossFlatsMm`]: { label: `${name} hex, across flats`, quantity: 'lengthMm', limits: upTo(500) },
  [`${at}.boreFit`]: { label: `${name} on its shaft` },
  [`${at}.hubLengthMm`]: { label: `${name} length on the shaft`, quantity: 'lengthMm', limits: upTo(500) },
  [`${at}.hubDiameterMm`]: { label: `${name} hub, diameter`, quantity: 'lengthMm', limits: upTo(500) },
  [`${at}.setScrewMm`]: { label: `${name} set screw, hole`, quantity: 'lengthMm', limits: upTo(50) },
  [`${at}.bolts`]: { label: `${name} bolt holes`, quantity: 'count', limits: { from: 1, to: 100 } },
  [`${at}.boltCircleMm`]: { label: `${name} bolt circle`, quantity: 'lengthMm', limits: upTo(500) },
  [`${at}.boltHoleMm`]: { label: `${name} bolt hole`, quantity: 'lengthMm', limits: upTo(50) },
});

/** Fields of the stages of a drive. */
export const STAGE_LABELS: Readonly<Record<string, FieldLabel>> = {
  'drive.stages.*': { label: 'Reduction stage' },
  ...seatLabels('drive.stages.*.pinion', 'Pinion'),
  ...seatLabels('drive.stages.*.wheel', 'Wheel'),
  ...seatLabels('drive.stages.*.carrier', 'Carrier'),
  'drive.stages.*.carrier': { label: 'Carrier of the planets' },
  'drive.stages.*.carrier.thicknessMm': {
    label: 'Carrier, thickness',
    quantity: 'lengthMm',
    limits: upTo(500),
  },
  'drive.stages.*.doubleHelix': { label: 'Double, each half the other way' },
  'drive.stages.*.wheel.outsideMm': { label: 'Ring, outside', quantity: 'lengthMm', limits: upTo(1000) },
  'drive.stages.*.planet.boreMm': { label: 'Planet bore', quantity: 'lengthMm', limits: upTo(500) },
  'drive.stages.*.planet.boreFit': { label: 'Planet on its pin' },
  'drive.stages.*.kind': { label: 'Kind of stage' },
  'drive.stages.*.pinionTeeth': { label: 'Pinion teeth', quantity: 'count', limits: { from: 1, to: 1000 } },
  'drive.stages.*.ratio': { label: 'Plain ratio', quantity: 'ratio', limits: { above: 0, to: 1000 } },
  'drive.stages.*.wheelTeeth': { label: 'Wheel teeth', quantity: 'count', limits: { from: 1, to: 1000 } },
  'drive.stages.*.efficiency': { label: 'Stage efficiency', quantity: 'share', limits: { above: 0, to: 1 } },
  'drive.stages.*.moduleMm': { label: 'Module', quantity: 'fitMm', limits: { above: 0, to: 20 } },
  'drive.stages.*.wheelModuleMm': {
    label: 'Module of the wheel',
    quantity: 'fitMm',
    limits: { above: 0, to: 20 },
  },
  'drive.stages.*.faceWidthMm': { label: 'Face width', quantity: 'lengthMm', limits: { above: 0, to: 500 } },
  'drive.stages.*.helixDeg': { label: 'Helix', quantity: 'angleDeg', limits: { from: -45, to: 45 } },
  'drive.stages.*.backlashMm': { label: 'Backlash', quantity: 'lengthMm', limits: { from: 0, to: 5 } },
  'drive.stages.*.slotMinMm': {
    label: 'Slot, closest shafts',
    quantity: 'lengthMm',
    limits: { above: 0, to: 1000 },
  },
  'drive.stages.*.slotMaxMm': {
    label: 'Slot, furthest shafts',
    quantity: 'lengthMm',
    limits: { above: 0, to: 1000 },
  },
  'drive.stages.*.pinion': { label: 'Pinion as it is made' },
  'drive.stages.*.wheel': { label: 'Wheel as it is made' },
  'drive.stages.*.pinion.shift': {
    label: 'Pinion profile shift',
    quantity: 'coefficient',
    limits: { from: -1, to: 2 },
  },
  'drive.stages.*.pinion.material': { label: 'Pinion made of' },
  'drive.stages.*.pinion.fillFactor': {
    label: 'Pinion share filled',
    quantity: 'share',
    limits: { above: 0, to: 1 },
  },
  'drive.stages.*.pinion.interferenceMm': {
    label: 'Pinion bore under the shaft by',
    quantity: 'lengthMm',
    limits: { above: 0, to: 5 },
  },
  'drive.stages.*.pinion.screwForceN': {
    label: 'Pinion set screw presses with',
    quantity: 'forceN',
    limits: { above: 0, to: 20_000 },
  },
  'drive.stages.*.pinion.pinMm': {
    label: 'Pinion cross pin',
    quantity: 'lengthMm',
    limits: { above: 0, to: 50 },
  },
  'drive.stages.*.wheel.shift': {
    label: 'Wheel profile shift',
    quantity: 'coefficient',
    limits: { from: -1, to: 2 },
  },
  'drive.stages.*.wheel.material': { label: 'Wheel made of' },
  'drive.stages.*.wheel.fillFactor': {
    label: 'Wheel share filled',
    quantity: 'share',
    limits: { above: 0, to: 1 },
  },
  'drive.stages.*.wheel.interferenceMm': {
    label: 'Wheel bore under the shaft by',
    quantity: 'lengthMm',
    limits: { above: 0, to: 5 },
  },
  'drive.stages.*.wheel.screwForceN': {
    label: 'Wheel set screw presses with',
    quantity: 'forceN',
    limits: { above: 0, to: 20_000 },
  },
  'drive.stages.*.wheel.pinMm': {
    label: 'Wheel cross pin',
    quantity: 'lengthMm',
    limits: { above: 0, to: 50 },
  },
  'drive.stages.*.planet': { label: 'Planets as they are made' },
  'drive.stages.*.planet.material': { label: 'Planets made of' },
  'drive.stages.*.planet.fillFactor': {
    label: 'Planets filled',
    quantity: 'share',
    limits: { above: 0, to: 1 },
  },
  'drive.stages.*.planets': { label: 'Planets', quantity: 'count', limits: { from: 1, to: 12 } },
  'drive.stages.*.ringAddendum': {
    label: 'Height of the ring’s teeth, in modules',
    quantity: 'coefficient',
    limits: { above: 0, to: 1.25 },
  },
  'drive.stages.*.pitchMm': { label: 'Pitch', quantity: 'fitMm', limits: { above: 0, to: 50 } },
  'drive.stages.*.beltProfile': { label: 'Form of the teeth' },
  'drive.stages.*.beltTeeth': {
    label: 'Teeth of the belt',
    quantity: 'count',
    limits: { from: 1, to: 5000 },
  },
  'drive.stages.*.pretensionN': {
    label: 'Tension of a span, as set',
    quantity: 'forceN',
    limits: { above: 0, to: 20_000 },
  },
  'drive.stages.*.links': { label: 'Links of the chain', quantity: 'count', limits: { from: 1, to: 5000 } },
  'drive.stages.*.mount': { label: 'Mount between the shafts' },
  'drive.stages.*.mount.stiffnessNPerMm': {
    label: 'Stiffness, as measured',
    quantity: 'rateNPerMm',
    limits: { above: 0, to: 1e7 },
  },
  'drive.stages.*.mount.support': { label: 'Held' },
  'drive.stages.*.mount.lengthMm': {
    label: 'Free length',
    quantity: 'lengthMm',
    limits: { above: 0, to: 1000 },
  },
  'drive.stages.*.mount.widthMm': { label: 'Width', quantity: 'lengthMm', limits: { above: 0, to: 1000 } },
  'drive.stages.*.mount.thicknessMm': {
    label: 'Thickness along the centres',
    quantity: 'lengthMm',
    limits: { above: 0, to: 500 },
  },
  'drive.stages.*.mount.material': { label: 'Mount made of' },
  'drive.stages.*.bearingPlayMm': {
    label: 'Play of the bearings',
    quantity: 'fitMm',
    limits: { from: 0, to: 5 },
  },
  'drive.stages.*.at': { label: 'Where the driven gear stands' },
  'drive.stages.*.at.xMm': {
    label: 'Driven gear, from the front axle, forward',
    quantity: 'lengthMm',
    limits: { from: -3000, to: 3000 },
  },
  'drive.stages.*.at.yMm': {
    label: 'Driven gear, from the middle, to the left',
    quantity: 'lengthMm',
    limits: { from: -1000, to: 1000 },
  },
  'drive.stages.*.at.zMm': {
    label: 'Driven gear, over the ground',
    quantity: 'lengthMm',
    limits: { from: -1000, to: 1000 },
  },
  'drive.stages.*.on': { label: 'Serves' },
  'drive.stages.*.front': { label: 'Bevel at the front' },
  'drive.stages.*.front.pinion': { label: 'Bevel at the front, gear along the car' },
  'drive.stages.*.front.ring': { label: 'Bevel at the front, gear across the car' },
  'drive.stages.*.rear': { label: 'Bevel at the rear' },
  'drive.stages.*.rear.pinion': { label: 'Bevel at the rear, gear along the car' },
  'drive.stages.*.rear.ring': { label: 'Bevel at the rear, gear across the car' },
};
