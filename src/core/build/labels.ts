import type { Problem } from '../errors';
import type { QuantityName } from '../units/quantities';

/** Bounds of a number, as the schema of the document has them. */
export interface Limits {
  readonly above?: number;
  readonly from?: number;
  readonly below?: number;
  readonly to?: number;
}

export interface FieldLabel {
  readonly label: string;
  readonly quantity?: QuantityName;
  readonly limits?: Limits;
}

/** What every field of the document is called, and in what it is measured; `*` stands for an item's id. */
export const LABELS: Readonly<Record<string, FieldLabel>> = {
  'brief.surfaces.*': { label: 'Surface' },
  'brief.surfaces.*.mu': { label: 'Friction', quantity: 'coefficient', limits: { from: 0, to: 5 } },
  'brief.surfaces.*.muError': { label: 'Friction, ±', quantity: 'coefficient', limits: { from: 0, to: 5 } },
  'brief.surfaces.*.rollingResistance': { label: 'Rolling resistance', quantity: 'coefficient', limits: { from: 0, to: 5 } },
  'brief.surfaces.*.rollingResistanceError': { label: 'Rolling resistance, ±', quantity: 'coefficient', limits: { from: 0, to: 5 } },
  'brief.targetMps': { label: 'Wished speed', quantity: 'speedMps', limits: { above: 0, to: 150 } },
  'brief.distanceM': { label: 'Distance from rest', quantity: 'distanceM', limits: { above: 0, to: 10_000 } },
  'brief.timeToDistanceS': { label: 'Wished time for it', quantity: 'timeS', limits: { above: 0, to: 3600 } },
  'brief.runTimeMinutes': { label: 'Run time a pack', quantity: 'minutes', limits: { above: 0, to: 1440 } },
  'brief.payloadG': { label: 'Payload', quantity: 'massG', limits: { from: 0, to: 100_000 } },
  'brief.gradePct': { label: 'Steepest climb', quantity: 'percent', limits: { from: -100, to: 100 } },
  'brief.meanSpeedShare': { label: 'Mean speed of the wish', quantity: 'share', limits: { above: 0, to: 1 } },
  'brief.sizeClass': { label: 'Size class' },
  'brief.sizeClass.massBudgetG': { label: 'Mass budget', quantity: 'massG', limits: { above: 0 } },
  'brief.dropHeightM': { label: 'Lands from', quantity: 'distanceM', limits: { above: 0, to: 20 } },
  'brief.kerbMps': { label: 'Meets a kerb at', quantity: 'speedMps', limits: { above: 0, to: 150 } },
  'suspension.stopMm': { label: 'Travel to stop a landing', quantity: 'lengthMm', limits: { above: 0, to: 1000 } },
  'suspension.kerbStopMm': { label: 'Gives way at a kerb', quantity: 'lengthMm', limits: { above: 0, to: 1000 } },
  'drive.motor': { label: 'Motor' },
  'drive.motor.kvRpmPerV': { label: 'Motor constant', quantity: 'motorConstant', limits: { above: 0, to: 100_000 } },
  'drive.motor.resistanceMilliOhm': { label: 'Winding', quantity: 'resistanceMilliOhm', limits: { above: 0, to: 1_000_000 } },
  'drive.motor.noLoadCurrentA': { label: 'No-load current', quantity: 'currentA', limits: { from: 0, to: 1000 } },
  'drive.motor.rotorInertiaKgM2': { label: 'Rotor inertia', quantity: 'inertiaKgM2', limits: { from: 0, to: 1 } },
  'drive.motor.maxV': { label: 'Highest voltage of the motor', quantity: 'voltageV', limits: { above: 0, to: 1000 } },
  'drive.motor.massG': { label: 'Motor mass', quantity: 'massG', limits: { above: 0, to: 100_000 } },
  'drive.motor.diameterMm': { label: 'Motor diameter', quantity: 'lengthMm', limits: { above: 0, to: 1000 } },
  'drive.motor.lengthMm': { label: 'Motor length', quantity: 'lengthMm', limits: { above: 0, to: 1000 } },
  'drive.motor.housing': { label: 'Motor case' },
  'drive.motorCount': { label: 'Motors', quantity: 'count', limits: { from: 1, to: 8 } },
  'drive.stages.*': { label: 'Reduction stage' },
  'drive.stages.*.kind': { label: 'Kind of stage' },
  'drive.stages.*.pinionTeeth': { label: 'Pinion teeth', quantity: 'count', limits: { from: 1, to: 1000 } },
  'drive.stages.*.wheelTeeth': { label: 'Wheel teeth', quantity: 'count', limits: { from: 1, to: 1000 } },
  'drive.stages.*.efficiency': { label: 'Stage efficiency', quantity: 'share', limits: { above: 0, to: 1 } },
  'drive.stages.*.moduleMm': { label: 'Module', quantity: 'lengthMm', limits: { above: 0, to: 20 } },
  'drive.stages.*.faceWidthMm': { label: 'Face width', quantity: 'lengthMm', limits: { above: 0, to: 500 } },
  'drive.stages.*.helixDeg': { label: 'Helix', quantity: 'angleDeg', limits: { from: -45, to: 45 } },
  'drive.stages.*.backlashMm': { label: 'Backlash', quantity: 'lengthMm', limits: { from: 0, to: 5 } },
  'drive.stages.*.slotMinMm': { label: 'Slot, closest shafts', quantity: 'lengthMm', limits: { above: 0, to: 1000 } },
  'drive.stages.*.slotMaxMm': { label: 'Slot, furthest shafts', quantity: 'lengthMm', limits: { above: 0, to: 1000 } },
  'drive.stages.*.pinion': { label: 'Pinion as it is made' },
  'drive.stages.*.pinion.boreMm': { label: 'Pinion bore', quantity: 'lengthMm', limits: { above: 0, to: 500 } },
  'drive.stages.*.pinion.flatDepthMm': { label: 'Pinion flat, depth', quantity: 'lengthMm', limits: { above: 0, to: 500 } },
  'drive.stages.*.pinion.hexAcrossFlatsMm': { label: 'Pinion hex, across flats', quantity: 'lengthMm', limits: { above: 0, to: 500 } },
  'drive.stages.*.wheel': { label: 'Wheel as it is made' },
  'drive.stages.*.wheel.boreMm': { label: 'Wheel bore', quantity: 'lengthMm', limits: { above: 0, to: 500 } },
  'drive.stages.*.wheel.flatDepthMm': { label: 'Wheel flat, depth', quantity: 'lengthMm', limits: { above: 0, to: 500 } },
  'drive.stages.*.wheel.hexAcrossFlatsMm': { label: 'Wheel hex, across flats', quantity: 'lengthMm', limits: { above: 0, to: 500 } },
  'drive.stages.*.pinion.shift': { label: 'Pinion profile shift', quantity: 'coefficient', limits: { from: -1, to: 2 } },
  'drive.stages.*.pinion.material': { label: 'Pinion made of' },
  'drive.stages.*.pinion.fillFactor': { label: 'Pinion share filled', quantity: 'share', limits: { above: 0, to: 1 } },
  'drive.stages.*.pinion.hubLengthMm': { label: 'Pinion length on the shaft', quantity: 'lengthMm', limits: { above: 0, to: 500 } },
  'drive.stages.*.pinion.interferenceMm': { label: 'Pinion bore under the shaft by', quantity: 'lengthMm', limits: { above: 0, to: 5 } },
  'drive.stages.*.pinion.screwForceN': { label: 'Pinion set screw presses with', quantity: 'forceN', limits: { above: 0, to: 20_000 } },
  'drive.stages.*.pinion.pinMm': { label: 'Pinion cross pin', quantity: 'lengthMm', limits: { above: 0, to: 50 } },
  'drive.stages.*.wheel.shift': { label: 'Wheel profile shift', quantity: 'coefficient', limits: { from: -1, to: 2 } },
  'drive.stages.*.wheel.material': { label: 'Wheel made of' },
  'drive.stages.*.wheel.fillFactor': { label: 'Wheel share filled', quantity: 'share', limits: { above: 0, to: 1 } },
  'drive.stages.*.wheel.hubLengthMm': { label: 'Wheel length on the shaft', quantity: 'lengthMm', limits: { above: 0, to: 500 } },
  'drive.stages.*.wheel.interferenceMm': { label: 'Wheel bore under the shaft by', quantity: 'lengthMm', limits: { above: 0, to: 5 } },
  'drive.stages.*.wheel.screwForceN': { label: 'Wheel set screw presses with', quantity: 'forceN', limits: { above: 0, to: 20_000 } },
  'drive.stages.*.wheel.pinMm': { label: 'Wheel cross pin', quantity: 'lengthMm', limits: { above: 0, to: 50 } },
  'drive.stages.*.on': { label: 'Serves' },
  'drive.stages.*.front': { label: 'Bevel at the front' },
  'drive.stages.*.front.pinion': { label: 'Bevel at the front, gear along the car' },
  'drive.stages.*.front.ring': { label: 'Bevel at the front, gear across the car' },
  'drive.stages.*.rear': { label: 'Bevel at the rear' },
  'drive.stages.*.rear.pinion': { label: 'Bevel at the rear, gear along the car' },
  'drive.stages.*.rear.ring': { label: 'Bevel at the rear, gear across the car' },
  'drive.motorsAt': { label: 'Motors for' },
  'drive.mounting': { label: 'Motors sit' },
  'drive.motorAxis': { label: 'Motor lies' },
  'drive.reversed': { label: 'Motor leads swapped' },
  'drive.frontReversed': { label: 'Front motor leads swapped' },
  'drive.steering': { label: 'Turns by' },
  'drive.frontDifferential': { label: 'Front differential' },
  'drive.rearDifferential': { label: 'Rear differential' },
  'drive.biasRatio': { label: 'Torque bias', quantity: 'coefficient', limits: { above: 1, to: 20 } },
  'drive.clutchNm': { label: 'Slip clutch gives at', quantity: 'torqueNm', limits: { above: 0, to: 1000 } },
  'drive.currentLimitA': { label: 'Current limit by hand', quantity: 'currentA', limits: { above: 0, to: 5000 } },
  'drive.throttleLimit': { label: 'Throttle limit', quantity: 'share', limits: { above: 0, to: 1 } },
  'drive.heat': { label: 'Heat' },
  'drive.heat.housing': { label: 'Motor case' },
  'drive.heat.body': { label: 'Body over the motor' },
  'drive.heat.ambientC': { label: 'Air', quantity: 'temperatureC', limits: { from: -50, to: 400 } },
  'drive.heat.windingLimitC': { label: 'Winding limit', quantity: 'temperatureC', limits: { from: -50, to: 400 } },
  'drive.heat.caseLimitC': { label: 'The limit of the motor case' },
  'drive.heat.pinionJoint': { label: 'Pinion held by' },
  'drive.heat.mountMaterial': { label: 'Motor mount' },
  'drive.heat.preset': { label: 'How it is driven' },
  'drive.heat.cruiseMps': { label: 'Cruise at', quantity: 'speedMps', limits: { above: 0, to: 150 } },
  'drive.heat.cruiseS': { label: 'Hold it for', quantity: 'timeS', limits: { from: 0, to: 7200 } },
  'drive.heat.restS': { label: 'Then stand for', quantity: 'timeS', limits: { from: 0, to: 7200 } },
  'drive.heat.readings': { label: 'Temperature readings' },
  'drive.heat.calibration': { label: 'Calibrated cooling' },
  'drive.heat.calibration.factor': { label: 'Calibrated cooling', quantity: 'coefficient', limits: { above: 0, to: 1000 } },
  'drive.gearHours': { label: 'Gears should last', quantity: 'hours', limits: { above: 0, to: 10_000 } },
  'drive.shafts': { label: 'Shafts' },
  'drive.shafts.*': { label: 'Shaft' },
  'drive.shafts.*.kind': { label: 'Kind of shaft' },
  'drive.shafts.*.diameterMm': { label: 'Shaft diameter', quantity: 'lengthMm', limits: { above: 0, to: 200 } },
  'drive.shafts.*.boreMm': { label: 'Bore of the shaft', quantity: 'lengthMm', limits: { from: 0, to: 200 } },
  'drive.shafts.*.material': { label: 'Shaft made of' },
  'drive.shafts.*.overhangMm': { label: 'Bearing to wheel', quantity: 'lengthMm', limits: { from: 0, to: 1000 } },
  'drive.shafts.*.spanMm': { label: 'Between the bearings', quantity: 'lengthMm', limits: { above: 0, to: 5000 } },
  'drive.shafts.*.halves': { label: 'Bearing in the middle' },
  'drive.shafts.*.behind': { label: 'Turned by' },
  'drive.wheelHex': { label: 'Wheel hex' },
  'drive.wheelHex.acrossFlatsMm': { label: 'Wheel hex, across flats', quantity: 'lengthMm', limits: { above: 0, to: 100 } },
  'drive.wheelHex.lengthMm': { label: 'Wheel hex, depth', quantity: 'lengthMm', limits: { above: 0, to: 200 } },
  'drive.wheelHex.material': { label: 'Wheel made of' },
  'drive.tyreHold': { label: 'Tyre on its rim' },
  'drive.tyreHold.by': { label: 'Tyre held by' },
  'drive.tyreHold.rimRadiusMm': { label: 'Rim radius', quantity: 'lengthMm', limits: { above: 0, to: 1000 } },
  'drive.tyreHold.beadStretch': { label: 'Bead stretched by', quantity: 'share', limits: { above: 0, to: 1 } },
  'drive.tyreHold.peelNPerMm': { label: 'Glue line bears, a millimetre', quantity: 'forceN', limits: { above: 0, to: 1000 } },
  'drive.shaftEfficiency': { label: 'Shafts and joints', quantity: 'share', limits: { above: 0, to: 1 } },
  'drive.drivenAxles': { label: 'Driven axles' },
  'drive.tyre': { label: 'Tyre' },
  'drive.tyre.radiusMm': { label: 'Tyre radius', quantity: 'lengthMm', limits: { above: 0, to: 1000 } },
  'drive.tyre.massG': { label: 'Wheel with tyre', quantity: 'massG', limits: { above: 0, to: 100_000 } },
  'drive.tyre.ring': { label: 'Tyre built as' },
  'drive.tyre.hardFactor': { label: 'Grip factor, hard ground', quantity: 'coefficient', limits: { above: 0, to: 5 } },
  'drive.tyre.looseFactor': { label: 'Grip factor, loose ground', quantity: 'coefficient', limits: { above: 0, to: 5 } },
  'power.battery': { label: 'Pack' },
  'power.battery.cells': { label: 'Cells in series', quantity: 'count', limits: { from: 1, to: 30 } },
  'power.battery.parallel': { label: 'Strings in parallel', quantity: 'count', limits: { from: 1, to: 30 } },
  'power.battery.cellResistanceMilliOhm': { label: 'Cell resistance', quantity: 'resistanceMilliOhm', limits: { from: 0, to: 10_000 } },
  'power.battery.capacityMah': { label: 'Capacity', quantity: 'capacityMah', limits: { above: 0, to: 1_000_000 } },
  'power.battery.maxDischargeC': { label: 'Discharge rating', quantity: 'rating', limits: { above: 0, to: 500 } },
  'power.battery.massG': { label: 'Pack mass', quantity: 'massG', limits: { above: 0, to: 100_000 } },
  'power.controller': { label: 'Controller' },
  'power.controller.currentLimitA': { label: 'Current limit', quantity: 'currentA', limits: { above: 0, to: 5000 } },
  'power.controller.continuousA': { label: 'Continuous current', quantity: 'currentA', limits: { above: 0, to: 5000 } },
  'power.controller.resistanceMilliOhm': { label: 'Controller resistance', quantity: 'resistanceMilliOhm', limits: { from: 0, to: 10_000 } },
  'power.controller.maxV': { label: 'Highest voltage of the controller', quantity: 'voltageV', limits: { above: 0, to: 1000 } },
  'power.controller.massG': { label: 'Controller mass', quantity: 'massG', limits: { above: 0, to: 100_000 } },
  'power.cutoffVPerCell': { label: 'Cut-off a cell', quantity: 'voltageV', limits: { above: 0, to: 4.2 } },
  'chassis.wheelbaseMm': { label: 'Wheelbase', quantity: 'lengthMm', limits: { above: 0, to: 5000 } },
  'chassis.trackFrontMm': { label: 'Front track', quantity: 'lengthMm', limits: { above: 0, to: 5000 } },
  'chassis.trackRearMm': { label: 'Rear track', quantity: 'lengthMm', limits: { above: 0, to: 5000 } },
  'chassis.cgHeightMm': { label: 'Height of the centre of gravity', quantity: 'lengthMm', limits: { above: 0, to: 2000 } },
  'chassis.frontLoadShare': { label: 'Weight on the front axle', quantity: 'share', limits: { above: 0, below: 1 } },
  'chassis.massG': { label: 'Ready to run, without payload', quantity: 'massG', limits: { above: 0, to: 200_000 } },
  'chassis.cdaM2': { label: 'Drag area', quantity: 'areaM2', limits: { from: 0, to: 5 } },
  'chassis.claFrontM2': { label: 'Downforce area, front', quantity: 'areaM2', limits: { from: -5, to: 5 } },
  'chassis.claRearM2': { label: 'Downforce area, rear', quantity: 'areaM2', limits: { from: -5, to: 5 } },
  'parts.items.*': { label: 'Part' },
  'parts.items.*.name': { label: 'Part' },
  'parts.items.*.kind': { label: 'Kind of part' },
};

/** Lists of the document whose items go by their ids. */
const LISTS: ReadonlySet<string> = new Set(['surfaces', 'stages', 'shafts', 'rails', 'loads', 'wires', 'items']);

/** Label of a path, item ids included; the last key where none is listed. */
export function labelOf(path: readonly string[]): FieldLabel {
  const direct = LABELS[path.join('.')];
  if (direct) return direct;
  const starred = LABELS[path.map((key, index) => (index === 2 && LISTS.has(path[1]!) ? '*' : key)).join('.')];
  return starred ?? { label: path.at(-1) ?? 'Document' };
}

/** A refusal with the name that its field has on the page, from the place in the document that the operation's fields belong to. */
export function refusalInWords({ path, message, remedy }: Problem, place: readonly string[]): string {
  const { label } = labelOf([...place, ...path.split('.')]);
  return `${label.charAt(0).toLowerCase()}${label.slice(1)}, ${message}${remedy ? `: ${remedy}` : ''}`;
}
