import { formatText, type Reader } from '@/core/base/units/formatQuantity';
import type { BendChangeId, BendWhatIf } from '@/core/advice/bendWhatIfs';
import type { First } from '@/core/physics/handling/steady/definition';
import type { SteadyChangeId, SteadyWhatIf } from '@/core/advice/steadyWhatIfs';
import type { ChassisMove, ChassisWhatIf } from '@/core/advice/whatIfs';
import type { HeatChange } from '@/core/worked/heat/whatIfs';
import { counted } from './lists';

const MOVED: Readonly<Record<ChassisMove, (by: string) => string>> = {
  'pack-forward': (by) => `Pack ${by} forward`,
  'pack-back': (by) => `Pack ${by} back`,
  'controller-lower': (by) => `Controller ${by} lower`,
  'payload-lower': (by) => `Payload ${by} lower`,
  rake: (by) => `${by} more rake, nose down`,
  wider: (by) => `Track ${by} wider`,
};

const STEADY: Readonly<Record<SteadyChangeId, (by: string) => string>> = {
  'pack-forward': (by) => `Pack ${by} forward`,
  'pack-back': (by) => `Pack ${by} back`,
  'wing-add': () => 'A rear wing to start with',
  'wing-more': (by) => `Rear wing ${by} steeper`,
  'wing-less': (by) => `Rear wing ${by} flatter`,
  'front-less': (by) => `Front tyres with ${by} less grip`,
  'rear-more': (by) => `Rear tyres with ${by} more grip`,
};

/** Which end of a car slides first. */
export const SLIDES_FIRST: Readonly<Record<First, string>> = {
  front: 'the front',
  rear: 'the rear',
  both: 'both ends at once',
};

const BEND: Readonly<Record<BendChangeId, (by: string) => string>> = {
  'front-toe-in': (by) => `Front toe ${by} further in`,
  'front-toe-out': (by) => `Front toe ${by} further out`,
  'rear-toe-in': (by) => `Rear toe ${by} further in`,
  'rear-toe-out': (by) => `Rear toe ${by} further out`,
  'front-wider': (by) => `Front track ${by} wider`,
  'rear-wider': (by) => `Rear track ${by} wider`,
};

export const bendWhatIfText = (
  { id, by: { value, quantity } }: Pick<BendWhatIf, 'id' | 'by'>,
  reader: Reader,
): string => BEND[id](formatText(value, quantity, reader));

export const steadyWhatIfText = (
  { id, by: { value, quantity } }: Pick<SteadyWhatIf, 'id' | 'by'>,
  reader: Reader,
): string => STEADY[id](formatText(value, quantity, reader));

export const chassisWhatIfText = (
  { id, by: { value, quantity } }: Pick<ChassisWhatIf, 'id' | 'by'>,
  reader: Reader,
): string => MOVED[id](formatText(value, quantity, reader));

/** One change against heat. */
export function heatWhatIfText(change: HeatChange, reader: Reader): string {
  switch (change.what) {
    case 'sinkOn':
      return `A heat sink on the motor, fins of ${formatText(change.finMm, 'lengthMm', reader)}`;
    case 'sinkOff':
      return 'No heat sink on the motor';
    case 'fanOn':
      return `A fan of ${formatText(change.flowM3PerH, 'flowM3PerH', reader)} at the motor`;
    case 'fanOff':
      return 'No fan at the motor';
    case 'bodyDuct':
      return 'A duct that leads the wind to the motor';
    case 'bodyOpen':
      return 'The body open over the motor';
    case 'bodyClosed':
      return 'The body closed over the motor';
    case 'cells':
      return `${counted(change.cells, 'cell')} instead of ${change.now}`;
    case 'motor':
      return `A motor of ${formatText(change.kvRpmPerV, 'motorConstant', reader, 4)}`;
  }
}
