import type { Refusals } from './refusals';

export const ROTATION_REFUSALS: Refusals<'rotation'> = {
  'rotation.sameAxis': ({ axis, other }) => [
    `the shaft before it already lies along ${axis}`,
    `send the bevel to ${other}`,
  ],
  'rotation.endsAlong': () => [
    'the axle ends along the car, and a wheel turns across it',
    'add a bevel to y',
  ],
};

export const TRACE_REFUSALS: Refusals<'trace'> = {
  'trace.tooShort': () => ['holds fewer than two points', 'give a start and an end'],
  'trace.unequal': ({ listCount, tSCount }) => [
    `holds ${listCount} values for ${tSCount} times`,
    'give one for each time',
  ],
  'trace.start': () => ['must be 0', 'let the trace begin at 0 s'],
  'trace.notAscending': () => ['must be later than the one before', 'give the times in order'],
};

export const BUDGET_REFUSALS: Refusals<'budget'> = {
  'budget.packsName': ({ battery }) => [`"${battery}" is the pack's own name`, 'call it something else'],
  'budget.twice': ({ id }) => [`"${id}" stands there twice`, 'give each rail and load a name of its own'],
  'budget.noSuchFeed': ({ from }) => [`there is no rail "${from}"`, 'name the battery or one of the rails'],
  'budget.ring': ({ id }) => [`"${id}" feeds itself`, 'let one rail of the ring hang on the battery'],
  'budget.noSuchRail': ({ rail }) => [`there is no rail "${rail}"`, 'name the battery or one of the rails'],
};

export const BRAKE_REFUSALS: Refusals<'brake'> = {
  'brake.notSlower': ({ toMps }) => [`must be over ${toMps}`, 'slow down to less than it begins with'],
  'brake.shareAndTorque': () => ['stands beside motorNm', 'give the one or the other'],
  'brake.oneAxle': () => ['is for a car with all wheels driven', 'leave it out'],
};

export const SITE_REFUSALS: Refusals<'site'> = {
  'site.margins': ({ marginsM }) => [
    `must be over both end margins, ${marginsM} m`,
    'give a longer place or shorter margins',
  ],
};

export const LAP_REFUSALS: Refusals<'lap'> = {
  'lap.oneForm': () => ['must be given, or pointsM in its place', 'give the one or the other'],
  'lap.samePoint': () => ['is the point before it', 'leave one of the two out'],
};

export const ENDURANCE_REFUSALS: Refusals<'endurance'> = {
  'endurance.cycleSteps': ({ mostSteps }) => [
    `asks for more than ${mostSteps} steps`,
    'make the cruise or the rest longer',
  ],
  'endurance.traceSteps': ({ mostSteps }) => [
    `asks for more than ${mostSteps} steps`,
    'give a trace of longer stretches',
  ],
  'endurance.airOverLimit': ({ ambientC, reached }) => [
    `${ambientC} is at or over a limit, ${reached}`,
    'give limits above the temperature of the air',
  ],
};

export const STABILITY_REFUSALS: Refusals<'stability'> = {
  'stability.height': ({ h }) => [`lies ${h} over the ground`, 'give a height over it'],
  'stability.wheelbase': ({ x, wheelbaseMm }) => [
    `lies at ${x}, outside the wheelbase`,
    `give between 0 and −${wheelbaseMm}, behind the front axle`,
  ],
  'stability.track': ({ y, half }) => [`lies ${y} to the side, outside the track`, `give less than ${half}`],
};

