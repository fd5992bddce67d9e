import type { FailureRecord } from './records';

/** A way in which something fails, as the ledger calls it. */
export interface FailureMode {
  readonly id: string;
  readonly name: string;
  readonly means: string;
}

export const FAILURE_MODES: readonly FailureMode[] = [
  { id: 'layerSplit', name: 'Split along the layers', means: 'a printed part came apart along its layers' },
  { id: 'toothStrip', name: 'Teeth stripped', means: 'teeth broke off or sheared' },
  { id: 'toothWear', name: 'Teeth worn', means: 'teeth worn thin' },
  { id: 'wear', name: 'Worn', means: 'pins, seats, tyres or links worn' },
  { id: 'melt', name: 'Melted', means: 'plastic softened or ran' },
  { id: 'bend', name: 'Bent', means: 'a part stayed bent' },
  { id: 'crack', name: 'Cracked', means: 'a part cracked or broke, not along the layers' },
  { id: 'screwPullOut', name: 'Screw tore out', means: 'a screw or insert tore out' },
  { id: 'loosening', name: 'Came loose', means: 'something came loose or walked off' },
  { id: 'binding', name: 'Sticks', means: 'something sticks or turns stiffly' },
  { id: 'unbonding', name: 'Joint came apart', means: 'a glued or pressed joint came apart' },
  { id: 'wobble', name: 'Wobbles', means: 'a wheel or axle wobbles' },
  { id: 'vibration', name: 'Shakes', means: 'the car shakes or buzzes' },
  { id: 'brownOut', name: 'Brown-out', means: 'receiver or servo lose their volts for a moment' },
  { id: 'restart', name: 'Restarted', means: 'the controller or receiver starts again on the move' },
  { id: 'overheat', name: 'Too hot', means: 'motor, controller or servo too hot' },
  { id: 'noPower', name: 'No drive', means: 'no drive at the wheels, for good or for a while' },
  { id: 'weakLift', name: 'Servo too weak', means: 'the servo cannot hold or turn its load' },
  {
    id: 'wrongDirection',
    name: 'Wrong way round',
    means: 'a wheel, an axle, the car or an aid goes the wrong way',
  },
  { id: 'spinOut', name: 'Tail came round', means: 'the tail comes round' },
  { id: 'rollover', name: 'Rolled over', means: 'it rolls over in a corner' },
  { id: 'wanders', name: 'Wanders', means: 'it does not hold a straight line' },
  { id: 'tyreOff', name: 'Tyre off the rim', means: 'a tyre left its rim' },
  { id: 'tyreBurst', name: 'Tyre burst', means: 'a tyre tore or burst' },
  { id: 'waterIngress', name: 'Water got in', means: 'water got in' },
  { id: 'lostSignal', name: 'Lost signal', means: 'the radio link dropped' },
  { id: 'startStutter', name: 'Stutters at the start', means: 'it stutters or cogs as it pulls away' },
  { id: 'shortRange', name: 'Pack empty too soon', means: 'the pack is empty too soon' },
  { id: 'slow', name: 'Too slow', means: 'it does not reach its speed' },
  { id: 'own', name: 'Something else', means: 'none of these' },
];

export function failureModeName(id: string): string {
  return FAILURE_MODES.find((mode) => mode.id === id)?.name ?? id;
}

/** How something failed, in the builder's own words where those were given. */
export const failedHow = ({ mode, ledger }: Pick<FailureRecord, 'mode' | 'ledger'>): string =>
  mode === 'own' && ledger?.modeWords ? ledger.modeWords : failureModeName(mode);
