import type { Path } from '../../base/patch';

const MATERIAL = ['name', 'densityGPerCm3', 'modulusMpa', 'inPlaneStrengthMpa', 'softeningC'];
const BEVEL = ['pinion', 'ring'];
const POINTS = [
  'lowerFront',
  'lowerRear',
  'lowerOuter',
  'upperFront',
  'upperRear',
  'upperOuter',
  'outerFront',
  'outerRear',
  'upperInner',
  'tieInner',
  'tieOuter',
  'wheelCentre',
];
const ROCKER = [
  'pivot',
  'axis',
  'pushrodArm',
  'pushrodArmOn',
  'pushrodRocker',
  'damperRocker',
  'damperChassis',
];
const SOLVED = ['voxelMm', 'margin', 'moveMm'];

const ofAnEnd = (end: 'front' | 'rear') => ({
  [`suspension.${end}.corner`]: ['kind', ...POINTS, 'staticCamberDeg', 'staticToeDeg'],
  [`suspension.${end}.corner.damper`]: ['inner', 'outer', 'on'],
  [`suspension.${end}.corner.rocker`]: ROCKER,
});

/** What a thing of the document cannot be without while it is there; `*` stands for an item's id. */
export const REQUIRED: Readonly<Record<string, readonly string[]>> = {
  'brief.track.segments.*': ['id', 'lengthM'],
  'brief.track.line': ['name', 'closed', 'pointsM', 'rounds'],
  'brief.surfaces.*': [
    'id',
    'name',
    'ground',
    'mu',
    'muError',
    'rollingResistance',
    'rollingResistanceError',
  ],
  'brief.sizeClass': ['name', 'massBudgetG'],
  'brief.calibration': ['letter', 'runs', 'at'],
  'brief.calibration.corrected.*': ['path', 'to'],
  'drive.motor': [
    'name',
    'kvRpmPerV',
    'resistanceMilliOhm',
    'noLoadCurrentA',
    'rotorInertiaKgM2',
    'maxV',
    'massG',
    'diameterMm',
    'lengthMm',
  ],
  'drive.stages.*': ['id', 'kind', 'efficiency'],
  'drive.ownMotors.*': ['id'],
  'drive.stages.*.pinion.material': MATERIAL,
  'drive.stages.*.wheel.material': MATERIAL,
  'drive.stages.*.planet.material': MATERIAL,
  'drive.stages.*.front': BEVEL,
  'drive.stages.*.rear': BEVEL,
  'drive.tyre': ['name', 'compound', 'radiusMm', 'massG', 'hardFactor', 'looseFactor'],
  'drive.heat.trace': ['name', 'stepS', 'speedMps', 'lateralMps2'],
  'drive.heat.readings.*': ['id', 'minutes', 'caseC'],
  'drive.heat.calibration': ['diameterMm', 'lengthMm', 'factor', 'residualC'],
  'drive.shafts.*': ['id', 'kind'],
  'drive.shafts.*.material': MATERIAL,
  'drive.wheelHex.material': MATERIAL,
  'power.battery': [
    'name',
    'cells',
    'parallel',
    'cellResistanceMilliOhm',
    'capacityMah',
    'maxDischargeC',
    'massG',
  ],
  'power.controller': ['name', 'currentLimitA', 'continuousA', 'resistanceMilliOhm', 'maxV', 'massG'],
  'power.rails.*': ['id', 'name', 'from', 'kind'],
  'power.loads.*': ['id', 'name', 'kind', 'rail'],
  'power.wires.*': ['id'],
  'power.radio.transmitter': ['name', 'protocol', 'channels', 'rangeM'],
  'power.failsafe.*': ['id', 'at', 'of'],
  'power.failsafe.*.of': ['radio', 'receiver', 'controller', 'wiring'],
  'chassis.bodies.*': ['id', 'massG'],
  ...ofAnEnd('front'),
  ...ofAnEnd('rear'),
  'suspension.bench.*': ['id', 'at', 'of'],
  'parts.items.*': ['id', 'name', 'kind'],
  'parts.items.*.material': MATERIAL,
  'parts.items.*.shape': ['as'],
  'parts.items.*.loads.*': ['id', 'from'],
  'parts.items.*.mesh': ['hash', 'name', 'unitMm', 'up'],
  'parts.items.*.mesh.held.*': ['id', 'min', 'max'],
  'parts.items.*.mesh.pulls.*': ['id', 'min', 'max', 'from', 'direction'],
  'parts.items.*.mesh.lies': ['of', 'volumeMm3', 'areaMm2', 'horizontalAreaMm2', 'sizeMm'],
  'parts.items.*.mesh.solid': ['of', 'shape', ...SOLVED, 'failsBy', 'atMm', 'voxels'],
  'parts.items.*.mesh.solid.finer': SOLVED,
  'parts.items.*.mesh.solid.cases.*': ['from', 'margin', 'moveMm', 'failsBy', 'atMm'],
  'print.patterns.*': ['id', 'name', 'holes', 'readings'],
  'print.patterns.*.holes.*': ['id', 'diameterMm'],
  'print.patterns.*.readings.*': ['id', 'from', 'to', 'kind', 'valueMm'],
  'print.patterns.*.under': ['xMm', 'yMm', 'turnDeg'],
  'print.printers.*': ['id', 'name', 'bedWidthMm', 'bedDepthMm', 'bedHeightMm', 'speedMmps', 'maxFlowMm3ps'],
  'print.joints.*': ['id', 'name', 'kind'],
  'print.list.*': ['id'],
};

/** Whether the key of a thing at a starred path is required there. */
export const isRequired = (starred: Path): boolean =>
  REQUIRED[starred.slice(0, -1).join('.')]?.includes(starred.at(-1)!) ?? false;
