import type { Limits } from '@/core/car/fields/fieldLabel';
import { labelOf } from '@/words/labels/labels';
import { STAGE_KINDS } from '@/core/car/document/drive';
import { MOTOR_KINDS } from '@/core/car/document/power';
import { MOTOR_KIND_NAMES } from '@/words/labels/heatWords';
import { RAIL_KINDS } from '@/core/physics/supply/budgetDefinition';
import { TYRE_KINDS } from '@/core/physics/tyres/tyreSpin';
import type { LibraryKind } from '@/core/car/library/items';
import type { QuantityName } from '@/core/base/units/quantities';

export interface Column {
  readonly key: string;
  readonly label: string;
  readonly quantity?: QuantityName;
  readonly limits?: Limits;
  readonly options?: readonly (readonly [string, string])[];
  /** Free words. */
  readonly text?: true;
  readonly optional?: true;
  /** Value of a new item. */
  readonly start: number | string;
}

const field = (path: string, start: number, label?: string, key?: string): Column => {
  const known = labelOf(path.split('.'));
  return {
    key: key ?? path.split('.').at(-1)!,
    label: label ?? known.label,
    quantity: known.quantity!,
    limits: known.limits,
    start,
  };
};

const KINDS = MOTOR_KINDS.map((kind) => [kind, MOTOR_KIND_NAMES[kind]] as const);
const RINGS = TYRE_KINDS.filter((kind) => kind !== 'own');

