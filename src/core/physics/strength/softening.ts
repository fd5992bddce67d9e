/** Temperature at which a plastic's strength is given, °C. */
export const REFERENCE_C = 23;

/** Share of its strength that a plastic or glue keeps at a temperature (°C), straight down to nothing where it softens. */
export function derateAt(temperatureC: number, softeningC: number): number {
  return Math.min(1, Math.max(0, (softeningC - temperatureC) / (softeningC - REFERENCE_C)));
}
