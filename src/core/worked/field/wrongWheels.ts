import { type RunReport, type WheelTurn } from '../../car/records/report';
import { type Wheel, WHEELS } from '../../car/records/wheels';

/** A wheel that does not turn forward on the bench. */
export interface WrongWheel {
  wheel: Wheel;
  turned: Exclude<WheelTurn, 'forward'>;
}

/** Wheels of a bench spin that do not turn forward. */
export const wrongWheels = ({ wheels = {} }: RunReport): WrongWheel[] =>
  WHEELS.flatMap((wheel) => {
    const turned = wheels[wheel];
    return turned === undefined || turned === 'forward' ? [] : [{ wheel, turned }];
  });