/** What each kind of the library shows and lets edit, besides its name. */
export const COLUMNS: Readonly<Record<LibraryKind, readonly Column[]>> = {
  motor: [
    { key: 'kind', label: 'Kind', options: KINDS, start: 'sensored', optional: true },
    field('drive.motor.kvRpmPerV', 3000, 'Constant'),
    field('drive.motor.resistanceMilliOhm', 25),
    field('drive.motor.noLoadCurrentA', 2),
    field('drive.motor.rotorInertiaKgM2', 4e-6),
    field('drive.motor.maxV', 8.5, 'Highest voltage'),
    field('drive.motor.massG', 165, 'Mass'),
    field('drive.motor.diameterMm', 36, 'Diameter'),
    field('drive.motor.lengthMm', 52, 'Length'),
    {
      key: 'housing',
      label: 'Case',
      options: [
        ['closed', 'closed'],
        ['vented', 'vented'],
        ['heatsink', 'with a heat sink'],
      ],
      start: 'closed',
      optional: true,
    },
  ],
  battery: [
    field('power.battery.cells', 2),
    field('power.battery.parallel', 1),
    field('power.battery.capacityMah', 5000),
    field('power.battery.cellResistanceMilliOhm', 3),
    field('power.battery.maxDischargeC', 30),
    field('power.battery.massG', 265, 'Mass'),
  ],
  controller: [
    { key: 'kind', label: 'Kind', options: KINDS, start: 'sensored', optional: true },
    field('power.controller.currentLimitA', 180),
    field('power.controller.continuousA', 60),
    field('power.controller.resistanceMilliOhm', 2, 'Resistance'),
    field('power.controller.maxV', 12.6, 'Highest voltage'),
    field('power.controller.massG', 55, 'Mass'),
  ],
  tyre: [
    { key: 'compound', label: 'Compound', options: [], start: 'compound-soft' },
    field('drive.tyre.radiusMm', 40, 'Radius'),
    field('drive.tyre.massG', 45),
    { ...field('drive.tyre.rateNPerMm', 10), optional: true },
    {
      key: 'ring',
      label: 'Built as',
      options: RINGS.map((kind) => [kind, kind] as const),
      start: 'solid rubber',
      optional: true,
    },
  ],
  surface: [
    {
      key: 'ground',
      label: 'Ground',
      options: [
        ['hard', 'hard'],
        ['loose', 'loose'],
      ],
      start: 'hard',
    },
    field('brief.surfaces.x.mu', 0.7),
    field('brief.surfaces.x.muError', 0.1),
    field('brief.surfaces.x.rollingResistance', 0.03),
    field('brief.surfaces.x.rollingResistanceError', 0.01),
  ],
  compound: [
    field('drive.tyre.hardFactor', 1, 'On hard ground'),
    field('drive.tyre.looseFactor', 1, 'On loose ground'),
  ],
  stage: [
    { key: 'kind', label: 'Kind', options: STAGE_KINDS.map((kind) => [kind, kind] as const), start: 'spur' },
    field('drive.stages.x.efficiency', 0.95, 'Efficiency'),
  ],
  gear: [
    {
      key: 'role',
      label: 'Sits on',
      options: [
        ['pinion', 'the motor'],
        ['wheel', 'the shaft'],
      ],
      start: 'pinion',
    },
    field('drive.stages.x.pinionTeeth', 17, 'Teeth', 'teeth'),
    field('drive.stages.x.moduleMm', 0.8),
  ],
  material: [
    {
      key: 'densityGPerCm3',
      label: 'Density, g/cm³',
      quantity: 'coefficient',
      limits: { above: 0, to: 25 },
      start: 1.2,
    },
    {
      key: 'modulusMpa',
      label: 'Stiffness',
      quantity: 'stressMpa',
      limits: { above: 0, to: 1_000_000 },
      start: 2000,
    },
    {
      key: 'inPlaneStrengthMpa',
      label: 'Strength along the layers',
      quantity: 'stressMpa',
      limits: { above: 0, to: 10_000 },
      start: 45,
    },
    {
      key: 'interlayerStrengthMpa',
      label: 'Between them',
      quantity: 'stressMpa',
      limits: { above: 0, to: 10_000 },
      start: 25,
      optional: true,
    },
    {
      key: 'interlayerShearMpa',
      label: 'Shear between them',
      quantity: 'stressMpa',
      limits: { above: 0, to: 10_000 },
      start: 20,
      optional: true,
    },
    {
      key: 'strainAtBreakPct',
      label: 'Stretches by',
      quantity: 'percent',
      limits: { above: 0, to: 2000 },
      start: 5,
      optional: true,
    },
    {
      key: 'softeningC',
      label: 'Softens at',
      quantity: 'temperatureC',
      limits: { above: 23, to: 2000 },
      start: 80,
    },
    {
      key: 'wearCoefficientMm3PerNm',
      label: 'Wear',
      quantity: 'wearMm3PerNm',
      limits: { from: 0, to: 1 },
      start: 1e-5,
      optional: true,
    },
  ],
  servo: [
    field('power.loads.x.minV', 4.8),
    field('power.loads.x.maxV', 6),
    field('power.loads.x.typicalA', 0.4),
    field('power.loads.x.peakA', 2, 'Stalls at'),
    field('power.loads.x.servo.lowV', 4.8),
    field('power.loads.x.servo.lowTorqueKgcm', 5),
    { ...field('power.loads.x.servo.highV', 6), optional: true },
    { ...field('power.loads.x.servo.highTorqueKgcm', 6), optional: true },
  ],
  regulator: [
    { key: 'kind', label: 'Kind', options: RAIL_KINDS.map((kind) => [kind, kind] as const), start: 'buck' },
    { ...field('power.rails.x.setV', 6), optional: true },
    { ...field('power.rails.x.dropoutV', 0.5), optional: true },
    { ...field('power.rails.x.minInV', 5), optional: true },
    { ...field('power.rails.x.maxInV', 13), optional: true },
    field('power.rails.x.continuousA', 3),
    { ...field('power.rails.x.peakA', 5), optional: true },
    { ...field('power.rails.x.efficiency', 0.9), optional: true },
  ],
  receiver: [
    { key: 'protocol', label: 'Protocol', text: true, start: '' },
    field('power.loads.x.channels', 3, 'Channels'),
    field('power.loads.x.minV', 4),
    field('power.loads.x.maxV', 8.4),
    field('power.loads.x.typicalA', 0.05),
    field('power.loads.x.peakA', 0.1),
  ],
  transmitter: [
    { key: 'protocol', label: 'Protocol', text: true, start: '' },
    field('power.radio.transmitter.channels', 3, 'Channels'),
    field('power.radio.transmitter.rangeM', 200),
  ],
  sizeClass: [field('brief.sizeClass.massBudgetG', 2000)],
  printer: [
    field('print.printers.x.bedWidthMm', 220),
    field('print.printers.x.bedDepthMm', 220),
    field('print.printers.x.bedHeightMm', 250),
    field('print.printers.x.speedMmps', 80),
    field('print.printers.x.maxFlowMm3ps', 11),
  ],
  coupon: [],
};

/** Where the starting values come from, in a word. */
export const ORIGINS: Readonly<Partial<Record<LibraryKind, string>>> = {
  motor: 'Typical figures of each class; measure yours, or take its data sheet.',
  battery: 'Typical figures; the resistance of a cell rises with age and cold.',
  controller: 'Typical figures of each class; take the data sheet of yours.',
  tyre: 'Typical sizes; measure yours under the weight of the car.',
  surface:
    'Starting values with one standard deviation, after Wong, Theory of Ground Vehicles, ch. 1 and 2, scaled to small wheels by judgement. Your own run corrects them.',
  compound: 'Starting values by judgement: factors on the friction of the surface.',
  stage: 'Starting values for gears in good order.',
  gear: 'What lies in your box: the ratio advisor names pairs of these.',
  material: 'Typical of data sheets; test your own. Metals with what they bear under repeated bending.',
  servo: 'Typical of each class; take the data sheet of yours.',
  regulator: 'Typical of each class; take the data sheet of yours.',
  receiver: 'A receiver binds only with a transmitter of its own protocol.',
  transmitter: 'Ranges over open ground; grass, bodies and a low aerial eat half.',
  printer: 'Sizes that are usual; the speed is that of the walls, not the one on the box.',
  sizeClass: 'What a car of the scale usually weighs, ready to run with its payload.',
};
