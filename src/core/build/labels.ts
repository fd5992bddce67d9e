import type { QuantityName } from '../units/quantities';

export interface FieldLabel {
  readonly label: string;
  readonly quantity?: QuantityName;
}

/** What every field of the document is called, and in what it is measured; `*` stands for an item's id. */
const LABELS: Readonly<Record<string, FieldLabel>> = {
  'brief.surfaces.*': { label: 'Surface' },
  'brief.surfaces.*.mu': { label: 'Friction', quantity: 'coefficient' },
  'brief.surfaces.*.muError': { label: 'Friction, ±', quantity: 'coefficient' },
  'brief.surfaces.*.rollingResistance': { label: 'Rolling resistance', quantity: 'coefficient' },
  'brief.surfaces.*.rollingResistanceError': { label: 'Rolling resistance, ±', quantity: 'coefficient' },
  'brief.targetMps': { label: 'Wished speed', quantity: 'speedMps' },
  'brief.distanceM': { label: 'Distance from rest', quantity: 'distanceM' },
  'brief.timeToDistanceS': { label: 'Wished time for it', quantity: 'timeS' },
  'brief.runTimeMinutes': { label: 'Run time a pack', quantity: 'minutes' },
  'brief.payloadG': { label: 'Payload', quantity: 'massG' },
  'brief.gradePct': { label: 'Steepest climb', quantity: 'percent' },
  'brief.meanSpeedShare': { label: 'Mean speed of the wish', quantity: 'share' },
  'brief.sizeClass': { label: 'Size class' },
  'brief.sizeClass.massBudgetG': { label: 'Mass budget', quantity: 'massG' },
  'drive.motor': { label: 'Motor' },
  'drive.motor.kvRpmPerV': { label: 'Motor constant', quantity: 'motorConstant' },
  'drive.motor.resistanceMilliOhm': { label: 'Winding', quantity: 'resistanceMilliOhm' },
  'drive.motor.noLoadCurrentA': { label: 'No-load current', quantity: 'currentA' },
  'drive.motor.rotorInertiaKgM2': { label: 'Rotor inertia', quantity: 'inertiaKgM2' },
  'drive.motor.maxV': { label: 'Highest voltage of the motor', quantity: 'voltageV' },
  'drive.motor.massG': { label: 'Motor mass', quantity: 'massG' },
  'drive.motor.diameterMm': { label: 'Motor diameter', quantity: 'lengthMm' },
  'drive.motor.lengthMm': { label: 'Motor length', quantity: 'lengthMm' },
  'drive.motorCount': { label: 'Motors', quantity: 'count' },
  'drive.stages.*': { label: 'Reduction stage' },
  'drive.stages.*.kind': { label: 'Kind of stage' },
  'drive.stages.*.pinionTeeth': { label: 'Pinion teeth', quantity: 'count' },
  'drive.stages.*.wheelTeeth': { label: 'Wheel teeth', quantity: 'count' },
  'drive.stages.*.efficiency': { label: 'Stage efficiency', quantity: 'share' },
  'drive.shaftEfficiency': { label: 'Shafts and joints', quantity: 'share' },
  'drive.drivenAxles': { label: 'Driven axles' },
  'drive.tyre': { label: 'Tyre' },
  'drive.tyre.radiusMm': { label: 'Tyre radius', quantity: 'lengthMm' },
  'drive.tyre.massG': { label: 'Wheel with tyre', quantity: 'massG' },
  'drive.tyre.hardFactor': { label: 'Grip factor, hard ground', quantity: 'coefficient' },
  'drive.tyre.looseFactor': { label: 'Grip factor, loose ground', quantity: 'coefficient' },
  'power.battery': { label: 'Pack' },
  'power.battery.cells': { label: 'Cells in series', quantity: 'count' },
  'power.battery.parallel': { label: 'Strings in parallel', quantity: 'count' },
  'power.battery.cellResistanceMilliOhm': { label: 'Cell resistance', quantity: 'resistanceMilliOhm' },
  'power.battery.capacityMah': { label: 'Capacity', quantity: 'capacityMah' },
  'power.battery.maxDischargeC': { label: 'Discharge rating', quantity: 'rating' },
  'power.battery.massG': { label: 'Pack mass', quantity: 'massG' },
  'power.controller': { label: 'Controller' },
  'power.controller.currentLimitA': { label: 'Current limit', quantity: 'currentA' },
  'power.controller.continuousA': { label: 'Continuous current', quantity: 'currentA' },
  'power.controller.resistanceMilliOhm': { label: 'Controller resistance', quantity: 'resistanceMilliOhm' },
  'power.controller.maxV': { label: 'Highest voltage of the controller', quantity: 'voltageV' },
  'power.controller.massG': { label: 'Controller mass', quantity: 'massG' },
  'power.cutoffVPerCell': { label: 'Cut-off a cell', quantity: 'voltageV' },
  'chassis.wheelbaseMm': { label: 'Wheelbase', quantity: 'lengthMm' },
  'chassis.trackFrontMm': { label: 'Front track', quantity: 'lengthMm' },
  'chassis.trackRearMm': { label: 'Rear track', quantity: 'lengthMm' },
  'chassis.cgHeightMm': { label: 'Height of the centre of gravity', quantity: 'lengthMm' },
  'chassis.frontLoadShare': { label: 'Weight on the front axle', quantity: 'share' },
  'chassis.massG': { label: 'Ready to run, without payload', quantity: 'massG' },
  'chassis.cdaM2': { label: 'Drag area', quantity: 'areaM2' },
  'chassis.claFrontM2': { label: 'Downforce area, front', quantity: 'areaM2' },
  'chassis.claRearM2': { label: 'Downforce area, rear', quantity: 'areaM2' },
  'parts.items.*': { label: 'Part' },
  'parts.items.*.name': { label: 'Part' },
  'parts.items.*.kind': { label: 'Kind of part' },
};

/** Label of a path, item ids included; the last key where none is listed. */
export function labelOf(path: readonly string[]): FieldLabel {
  const direct = LABELS[path.join('.')];
  if (direct) return direct;
  const starred = LABELS[path.map((key, index) => (index === 2 && (path[1] === 'surfaces' || path[1] === 'stages' || path[1] === 'items') ? '*' : key)).join('.')];
  return starred ?? { label: path.at(-1) ?? 'Document' };
}
