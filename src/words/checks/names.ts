import type { Check } from '@/core/verdict/engine/check';
import { linkName } from './links';
import { familyOf } from '@/core/verdict/engine/family';

/** What a check is called: in full, and on the stripe. */
export interface CheckName {
  readonly title: string;
  readonly short: string;
}

/** Names of the checks by their ids; of the things of a build by their family. */
export const CHECK_NAMES: Readonly<Record<string, CheckName>> = {
  'brief.mass': { title: 'Mass against the budget', short: 'mass' },
  'brief.charge': { title: 'Minutes per pack', short: 'run time' },
  'brief.cost': { title: 'Cost against the budget', short: 'cost' },
  'drive.moves': { title: 'Pull at a standstill', short: 'pull' },
  'drive.speed': { title: 'Top speed', short: 'top speed' },
  'drive.time': { title: 'Time to the distance', short: 'time' },
  'drive.ratio': { title: 'Ratio', short: 'ratio' },
  'drive.grip': { title: 'Grip at the wished speed', short: 'grip' },
  'drive.heat': { title: 'Motor case over a pack', short: 'heat' },
  'drive.winding': { title: 'Winding over a pack', short: 'winding' },
  'drive.controllerHeat': { title: 'Controller over a pack', short: 'controller heat' },
  'drive.hold': { title: 'Motor held at full throttle', short: 'held motor' },
  'drive.place': { title: 'Room for the pass', short: 'place' },
  'drive.start': { title: 'Starts against its friction', short: 'start' },
  'drive.brake': { title: 'Which axle locks first', short: 'brake' },
  'drive.rotation': { title: 'Axles agree', short: 'axle match' },
  'gears.mesh': { title: 'Gear mesh', short: 'mesh' },
  'gears.tooth': { title: 'Weakest tooth', short: 'tooth' },
  'gears.opening': { title: 'Mount of the gears', short: 'gear mount' },
  'gears.assembly': { title: 'Planets go in', short: 'planets' },
  'belt.teeth': { title: 'Teeth of the belt', short: 'belt teeth' },
  'belt.skip': { title: 'Belt stays in its teeth', short: 'belt skips' },
  'gears.wear': { title: 'Gear wear', short: 'gear wear' },
  'joint.pinion': { title: 'Pinion on its shaft', short: 'pinion joint' },
  'joint.wheel': { title: 'Wheel on its hex', short: 'wheel hex' },
  'shaft.strength': { title: 'Shafts under load', short: 'shafts' },
  'shaft.whirl': { title: 'Long shaft at speed', short: 'shaft whirl' },
  'bench.balance': { title: 'Wheel balance', short: 'balance' },
  'tyre.burst': { title: 'Tyre at its fastest', short: 'tyre burst' },
  'power.volts': { title: 'Charged pack', short: 'charged' },
  'power.controller': { title: 'Controller over the duty', short: 'controller' },
  'power.pack': { title: 'Peak current of the pack', short: 'pack peak' },
  'power.sag': { title: 'Pack under load at 30 %', short: 'pack at 30 %' },
  'power.radio': { title: 'Radio link', short: 'radio' },
  'power.failsafe': { title: 'Fail-safe list', short: 'fail-safe' },
  'power.wiring': { title: 'Plugs and wires', short: 'wiring' },
  'chassis.tip': { title: 'Slides or rolls over', short: 'roll-over' },
  'chassis.lift': { title: 'Wheels stay down', short: 'axle lift' },
  'chassis.yaw': { title: 'Stays straight at speed', short: 'steady' },
  'chassis.light': { title: 'Axles keep their load', short: 'light axle' },
  'chassis.air': { title: 'Drag and lift known', short: 'air' },
  'chassis.grip': { title: 'Friction measured', short: 'friction' },
  'chassis.straight': { title: 'Runs straight', short: 'straight' },
  'chassis.side': { title: 'Left and right', short: 'left share' },
  'fit.train': { title: 'Gears meet where they stand', short: 'gear places' },
  'fit.clearance': { title: 'Nothing touches, enough under it', short: 'room' },
  'suspension.sag': { title: 'Sag at rest', short: 'sag' },
  'suspension.landing': { title: 'Landing without bottoming', short: 'landing' },
  'suspension.damping': { title: 'Damping', short: 'damping' },
  'suspension.lock': { title: 'Travel without locking', short: 'travel reached' },
  'suspension.bump': { title: 'Bump steer', short: 'bump steer' },
  'aids.sign': { title: 'Gyro steers against the skid', short: 'gyro direction' },
  'steering.effort': { title: 'Steering servo under load', short: 'steering' },
  'fit.play': { title: 'Free play at the rim', short: 'play' },
  'aids.yaw': { title: 'Gyro stays calm', short: 'gyro' },
  'aids.traction': { title: 'Slip sensor fine enough', short: 'slip sensor' },
  'print.bed': { title: 'Every part fits a bed', short: 'bed' },
  'print.queue': { title: 'Parts owed by the printer', short: 'owed' },
  'field.goal': { title: 'The wish proven by measurement', short: 'measured' },
  'field.band': { title: 'Measured inside what was predicted', short: 'off by' },
  'field.owed': { title: 'Runs owed', short: 'owed' },
  'learn.open': { title: 'Failures not explained', short: 'open' },
  'learn.fix': { title: 'Fixes proven by hours', short: 'unproven' },
  'learn.due': { title: 'Parts due for a look', short: 'due' },
};

type Named = Pick<Check, 'id' | 'named'>;

/** Names of what a family's checks are about, from the name of the thing itself. */
const FAMILY_NAMES: Readonly<Record<string, (named: string) => CheckName>> = {
  fasteners: (named) => ({ title: `${named}, as a group`, short: named.toLowerCase() }),
  links: linkName,
  parts: (named) => ({ title: named, short: named.split(',')[0]!.toLowerCase() }),
  'power.rail': (named) => ({ title: named, short: named }),
  'power.load': (named) => ({ title: named, short: named }),
  'power.servo': (named) => ({ title: `${named}, torque`, short: `${named} torque` }),
};

export const hasName = (id: string): boolean =>
  CHECK_NAMES[id] !== undefined || FAMILY_NAMES[id] !== undefined;

const nameOf = ({ id, named = id }: Named): CheckName =>
  CHECK_NAMES[id] ?? FAMILY_NAMES[familyOf(id)]?.(named) ?? { title: named, short: named };

export const checkTitle = (check: Named): string => nameOf(check).title;
export const checkShort = (check: Named): string => nameOf(check).short;
