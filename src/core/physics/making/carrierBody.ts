import { refusal } from '../../base/errors';
import { type Measure, measure } from '../../base/measure';
import { circleStretches } from '../gears/bore';
import { closedBody, type Stub } from './closed';
import { drilled, type Fittings, fitted } from './fittings';
import type { Kernel, Shape3D } from './kit/kernel';
import { edgesOf, level, wall } from './kit/wires';

declare module '../../base/errors' {
  interface RefusalFacts {
    'making.carrierPin': { most: Measure };
  }
}

/** The plate that carries the planets on pins, with the seat of the shaft that it drives. */
export interface CarrierBodyInput extends Fittings {
  planets: number;
  /** From the set's axis to each pin. */
  centreDistanceMm: number;
  pinMm: number;
  /** Above the plate. */
  pinLengthMm: number;
  thicknessMm: number;
}

/** Plate round each pin, diameters of the pin, and the least of it, mm. */
const [RIM_PINS, LEAST_RIM_MM] = [0.5, 1.5];

/** Of the plate. */
export const carrierRadiusMm = ({ centreDistanceMm, pinMm }: CarrierBodyInput): number =>
  centreDistanceMm + pinMm / 2 + Math.max(RIM_PINS * pinMm, LEAST_RIM_MM);

/**
 * Carrier of a planetary set as a solid: its plate on z = 0, pins upward, the hub downward.
 *
 * @throws CalcError at `pinMm` for pins that meet the bore, at the fittings that do not fit
 */
export function carrierBody(kit: Kernel, input: CarrierBodyInput): Shape3D {
  const { planets, centreDistanceMm, pinMm, pinLengthMm, thicknessMm } = input;
  const inside = centreDistanceMm - pinMm / 2;
  if (inside <= LEAST_RIM_MM)
    throw refusal('pinMm', 'making.carrierPin', {
      most: measure(2 * (centreDistanceMm - LEAST_RIM_MM), 'fitMm', 4),
    });
  const fittings = fitted(input, thicknessMm, inside, 'low');
  const pins = Array.from({ length: planets }, (_, k): Stub => {
    const angle = (2 * Math.PI * k) / planets;
    const centre = [centreDistanceMm * Math.sin(angle), centreDistanceMm * Math.cos(angle)] as const;
    return { on: 'high', contour: circleStretches(pinMm / 2, centre), lengthMm: pinLengthMm, bored: false };
  });
  const rim = circleStretches(carrierRadiusMm(input));
  const low = edgesOf(kit, rim, level(0));
  const side = wall(kit, kit.assembleWire(low), 0, thicknessMm);
  const body = closedBody(kit, {
    sides: [side],
    low,
    high: edgesOf(kit, rim, level(thicknessMm)),
    heightMm: thicknessMm,
    ...fittings,
    stubs: [...fittings.stubs, ...pins],
  });
  return drilled(kit, body, fittings, thicknessMm);
}
