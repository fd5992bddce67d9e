import { interpolate } from '../../base/numeric/interpolate';

/** Open-circuit volts of a lithium polymer cell against its state of charge (share). */
export const OPEN_CIRCUIT_V: readonly (readonly [number, number])[] = [
  [0, 3.27],
  [0.05, 3.61],
  [0.1, 3.69],
  [0.15, 3.71],
  [0.2, 3.73],
  [0.25, 3.75],
  [0.3, 3.77],
  [0.35, 3.79],
  [0.4, 3.8],
  [0.45, 3.82],
  [0.5, 3.84],
  [0.55, 3.85],
  [0.6, 3.87],
  [0.65, 3.91],
  [0.7, 3.95],
  [0.75, 3.98],
  [0.8, 4.02],
  [0.85, 4.08],
  [0.9, 4.11],
  [0.95, 4.15],
  [1, 4.2],
];

const CHARGE_OF_VOLTS = OPEN_CIRCUIT_V.map(([charge, volts]) => [volts, charge] as const);

/** Volts of one cell at rest, for a state of charge from 0 to 1. */
export function cellVolts(stateOfCharge: number): number {
  return interpolate(OPEN_CIRCUIT_V, stateOfCharge);
}

/** State of charge (0 to 1) of a cell that shows these volts at rest; held at the ends of the table. */
export function cellCharge(volts: number): number {
  return interpolate(CHARGE_OF_VOLTS, volts);
}

/** Mean volts of a cell from empty to a state of charge (share): the exact integral of the straight lines. */
export function meanCellVolts(stateOfCharge: number): number {
  let area = 0;
  for (let i = 1; i < OPEN_CIRCUIT_V.length; i++) {
    const [from, fromV] = OPEN_CIRCUIT_V[i - 1]!;
    const to = Math.min(OPEN_CIRCUIT_V[i]![0], stateOfCharge);
    if (to <= from) break;
    area += ((to - from) * (fromV + cellVolts(to))) / 2;
  }
  return area / stateOfCharge;
}

/** Temperature at which a cell's resistance is given, °C. */
export const CELL_REFERENCE_C = 25;
/** Activation energy of what carries the charge through a cell, J/mol: 10 to 30 kJ/mol; and the gas constant. */
const [ACTIVATION_J, GAS_J] = [20_000, 8.314];
const KELVIN = 273.15;

/**
 * How many times the resistance of 25 °C a colder cell has; one that is warmer is reckoned as at 25 °C.
 * @see Plett, Battery Management Systems, vol. 1, ch. 3 (Arrhenius' law of a cell's resistances); the energy by judgement
 */
export function coldCellFactor(celsius: number): number {
  if (celsius >= CELL_REFERENCE_C) return 1;
  const colder = 1 / (KELVIN + celsius) - 1 / (KELVIN + CELL_REFERENCE_C);
  return Math.exp((ACTIVATION_J / GAS_J) * colder);
}
