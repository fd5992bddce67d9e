export type UnitSystem = 'metric' | 'imperial';

export interface Unit {
  readonly symbol: string;
  /** Stored value = shown value × scale + offset. */
  readonly scale: number;
  readonly offset?: number;
  readonly also?: readonly string[];
}

/** One kind of number on a screen: how it is stored, shown in either system, and what else may be typed. */
export interface Quantity {
  readonly metric: Unit;
  readonly imperial: Unit;
  readonly others?: readonly Unit[];
  /** Digits that a screen shows. */
  readonly digits?: number;
}

const unit = (symbol: string, scale: number, also?: readonly string[], offset?: number): Unit => ({
  symbol,
  scale,
  ...(also ? { also } : {}),
  ...(offset === undefined ? {} : { offset }),
});
const same = (one: Unit, others: readonly Unit[] = [], digits?: number): Quantity => ({
  metric: one,
  imperial: one,
  others,
  ...(digits ? { digits } : {}),
});

const MM_PER_INCH = 25.4;
const G_PER_POUND = 453.59237;
const MPS_PER_MPH = 0.44704;
const MPS_PER_KMH = 1 / 3.6;

/** Exact by definition: inch 25.4 mm, pound 453.59237 g, mile 1609.344 m (international yard and pound agreement, 1959). */
export const QUANTITIES = {
  lengthMm: {
    metric: unit('mm', 1),
    imperial: unit('in', MM_PER_INCH, ['"', 'inch', 'inches']),
    others: [unit('cm', 10), unit('m', 1000), unit('ft', 304.8, ["'"])],
  },
  /** Sizes that the trade names in millimetres everywhere: bores, screws, bearings, teeth, nozzles. */
  fitMm: same(unit('mm', 1), [unit('cm', 10), unit('in', MM_PER_INCH, ['"', 'inch', 'inches'])]),
  distanceM: {
    metric: unit('m', 1),
    imperial: unit('ft', 0.3048, ["'", 'feet']),
    others: [
      unit('cm', 0.01),
      unit('mm', 0.001),
      unit('km', 1000),
      unit('in', 0.0254, ['"']),
      unit('yd', 0.9144),
    ],
  },
  massG: {
    metric: unit('g', 1),
    imperial: unit('oz', G_PER_POUND / 16),
    others: [unit('kg', 1000), unit('lb', G_PER_POUND, ['lbs'])],
  },
  speedMps: {
    metric: unit('km/h', MPS_PER_KMH, ['kmh', 'kph']),
    imperial: unit('mph', MPS_PER_MPH),
    others: [unit('m/s', 1, ['mps']), unit('ft/s', 0.3048, ['fps'])],
  },
  accelMps2: {
    metric: unit('m/s²', 1, ['m/s2']),
    imperial: unit('ft/s²', 0.3048, ['ft/s2']),
    others: [unit('g', 9.81)],
  },
  timeS: same(unit('s', 1), [unit('ms', 0.001), unit('min', 60)]),
  millis: same(unit('ms', 1), [unit('s', 1000)]),
  micros: same(unit('µs', 1, ['us'])),
  rateDegPerS: same(unit('°/s', 1, ['deg/s'])),
  minutes: same(unit('min', 1), [unit('h', 60), unit('s', 1 / 60)]),
  hours: same(unit('h', 1), [unit('min', 1 / 60)]),
  days: same(unit('d', 1), [unit('weeks', 7)]),
  printMmps: same(unit('mm/s', 1)),
  flowMm3ps: same(unit('mm³/s', 1, ['mm3/s'])),
  flowM3PerH: { metric: unit('m³/h', 1, ['m3/h']), imperial: unit('cfm', 1.69901082) },
  volumeCm3: same(unit('cm³', 1, ['cm3'])),
  forceN: { metric: unit('N', 1), imperial: unit('lbf', 4.4482216152605) },
  torqueNm: {
    metric: unit('Nm', 1),
    imperial: unit('lbf·in', 0.1129848290276167, ['in-lb']),
    others: [unit('mNm', 0.001), unit('Ncm', 0.01)],
  },
  powerW: same(unit('W', 1), [unit('kW', 1000)]),
  energyWh: same(unit('Wh', 1)),
  energyJ: same(unit('J', 1)),
  voltageV: same(unit('V', 1), [unit('mV', 0.001)]),
  currentA: same(unit('A', 1), [unit('mA', 0.001)]),
  resistanceMilliOhm: same(unit('mΩ', 1, ['mohm', 'milliohm']), [unit('Ω', 1000, ['ohm'])]),
  capacityMah: same(unit('mAh', 1), [unit('Ah', 1000)]),
  motorConstant: same(unit('rpm/V', 1, ['kv']), [], 4),
  rpm: same(unit('rpm', 1), []),
  temperatureC: { metric: unit('°C', 1, ['c']), imperial: unit('°F', 5 / 9, ['f'], -160 / 9) },
  angleDeg: same(unit('°', 1, ['deg'])),
  degPerMm: { metric: unit('°/mm', 1), imperial: unit('°/in', 1 / MM_PER_INCH) },
  rateNPerMm: {
    metric: unit('N/mm', 1),
    imperial: unit('lbf/in', 0.1751268352464764),
    others: [unit('gf/mm', 0.00980665)],
  },
  damperNsPerM: same(unit('N·s/m', 1, ['ns/m'])),
  frequencyHz: same(unit('Hz', 1)),
  stressMpa: {
    metric: unit('MPa', 1, ['n/mm2', 'n/mm²']),
    imperial: unit('ksi', 6.894757293168),
    others: [unit('GPa', 1000)],
  },
  wearMm3PerNm: same(unit('mm³/MNm', 1e-6)),
  torqueKgcm: {
    metric: unit('kg·cm', 1, ['kgcm']),
    imperial: unit('oz·in', 0.0720077887),
    others: [unit('Nm', 10.19716212977928), unit('Ncm', 0.1019716212977928)],
  },
  /** Of wires, which the trade gives in mm². */
  areaMm2: same(unit('mm²', 1, ['mm2'])),
  surfaceMm2: {
    metric: unit('mm²', 1, ['mm2']),
    imperial: unit('in²', 645.16, ['in2']),
    others: [unit('cm²', 100, ['cm2'])],
  },
  areaM2: {
    metric: unit('cm²', 1e-4, ['cm2']),
    imperial: unit('in²', 0.00064516, ['in2']),
    others: [unit('m²', 1, ['m2'])],
  },
  densityKgM3: { metric: unit('kg/m³', 1), imperial: unit('lb/ft³', 16.018463373960142) },
  inertiaKgM2: same(unit('g·cm²', 1e-7, ['gcm2', 'g cm2'])),
  share: same(unit('%', 0.01)),
  percent: same(unit('%', 1)),
  rating: same(unit('C', 1)),
  ratio: same(unit('', 1), [], 4),
  coefficient: same(unit('', 1)),
  /** In the build's currency, which stands beside it. */
  price: same(unit('', 1)),
  count: same(unit('', 1), [], 6),
} satisfies Record<string, Quantity>;

export type QuantityName = keyof typeof QUANTITIES;

export function quantityOf(name: QuantityName): Quantity {
  return QUANTITIES[name];
}

export function unitOf(name: QuantityName, system: UnitSystem): Unit {
  return quantityOf(name)[system];
}

export function toShown(value: number, unit: Unit): number {
  return (value - (unit.offset ?? 0)) / unit.scale;
}

export function toStored(shown: number, unit: Unit): number {
  return Number((shown * unit.scale + (unit.offset ?? 0)).toPrecision(12));
}
