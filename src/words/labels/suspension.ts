import { POINT_NAMES, type PointName } from '@/core/physics/corner/corner';
import type { FieldLabel, Limits } from '@/core/car/fields/fieldLabel';

/** What a hard point is called. */
export const POINT_LABELS: Readonly<Record<PointName, string>> = {
  lowerFront: 'lower hinge, front end',
  lowerRear: 'lower hinge, rear end',
  lowerOuter: 'lower ball',
  upperFront: 'upper hinge, front end',
  upperRear: 'upper hinge, rear end',
  upperInner: 'link, inner end',
  upperOuter: 'upper outer joint',
  outerFront: 'outer hinge, front end',
  outerRear: 'outer hinge, rear end',
  kingpinLower: 'kingpin, lower end',
  kingpinUpper: 'kingpin, upper end',
  tieInner: 'tie rod, inner end',
  tieOuter: 'tie rod, outer end',
  wheelCentre: 'wheel centre',
};

const length = (label: string, limits: Limits): FieldLabel => ({ label, quantity: 'lengthMm', limits });
const play = (label: string) => length(label, { from: 0, to: 20 });

const OF_AN_END: Readonly<Record<string, FieldLabel>> = {
  '': { label: 'suspension' },
  corner: { label: 'corner' },
  'corner.kind': { label: 'corner, kind' },
  ...Object.fromEntries(POINT_NAMES.map((name) => [`corner.${name}`, { label: POINT_LABELS[name] }])),
  'corner.damper': { label: 'damper, ends' },
  'corner.damper.on': { label: 'damper stands on' },
  'corner.damper.closedLengthMm': length('damper, closed', { above: 0 }),
  'corner.rocker': { label: 'rocker' },
  'corner.rocker.pushrodArmOn': { label: 'pushrod stands on' },
  'corner.rocker.closedLengthMm': length('damper, closed', { above: 0 }),
  'corner.staticCamberDeg': { label: 'camber as drawn', quantity: 'angleDeg', limits: { from: -45, to: 45 } },
  'corner.staticToeDeg': { label: 'toe as drawn', quantity: 'angleDeg', limits: { from: -45, to: 45 } },
  'corner.jointLimitDeg': { label: 'joints turn up to', quantity: 'angleDeg', limits: { above: 0, to: 180 } },
  bumpMm: length('bump travel', { above: 0, to: 500 }),
  droopMm: length('droop travel', { above: 0, to: 500 }),
  springBy: { label: 'spring given by' },
  rateNPerMm: { label: 'spring', quantity: 'rateNPerMm', limits: { above: 0, to: 1000 } },
  wireMm: length('spring, wire', { above: 0, to: 20 }),
  meanDiameterMm: length('spring, middle of the wire', { above: 0, to: 200 }),
  activeCoils: {
    label: 'spring, coils free to twist',
    quantity: 'coefficient',
    limits: { above: 0, to: 200 },
  },
  preloadMm: length('preload at full droop', { from: 0, to: 200 }),
  damperNsPerM: { label: 'damper', quantity: 'damperNsPerM', limits: { from: 0, to: 100_000 } },
  targetSagPct: { label: 'sag to aim at', quantity: 'percent', limits: { above: 0, to: 100 } },
  unsprungG: { label: 'carrier, hub, half the arms', quantity: 'massG', limits: { above: 0, to: 50_000 } },
  links: { label: 'links' },
  linkMmPerTurn: length('link, a turn', { above: 0, to: 10 }),
  play: { label: 'play' },
  'play.bearingSpacingMm': length('wheel bearings apart', { above: 0, to: 500 }),
  'play.inboardMm': play('play, inboard bearing'),
  'play.outboardMm': play('play, outboard bearing'),
  'play.tieMm': play('play along the tie rod'),
  'play.upperMm': play('play in the upper joint'),
  armMm: length('arms, across', { above: 0, to: 200 }),
  linkMm: length('links, across', { above: 0, to: 200 }),
  damperMm: length('damper, across', { above: 0, to: 200 }),
  shaftMm: length('drive shaft, across', { above: 0, to: 100 }),
  shaftInnerMm: length('drive shaft’s inner joint, from the middle', { from: 0, to: 1000 }),
  shaftInnerZMm: length('drive shaft’s inner joint, over the ground', { from: 0, to: 1000 }),
  held: { label: 'links, what they withstand' },
  'held.*': { label: 'link' },
  'held.*.pullN': { label: 'link withstands', quantity: 'forceN', limits: { above: 0, to: 1_000_000 } },
  'held.*.pushN': {
    label: 'link withstands pushed',
    quantity: 'forceN',
    limits: { above: 0, to: 1_000_000 },
  },
  'held.*.partId': { label: 'link is the part' },
};

const labelsOf = (end: 'front' | 'rear'): [string, FieldLabel][] =>
  Object.entries(OF_AN_END).map(([key, field]) => [
    `suspension.${end}${key === '' ? '' : `.${key}`}`,
    { ...field, label: `${end === 'front' ? 'Front' : 'Rear'} ${field.label}` },
  ]);

