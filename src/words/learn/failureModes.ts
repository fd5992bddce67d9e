import { isOpen } from '@/core/car/records/openFailure';
import type { FailureRecord } from '@/core/car/records/records';
import type { FailureMode } from '@/core/car/records/failureModes';

/** What a way of failing is called, and what is meant by it. */
export const FAILURE_MODE_WORDS: Readonly<Record<FailureMode, { name: string; means: string }>> = {
  layerSplit: { name: 'Split along the layers', means: 'a printed part came apart along its layers' },
  toothStrip: { name: 'Teeth stripped', means: 'teeth broke off or sheared' },
  toothWear: { name: 'Teeth worn', means: 'teeth worn thin' },
  wear: { name: 'Worn', means: 'pins, seats, tyres or links worn' },
  melt: { name: 'Melted', means: 'plastic softened or ran' },
  bend: { name: 'Bent', means: 'a part stayed bent' },
  crack: { name: 'Cracked', means: 'a part cracked or broke, not along the layers' },
  screwPullOut: { name: 'Screw tore out', means: 'a screw or insert tore out' },
  loosening: { name: 'Came loose', means: 'something came loose or walked off' },
  binding: { name: 'Sticks', means: 'something sticks or turns stiffly' },
  unbonding: { name: 'Joint came apart', means: 'a glued or pressed joint came apart' },
  wobble: { name: 'Wobbles', means: 'a wheel or axle wobbles' },
  vibration: { name: 'Shakes', means: 'the car shakes or buzzes' },
  brownOut: { name: 'Brown-out', means: 'receiver or servo lose their volts for a moment' },
  restart: { name: 'Restarted', means: 'the controller or receiver starts again on the move' },
  overheat: { name: 'Too hot', means: 'motor, controller or servo too hot' },
  noPower: { name: 'No drive', means: 'no drive at the wheels, for good or for a while' },
  weakLift: { name: 'Servo too weak', means: 'the servo cannot hold or turn its load' },
  wrongDirection: {
    name: 'Wrong way round',
    means: 'a wheel, an axle, the car or an aid goes the wrong way',
  },
  spinOut: { name: 'Tail came round', means: 'the tail comes round' },
  rollover: { name: 'Rolled over', means: 'it rolls over in a corner' },
  wanders: { name: 'Wanders', means: 'it does not hold a straight line' },
  tyreOff: { name: 'Tyre off the rim', means: 'a tyre left its rim' },
  tyreBurst: { name: 'Tyre burst', means: 'a tyre tore or burst' },
  waterIngress: { name: 'Water got in', means: 'water got in' },
  lostSignal: { name: 'Lost signal', means: 'the radio link dropped' },
  startStutter: { name: 'Stutters at the start', means: 'it stutters or cogs as it pulls away' },
  shortRange: { name: 'Pack empty too soon', means: 'the pack is empty too soon' },
  slow: { name: 'Too slow', means: 'it does not reach its speed' },
  own: { name: 'Something else', means: 'none of these' },
};

/** How something failed, in the builder's own words where those were given. */
export const failedHow = ({ mode, ledger }: Pick<FailureRecord, 'mode' | 'ledger'>): string =>
  mode === 'own' && ledger?.modeWords
    ? ledger.modeWords
    : (FAILURE_MODE_WORDS[mode as FailureMode]?.name ?? mode);

/** Whether it is settled, and by what. */
export const failureStands = (failure: Pick<FailureRecord, 'fix' | 'ledger'>): string =>
  failure.fix ? 'fixed' : isOpen(failure) ? 'open' : 'explained';
