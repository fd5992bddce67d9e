import { CONTROLLER_COOLING_NAMES, MOTOR_KIND_NAMES } from '../labels/heatWords';
import type { LibraryKind } from '@/core/car/library/kinds';

/** What a kind of thing in the library is called, its figures and their choices too. */
export interface LibraryKindWords {
  readonly one: string;
  readonly many: string;
  /** Where the figures come from, and what they are for. */
  readonly about: string;
  /** By the key of each figure that the library asks. */
  readonly figures: Readonly<Record<string, string>>;
  /** Choices that read otherwise than their keys. */
  readonly choices?: Readonly<Record<string, string>>;
}

export const LIBRARY_WORDS: Readonly<Record<LibraryKind, LibraryKindWords>> = {
  motor: {
    one: 'motor',
    many: 'Motors',
    about: 'Typical figures of each class; measure yours, or take its data sheet.',
    figures: {
      kind: 'Kind',
      kvRpmPerV: 'Constant',
      resistanceMilliOhm: 'Winding',
      noLoadCurrentA: 'No-load current',
      rotorInertiaKgM2: 'Rotor inertia',
      maxV: 'Highest voltage',
      massG: 'Mass',
      diameterMm: 'Diameter',
      lengthMm: 'Length',
      housing: 'Case',
    },
    choices: { ...MOTOR_KIND_NAMES, heatsink: 'with a heat sink' },
  },
  battery: {
    one: 'pack',
    many: 'Packs',
    about: 'Typical figures; the resistance of a cell rises with age and cold.',
    figures: {
      cells: 'Cells in series',
      parallel: 'Strings in parallel',
      capacityMah: 'Capacity',
      cellResistanceMilliOhm: 'Cell resistance',
      maxDischargeC: 'Discharge rating',
      massG: 'Mass',
    },
  },
  controller: {
    one: 'controller',
    many: 'Controllers',
    about: 'Typical figures of each class; take the data sheet of yours.',
    figures: {
      kind: 'Kind',
      currentLimitA: 'Current limit',
      continuousA: 'Continuous current',
      resistanceMilliOhm: 'Resistance',
      maxV: 'Highest voltage',
      massG: 'Mass',
      cooling: 'Cooling',
      limitC: 'Shuts down at',
    },
    choices: { ...MOTOR_KIND_NAMES, ...CONTROLLER_COOLING_NAMES },
  },
  tyre: {
    one: 'tyre',
    many: 'Tyres',
    about: 'Typical sizes; measure yours under the weight of the car.',
    figures: {
      compound: 'Compound',
      radiusMm: 'Radius',
      massG: 'Wheel with tyre',
      rateNPerMm: 'Tyre rate',
      ring: 'Built as',
    },
  },
  surface: {
    one: 'surface',
    many: 'Surfaces',
    about:
      'Starting values with one standard deviation, after Wong, Theory of Ground Vehicles, ch. 1 and 2, scaled to small wheels by judgement. Your own run corrects them.',
    figures: {
      ground: 'Ground',
      mu: 'Friction',
      muError: 'Friction, ±',
      rollingResistance: 'Rolling resistance',
      rollingResistanceError: 'Rolling resistance, ±',
    },
  },
  compound: {
    one: 'compound',
    many: 'Tyre compounds',
    about: 'Starting values by judgement: factors on the friction of the surface.',
    figures: { hardFactor: 'On hard ground', looseFactor: 'On loose ground' },
  },
  stage: {
    one: 'stage',
    many: 'Reduction stages',
    about: 'Starting values for gears in good order.',
    figures: { kind: 'Kind', efficiency: 'Efficiency' },
  },
  gear: {
    one: 'gear',
    many: 'Gears at hand',
    about: 'What lies in your box: the ratio advisor names pairs of these.',
    figures: { role: 'Sits on', teeth: 'Teeth', moduleMm: 'Module' },
    choices: { pinion: 'the motor', wheel: 'the shaft' },
  },
  belt: {
    one: 'belt',
    many: 'Toothed belts',
    about: 'Usual lengths of endless belts: a stage takes pitch, teeth and width of one.',
    figures: { profile: 'Form', pitchMm: 'Pitch', teeth: 'Teeth', widthMm: 'Width' },
    choices: { curvilinear: 'round teeth', trapezoidal: 'straight teeth' },
  },
  bearing: {
    one: 'bearing',
    many: 'Bearings',
    about:
      'Usual sizes with the middle of the normal clearance of ISO 5753-1 and static loads typical of data sheets; plain ones by judgement.',
    figures: {
      boreMm: 'Bore',
      outerMm: 'Outside',
      widthMm: 'Width',
      playMm: 'Play across',
      staticN: 'Static load',
    },
  },
  material: {
    one: 'material',
    many: 'Materials',
    about: 'Typical of data sheets; test your own. Metals with what they bear under repeated bending.',
    figures: {
      densityGPerCm3: 'Density in g/cm³',
      modulusMpa: 'Stiffness',
      inPlaneStrengthMpa: 'Strength along the layers',
      interlayerStrengthMpa: 'Between them',
      interlayerShearMpa: 'Shear between them',
      strainAtBreakPct: 'Stretches by',
      softeningC: 'Softens at',
      wearCoefficientMm3PerNm: 'Wear',
    },
  },
  servo: {
    one: 'servo',
    many: 'Servos',
    about: 'Typical of each class; take the data sheet of yours.',
    figures: {
      minV: 'Needs at least',
      maxV: 'Takes at most',
      typicalA: 'Draws as a rule',
      peakA: 'Stalls at',
      lowV: 'Data sheet, lower volts',
      lowTorqueKgcm: 'Torque there',
      highV: 'Data sheet, higher volts',
      highTorqueKgcm: 'Torque at these',
    },
  },
  regulator: {
    one: 'regulator',
    many: 'Regulators',
    about: 'Typical of each class; take the data sheet of yours.',
    figures: {
      kind: 'Kind',
      setV: 'Gives',
      dropoutV: 'Needs above that',
      minInV: 'Starts at',
      maxInV: 'Most at its input',
      continuousA: 'For long',
      peakA: 'At the peak',
      efficiency: 'Regulator efficiency',
    },
  },
  receiver: {
    one: 'receiver',
    many: 'Receivers',
    about: 'A receiver binds only with a transmitter of its own protocol.',
    figures: {
      protocol: 'Protocol',
      channels: 'Channels',
      minV: 'Needs at least',
      maxV: 'Takes at most',
      typicalA: 'Draws as a rule',
      peakA: 'Draws at the peak',
    },
  },
  transmitter: {
    one: 'transmitter',
    many: 'Transmitters',
    about: 'Ranges over open ground; grass, bodies and a low aerial eat half.',
    figures: { protocol: 'Protocol', channels: 'Channels', rangeM: 'Range' },
  },
  sizeClass: {
    one: 'size class',
    many: 'Size classes',
    about: 'What a car of the scale usually weighs, ready to run with its payload.',
    figures: { massBudgetG: 'Mass budget' },
  },
  printer: {
    one: 'printer',
    many: 'Printers',
    about: 'Sizes that are usual; the speed is that of the walls, not the one on the box.',
    figures: {
      bedWidthMm: 'Bed, wide',
      bedDepthMm: 'Bed, deep',
      bedHeightMm: 'Prints as high as',
      speedMmps: 'Print speed',
      maxFlowMm3ps: 'Hot end melts',
    },
  },
  coupon: {
    one: 'test piece',
    many: 'Test pieces',
    about: 'A printed piece as it was read.',
    figures: {},
  },
};
