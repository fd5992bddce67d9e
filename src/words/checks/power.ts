import { FAILSAFE_WORDS } from '../failsafe';
import { type FailsafePart } from '@/core/worked/power/failsafe';
import type { MotorKind } from '@/core/car/document/power';
import { inSentence } from '@/core/base/units/words';
import { counted, listed } from '../lists';
import { CHARGE_TERMS } from '../terms';
import type { Sentences } from '../write';
import { saidOf } from '../refusals/problemOf';
import type { RefusalCode } from '@/core/base/errors';
import { STATE_WORDS } from '../states';
import type { State } from '@/core/verdict/engine/check';

export const FAILSAFE_PART_NAMES: Readonly<Record<FailsafePart, string>> = {
  radio: 'the radio',
  receiver: 'the receiver',
  controller: 'the controller',
  wiring: 'the wiring',
};

const brushes = (kind: MotorKind) => (kind === 'brushed' ? 'brushed' : 'brushless');
const perController = (motors: number) => (motors > 1 ? 'per controller' : 'per motor');

/** Sentences about pack, supply, wiring and radio. */
export const POWER_SENTENCES: Sentences<'power'> = {
  'power.volts': ({ cells, charged, weaker, limit }) =>
    `A fresh pack of ${counted(cells, 'cell')} gives ${charged}, limit ${limit} of the ${weaker}.`,
  'power.controller': ({ rms, rated, motors }) =>
    `The duty draws ${rms} RMS ${perController(motors)}, limit ${rated} continuous.`,
  'power.controller.peak': ({ peak, rated, motors }) =>
    `Full throttle draws ${peak} ${perController(motors)}, limit ${rated}, and it does not limit.`,
  'power.controller.kinds': ({ motor, controller }) =>
    `A ${brushes(controller)} controller cannot drive a ${brushes(motor)} motor.`,
  'power.controller.held': ({ current, rated, motors }) =>
    `${motors > 1 ? 'The motors are held and draw' : 'The motor is held and draws'} ${current}, limit ${rated} continuous.`,
  'power.controller.spins': ({ current, rated, motors }) =>
    `The tyres spin where it stands: ${current} ${perController(motors)}, limit ${rated} continuous.`,
  'power.pack': ({ peak, rated, withSupply }) =>
    `Full throttle${withSupply ? ' with everything on the supply' : ''} draws ${peak}, limit ${rated} of the pack.`,
  'power.sag': ({ charge, cell, cutoff }) =>
    `A launch at ${charge} charge pulls a cell down to ${cell}, needs ${cutoff}.`,
  'power.supply.refused': ({ refused }) => supplyRefused(refused),
  'power.rail.starved': ({ fed, needs, charge }) =>
    `Fed ${fed} with the pack ${CHARGE_TERMS[charge]}, needs ${needs} to start: it gives nothing.`,
  'power.rail.overfed': ({ fed, limit, charge }) =>
    `Fed ${fed} with the pack ${CHARGE_TERMS[charge]}, limit ${limit}.`,
  'power.rail.dead': () => 'Gives no volts: what feeds it has too few.',
  'power.rail.heat': ({ heat, sheds, charge }) =>
    `Turns ${heat} to heat with the pack ${CHARGE_TERMS[charge]}, sheds ${sheds}.`,
  'power.rail.carries': ({ full, low, current, rated, of, charge }) =>
    `Gives ${full} charged and ${low} low; carries ${current} ${of === 'peak' ? 'at the peak' : 'continuous'} (pack ${CHARGE_TERMS[charge]}), limit ${rated}.`,
  'power.load.low': ({ volts, needs, charge }) =>
    `Gets ${volts} with the pack ${CHARGE_TERMS[charge]}, needs ${needs}.`,
  'power.load.high': ({ volts, limit, charge }) =>
    `Gets ${volts} with the pack ${CHARGE_TERMS[charge]}, limit ${limit}.`,
  'power.load.brownOut': ({ servo, takes, rail, gives }) =>
    `Browns out when ${servo} stalls: it takes ${takes} of the ${gives} that ${rail} gives.`,
  'power.load.fed': ({ full, low, from, to }) =>
    `Gets ${full} charged and ${low} low, needs ${from} to ${to}.`,
  'power.servo': ({ volts, gives, needs, beyondSheet }) =>
    `At ${volts} it gives ${gives}, needs ${needs} to turn standing wheels.${beyondSheet ? ' The data sheet ends below these volts.' : ''}`,
  'power.radio.protocols': ({ transmitter, receiver }) =>
    `The transmitter speaks ${transmitter}, the receiver ${receiver}: they will not bind.`,
  'power.radio.channels': ({ needed, has, of, gyro }) =>
    `Throttle${gyro ? ', steering and gyro gain' : ' and steering'} take ${needed} channels; the ${of} has ${has}.`,
  'power.radio.range': ({ channels, needed, range, away }) =>
    `One protocol, ${channels} channels for ${needed}; range near the ground ${range}, needs ${away}.`,
  'power.failsafe.undone': ({ undone, of, changed }) =>
    `${undone} of ${of} tests no longer count: ${listed(changed.map((part) => FAILSAFE_PART_NAMES[part]))} changed since. Repeat them, wheels off the ground.`,
  'power.failsafe.open': ({ open }) =>
    `Still to try: ${open.map((id) => inSentence(FAILSAFE_WORDS[id].what)).join(', ')}.`,
  'power.failsafe.tried': () => 'All tried with this radio, receiver, controller and wiring.',
  'power.wiring.misfits': ({ wires }) =>
    wires.map(({ from, to, plug, socket }) => `${from} to ${to}: ${plug} does not fit ${socket}.`).join(' '),
  'power.wiring.thin': ({ wires }) =>
    wires
      .map(({ to, area, needs, current }) => `${area} to ${to} is thin for ${current}, needs ${needs}.`)
      .join(' '),
  'power.wiring.fits': () => 'Every plug that is named fits, and every wire carries its current.',
};

/** A supply tree that is none, told by the names of its rails and loads. */
export function supplyRefused({ code, given }: { code: RefusalCode; given: unknown }): string {
  const [message, remedy] = saidOf(code, given);
  const said = (remedy === undefined ? message : `${message}: ${remedy}`).replaceAll('"', '');
  return `${said.charAt(0).toUpperCase()}${said.slice(1)}.`;
}

/** One column of the drawn supply. */
export const stepWords = (load: {
  name: string;
  state: State;
  charged: string;
  low: string;
  from: string;
  to: string;
}): string =>
  `${load.name}, ${STATE_WORDS[load.state]}: ${load.charged} with the pack charged, ${load.low} low, stands ${load.from} to ${load.to}.`;
