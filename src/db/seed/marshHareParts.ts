import type { Part } from '@/core/car/parts/parts';
import type { Patch } from '@/core/base/patch';
import { material } from './copies';
import { DEMO_MESHES } from './demoMeshes';

const printed = { perimeters: 6, infill: 0.5 } as const;

/** An arm from the hinge to the wheel: bent upright by a landing behind the damper, sideways by a kerb. */
const arm = (id: string, name: string): Part => ({
  id,
  name,
  kind: 'arm',
  material: material('petg'),
  layers: 'along',
  ...printed,
  shape: { as: 'beam', profile: 'plate', support: 'cantilever', lengthMm: 34, widthMm: 22, heightMm: 10 },
  loads: [
    { id: 'landing', from: 'landingOneWheel', bends: 'upright' },
    { id: 'kerb', from: 'curbStrike', share: 0.5, bends: 'sideways' },
  ],
  mesh: DEMO_MESHES.arm.mesh,
});

/** The parts of revision A: the carrier stands on the bed, the steering arm is thin. */
export const marshHareParts: Part[] = [
  {
    id: 'mainGear',
    name: 'Main gear, face 6 mm',
    kind: 'gear',
    material: material('nylon'),
    layers: 'along',
    perimeters: 5,
    infill: 1,
    mesh: DEMO_MESHES.mainGear6.mesh,
  },
  { id: 'pinion', name: 'Pinion', kind: 'pinion' },
  { id: 'bevelPair', name: 'Bevel pair', kind: 'gear' },
  { id: 'shaft', name: 'Centre shaft', kind: 'shaft' },
  arm('armFront', 'Front arm'),
  arm('armRear', 'Rear arm'),
  {
    id: 'carrier',
    name: 'Rear carrier',
    kind: 'carrier',
    material: material('petg'),
    layers: 'across',
    ...printed,
    shape: { as: 'beam', profile: 'plate', support: 'cantilever', lengthMm: 20, widthMm: 10, heightMm: 7 },
    loads: [{ id: 'landing', from: 'landingOneWheel', bends: 'upright' }],
    mesh: DEMO_MESHES.carrierStanding.mesh,
  },
  {
    id: 'knuckle',
    name: 'Front knuckle',
    kind: 'knuckle',
    material: material('petg'),
    layers: 'along',
    perimeters: 5,
    infill: 1,
    shape: { as: 'beam', profile: 'plate', support: 'cantilever', lengthMm: 16, widthMm: 12, heightMm: 10 },
    loads: [
      { id: 'landing', from: 'landingOneWheel', bends: 'upright' },
      { id: 'kerb', from: 'curbStrike', bends: 'sideways' },
    ],
    mesh: DEMO_MESHES.knuckle.mesh,
  },
  {
    id: 'steeringArm',
    name: 'Steering arm',
    kind: 'steeringArm',
    material: material('petg'),
    layers: 'along',
    perimeters: 4,
    infill: 1,
    shape: { as: 'beam', profile: 'plate', support: 'cantilever', lengthMm: 18, widthMm: 6, heightMm: 5 },
    loads: [{ id: 'kerb', from: 'curbStrike', share: 0.6, bends: 'sideways' }],
    mesh: DEMO_MESHES.steeringArm.mesh,
  },
  {
    id: 'frontLink',
    name: 'Front link',
    kind: 'link',
    material: material('petg'),
    layers: 'along',
    shape: { as: 'column', profile: 'round', ends: 'pinned', lengthMm: 44, heightMm: 5 },
    loads: [
      { id: 'corner', from: 'corneringLateralFront' },
      { id: 'kerb', from: 'curbStrike', share: 0.4 },
    ],
    mesh: DEMO_MESHES.link.mesh,
  },
  {
    id: 'tower',
    name: 'Shock tower',
    kind: 'shockTower',
    material: material('petg'),
    layers: 'along',
    ...printed,
    shape: { as: 'beam', profile: 'plate', support: 'cantilever', lengthMm: 14, widthMm: 26, heightMm: 8 },
    loads: [{ id: 'landing', from: 'landingOneWheel', bends: 'upright' }],
    mesh: DEMO_MESHES.tower.mesh,
  },
  {
    id: 'brace',
    name: 'Rear brace',
    kind: 'brace',
    material: material('petg'),
    layers: 'along',
    shape: { as: 'column', profile: 'plate', ends: 'fixed', lengthMm: 90, widthMm: 10, heightMm: 5 },
    loads: [{ id: 'kerb', from: 'curbStrike' }],
    mesh: DEMO_MESHES.brace.mesh,
  },
  {
    id: 'plate',
    name: 'Chassis plate',
    kind: 'chassis',
    massG: 120,
    material: material('petg'),
    layers: 'along',
    perimeters: 5,
    infill: 1,
    shape: {
      as: 'beam',
      profile: 'flanged',
      support: 'simple',
      lengthMm: 260,
      widthMm: 88,
      heightMm: 4,
      wallMm: 3,
      flangeMm: 14,
    },
    loads: [{ id: 'landing', from: 'landingFourWheels', share: 0.3, bends: 'upright' }],
    mesh: DEMO_MESHES.plate.mesh,
  },
  {
    id: 'mount',
    name: 'Motor mount',
    kind: 'motorMount',
    material: material('abs'),
    layers: 'along',
    temperatureC: 50,
    shape: { as: 'boss', screwMm: 3, engagementMm: 8, wallMm: 3, screws: 4, screwKind: 'screwInPlastic' },
    loads: [{ id: 'landing', from: 'landingOneWheel' }],
    mesh: DEMO_MESHES.bracket.mesh,
  },
  {
    id: 'bumper',
    name: 'Bumper',
    kind: 'bumper',
    material: material('pla'),
    layers: 'along',
    perimeters: 4,
    infill: 1,
    shape: { as: 'beam', profile: 'plate', support: 'simple', lengthMm: 120, widthMm: 22, heightMm: 10 },
    loads: [{ id: 'kerb', from: 'curbStrike', share: 2, bends: 'upright' }],
    mesh: DEMO_MESHES.bumper.mesh,
  },
  { id: 'servo', name: 'Steering servo', kind: 'servo' },
  { id: 'regulator', name: 'Regulator', kind: 'regulator' },
  { id: 'receiver', name: 'Receiver', kind: 'receiver' },
  { id: 'controller', name: 'Controller', kind: 'controller' },
];

const at = (id: string, ...keys: string[]) => ['parts', 'items', id, ...keys];

/** The gear that lost its teeth in A: twice as wide. */
export const gearWider: Patch = [
  { path: at('mainGear', 'name'), value: 'Main gear, face 12 mm' },
  { path: at('mainGear', 'mesh'), value: DEMO_MESHES.mainGear12.mesh },
];

/** The carrier that split in B: turned on the bed and re-shaped. */
export const carrierTurned: Patch = [
  { path: at('carrier', 'name'), value: 'Rear carrier, turned on the bed' },
  { path: at('carrier', 'layers'), value: 'along' },
  { path: at('carrier', 'shape', 'heightMm'), value: 12 },
  { path: at('carrier', 'mesh'), value: DEMO_MESHES.carrierLying.mesh },
];

/** The steering arm that a kerb bent in C: wider, and of a stiffer plastic. */
export const steeringArmWider: Patch = [
  { path: at('steeringArm', 'material'), value: material('nylonCarbon') },
  { path: at('steeringArm', 'shape', 'widthMm'), value: 8 },
  { path: at('steeringArm', 'mesh'), value: DEMO_MESHES.steeringArmWide.mesh },
];
