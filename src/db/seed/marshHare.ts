import { type BuildDocument, emptyDocument } from '@/core/build/document';
import type { Patch } from '@/core/build/patch';
import type { FailureSheet } from '@/core/field/records';
import { battery, controller, motor, sizeClass, surface, tyre } from './copies';

/** Carries a soil-moisture logger between the rows of a community orchard. Revision A: the ratio is too short. */
export const marshHareA: BuildDocument = {
  ...emptyDocument(),
  brief: {
    surfaces: [surface('mownGrass'), surface('gravel')],
    targetMps: 30 / 3.6,
    distanceM: 20,
    timeToDistanceS: 4,
    runTimeMinutes: 25,
    payloadG: 350,
    gradePct: 8,
    sizeClass: sizeClass('size-10'),
  },
  drive: {
    motor: motor('motor-540-sensored-13'),
    motorCount: 1,
    stages: [
      { id: 'spur', kind: 'spur', pinionTeeth: 13, wheelTeeth: 71, efficiency: 0.95 },
      { id: 'bevel', kind: 'bevel', pinionTeeth: 15, wheelTeeth: 39, efficiency: 0.93 },
    ],
    shaftEfficiency: 0.97,
    drivenAxles: 'all',
    tyre: tyre('tyre-10-pin'),
  },
  power: { battery: battery('pack-2s-5000'), controller: controller('controller-60'), cutoffVPerCell: 3.3 },
  chassis: {
    wheelbaseMm: 285,
    trackFrontMm: 215,
    trackRearMm: 215,
    cgHeightMm: 62,
    frontLoadShare: 0.49,
    massG: 1595,
    cdaM2: 0.026,
    claFrontM2: 0,
    claRearM2: 0,
  },
  parts: {
    items: [
      { id: 'mainGear', name: 'Main gear, face 6 mm', kind: 'gear' },
      { id: 'pinion', name: 'Pinion', kind: 'pinion' },
      { id: 'bevelPair', name: 'Bevel pair', kind: 'gear' },
      { id: 'shaft', name: 'Centre shaft', kind: 'shaft' },
      { id: 'carrier', name: 'Rear carrier', kind: 'knuckle' },
      { id: 'steeringArm', name: 'Steering arm', kind: 'knuckle' },
      { id: 'frontLink', name: 'Front link', kind: 'link' },
      { id: 'plate', name: 'Chassis plate', kind: 'chassis' },
      { id: 'mount', name: 'Motor mount', kind: 'motorMount' },
      { id: 'bumper', name: 'Bumper', kind: 'body' },
      { id: 'servo', name: 'Steering servo', kind: 'servo' },
      { id: 'regulator', name: 'Regulator', kind: 'regulator' },
      { id: 'receiver', name: 'Receiver', kind: 'receiver' },
    ],
  },
};

/** What revision B changes: a longer ratio and a gear twice as wide, which weighs a little more. */
export const marshHareB: Patch = [
  { path: ['drive', 'stages', 'spur', 'pinionTeeth'], value: 17 },
  { path: ['parts', 'items', 'mainGear', 'name'], value: 'Main gear, face 12 mm' },
  { path: ['chassis', 'massG'], value: 1603 },
];

export const WHY_B = 'A runs cold and tops out under the wish: the ratio is too short. The main gear stripped on a landing: twice the face.';
export const EXPECTED_B = 'Over 30 km/h on mown grass, and no tooth lost.';

/** Runs with what differs from one to the next; times are made by the model with hidden figures of its own. */
export const MARSH_HARE_RUNS = [
  { id: 'mh-a-timed-1', letter: 'A', kind: 'timedDistance', ranAt: '2026-04-11T13:40:00.000Z', ambientC: 14, packVBefore: 8.36, packVAfter: 8.02, drivenMinutes: 6, note: 'Motor only hand-warm afterwards.' },
  { id: 'mh-a-timed-2', letter: 'A', kind: 'timedDistance', ranAt: '2026-04-12T09:55:00.000Z', ambientC: 11, packVBefore: 8.3, packVAfter: 7.98, drivenMinutes: 5, note: 'Grass damp.' },
  { id: 'mh-a-launch-1', letter: 'A', kind: 'launch', ranAt: '2026-04-12T10:20:00.000Z', ambientC: 12, packVBefore: 8.1, packVAfter: 8.0, drivenMinutes: 3 },
  { id: 'mh-b-timed-1', letter: 'B', kind: 'timedDistance', ranAt: '2026-04-25T14:10:00.000Z', ambientC: 17, packVBefore: 8.34, packVAfter: 7.95, drivenMinutes: 7, note: 'Third attempt straightest.' },
] as const;

export const MARSH_HARE_FAILURES: readonly (FailureSheet & { letter: string })[] = [
  {
    letter: 'A',
    id: 'mh-a-tooth',
    mode: 'toothStrip',
    partId: 'mainGear',
    partName: 'Main gear, face 6 mm',
    runId: 'mh-a-timed-2',
    hours: 1.4,
    story: 'Three teeth gone on landing off the ditch edge with the throttle open.',
    occurredAt: '2026-04-12T10:05:00.000Z',
    fix: 'Face doubled to 12 mm.',
    fixRevisionId: 'marsh-hare-b',
  },
  {
    letter: 'A',
    id: 'mh-a-horn',
    mode: 'loosening',
    partId: 'servo',
    partName: 'Steering servo',
    runId: 'mh-a-launch-1',
    hours: 1.5,
    story: 'The horn screw had worked loose; steering wandered off centre.',
    occurredAt: '2026-04-12T10:30:00.000Z',
  },
];