export const GEAR_MESH_REFUSALS: Refusals<'gearMesh'> = {
  'gearMesh.noAngle': () => [
    'with the wheel’s leaves no working pressure angle',
    'shift the gears less inward',
  ],
  'gearMesh.modules': ({ other, normal, pitch, otherPitch }) => [
    `is ${other} against the pinion's ${normal}, and such gears do not mesh`,
    `take a wheel of module ${normal} (diametral pitch ${pitch}), or a pinion of module ${other} (${otherPitch})`,
  ],
  'gearMesh.tips': () => [
    'leaves the tips below the base circle, where there is no involute',
    'shift it outward, or give it more teeth',
  ],
  'gearMesh.slot': ({ slotMinMm, slotMaxMm }) => [
    `${slotMinMm} lies over slotMaxMm, ${slotMaxMm}`,
    'give the shorter centre distance first',
  ],
};

export const JOINT_REFUSALS: Refusals<'joint'> = {
  'joint.flat': ({ f, d }) => [
    `${f} cuts to the middle of the shaft of ${d}`,
    'give less than half the shaft',
  ],
  'joint.hub': ({ outer, d }) => [
    `${outer} is no more than the shaft of ${d}`,
    'give the outside of the hub',
  ],
};

export const SERVO_REFUSALS: Refusals<'servo'> = {
  'servo.twice': ({ volts }) => [`${volts} V stands there twice`, 'give each voltage once'],
};

export const YAW_REFUSALS: Refusals<'yaw'> = {
  'yaw.quick': ({ durationS, mostSteps }) => [
    `makes a car so quick beside its mass and speed that ${durationS} take over ${mostSteps} steps`,
    'lower the cornering stiffness, or raise the speed',
  ],
  'yaw.samples': ({ mostSamples }) => [
    `makes more than ${mostSamples} samples of the run`,
    'give a longer sample time or a shorter run',
  ],
};

export const TRACTION_REFUSALS: Refusals<'traction'> = {
  'traction.noFreeWheel': () => [
    'with all wheels driven nothing tells the speed of the ground',
    'give controller.mostAccelMps2, the most that the ground lets the car gain, or drive one axle',
  ],
  'traction.inertia': () => ['nothing that turns has an inertia', 'give that of the wheels or of the rotor'],
};

export const DRIVE_SWEEP_REFUSALS: Refusals<'driveSweep'> = {
  'driveSweep.combinations': ({ count, mostRows }) => [
    `with the packs and ratios make ${count} combinations, over ${mostRows}`,
    'take fewer motors, packs or ratios',
  ],
  'driveSweep.range': ({ from, to }) => [
    `${from} lies above ratios.to, ${to}: the range is empty`,
    'put the smaller ratio into from',
  ],
  'driveSweep.ratios': ({ mostRows }) => [
    `makes over ${mostRows} ratios`,
    'take a larger step or a shorter range',
  ],
};

export const OUTLINE_REFUSALS: Refusals<'outline'> = {
  'outline.noWidth': () => ['is missing, and a solid needs it', 'give the width of the gear'],
  'outline.teeth': () => [
    'are so few that the root passes the middle',
    'take more teeth or a smaller module',
  ],
  'outline.noFlank': () => ['leaves no flank between root and tip', 'shift it outward'],
  'outline.thick': () => [
    'makes the teeth so thick that they run into each other at the root',
    'shift it less',
  ],
  'outline.hex': ({ corner, root }) => [
    `reaches ${corner} out, past the root at ${root}`,
    'take a smaller hex or more teeth',
  ],
  'outline.bore': ({ boreMm, root }) => [
    `of ${boreMm} meets the root at ${root} from the middle`,
    'take a smaller bore or more teeth',
  ],
  'outline.flat': ({ flatDepthMm, boreMm }) => [
    `${flatDepthMm} leaves nothing of the bore of ${boreMm}`,
    'cut less deep',
  ],
};

export const HEAT_REFUSALS: Refusals<'heat'> = {
  'heat.noReading': () => ['holds no temperature', 'measure the case once after a few minutes of driving'],
};

export const EXPLORER_REFUSALS: Refusals<'explorer'> = {
  'explorer.combinations': ({ total, mostRows }) => [
    `makes ${total} combinations, over ${mostRows}`,
    'take a larger step or a shorter range of ratios',
  ],
};