/** Fields of the suspension; those of an end start with its name. */
export const SUSPENSION_LABELS: Readonly<Record<string, FieldLabel>> = {
  ...Object.fromEntries([...labelsOf('front'), ...labelsOf('rear')]),
  'suspension.stopMm': length('Travel to stop a landing', { above: 0, to: 1000 }),
  'suspension.kerbStopMm': length('Deflects at a kerb', { above: 0, to: 1000 }),
  'suspension.steering': { label: 'Steering' },
  'suspension.steering.lockMm': length('Rack to full lock', { above: 0, to: 200 }),
  'suspension.steering.saverNm': {
    label: 'Servo saver gives at',
    quantity: 'torqueNm',
    limits: { above: 0, to: 100 },
  },
  'suspension.steering.hornMm': length('Servo horn', { above: 0, to: 500 }),
  'suspension.aids': { label: 'Driver aids' },
  'suspension.aids.yaw': { label: 'Gyro' },
  'suspension.aids.yaw.gain': { label: 'Gyro gain', quantity: 'coefficient', limits: { from: 0, to: 200 } },
  'suspension.aids.yaw.deadbandDegPerS': {
    label: 'Gyro dead band',
    quantity: 'rateDegPerS',
    limits: { from: 0, to: 1000 },
  },
  'suspension.aids.yaw.maxCorrectionDeg': {
    label: 'Most correction',
    quantity: 'angleDeg',
    limits: { from: 0, to: 90 },
  },
  'suspension.aids.yaw.sampleMs': {
    label: 'Gyro reads every',
    quantity: 'millis',
    limits: { from: 1, to: 200 },
  },
  'suspension.aids.yaw.lowpassMs': {
    label: 'Gyro filter',
    quantity: 'millis',
    limits: { from: 0, to: 1000 },
  },
  'suspension.aids.yaw.servoLagMs': { label: 'Servo lag', quantity: 'millis', limits: { from: 0, to: 1000 } },
  'suspension.aids.yaw.servoRateDegPerS': {
    label: 'Servo speed at the wheels',
    quantity: 'rateDegPerS',
    limits: { above: 0, to: 10_000 },
  },
  'suspension.aids.yaw.maxSteerDeg': {
    label: 'Steering to either side',
    quantity: 'angleDeg',
    limits: { above: 0, to: 80 },
  },
  'suspension.aids.yaw.mode': { label: 'What the gyro does' },
  'suspension.aids.yaw.fullSteerDegPerS': {
    label: 'Yaw rate at full steering',
    quantity: 'rateDegPerS',
    limits: { above: 0, to: 10_000 },
  },
  'suspension.aids.yaw.catchUpMs': {
    label: 'Gyro catches up in',
    quantity: 'millis',
    limits: { above: 0, to: 10_000 },
  },
  'suspension.aids.yaw.signProvenAt': { label: 'Direction of the gyro, proven' },
  'suspension.aids.traction': { label: 'Slip control' },
  'suspension.aids.traction.targetSlipPct': {
    label: 'Slip aimed at',
    quantity: 'percent',
    limits: { from: 0, to: 100 },
  },
  'suspension.aids.traction.gainUsPerPct': {
    label: 'Throttle taken back a per cent',
    quantity: 'micros',
    limits: { from: 0, to: 500 },
  },
  'suspension.aids.traction.frameMs': {
    label: 'Answers every',
    quantity: 'millis',
    limits: { from: 1, to: 200 },
  },
  'suspension.aids.traction.releaseUsPerMs': {
    label: 'Comes back by, a millisecond',
    quantity: 'micros',
    limits: { above: 0, to: 500 },
  },
  'suspension.aids.traction.magnets': {
    label: 'Magnets per wheel',
    quantity: 'count',
    limits: { from: 1, to: 400 },
  },
  'suspension.aids.traction.falsePulseRate': {
    label: 'False pulses',
    quantity: 'share',
    limits: { from: 0, to: 1 },
  },
  'suspension.aids.traction.mostAccelMps2': {
    label: 'Most gain of speed',
    quantity: 'accelMps2',
    limits: { above: 0, to: 100 },
  },
  'suspension.aids.tyre': { label: 'Tyres at slip' },
  'suspension.aids.tyre.corneringFrontPerRad': {
    label: 'Front cornering stiffness over load',
    quantity: 'coefficient',
    limits: { above: 0, to: 60 },
  },
  'suspension.aids.tyre.corneringRearPerRad': {
    label: 'Rear cornering stiffness over load',
    quantity: 'coefficient',
    limits: { above: 0, to: 60 },
  },
  'suspension.aids.tyre.slipAtPeakPct': {
    label: 'Slip of the most grip',
    quantity: 'percent',
    limits: { above: 0, to: 100 },
  },
  'suspension.aids.tyre.shape': {
    label: 'Fall of grip beyond it',
    quantity: 'coefficient',
    limits: { above: 1, below: 2 },
  },
  'suspension.bench': { label: 'Bench list' },
  'suspension.bench.*': { label: 'Look at the bench' },
};
