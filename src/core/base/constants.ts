/** Standard fall used throughout, m/s². */
export const GRAVITY = 9.81;

/** Air at about 20 °C and sea level, kg/m³. */
export const AIR_DENSITY = 1.2;

/** Gas constant of dry air, J/(kg K). Source: ISO 2533. */
const DRY_AIR_J_PER_KG_K = 287.05;
/** Standard pressure at sea level, Pa. Source: ISO 2533. */
const SEA_LEVEL_PA = 101_325;

/** Radians per second in one revolution per minute. */
export const RAD_PER_S_PER_RPM = (2 * Math.PI) / 60;

/** Mean volts of a lithium polymer cell over a pack, for turning energy into charge. */
export const MEAN_CELL_V = 3.8;

/**
 * Density of dry air at sea level by the ideal gas law.
 *
 * @param temperatureC air temperature, °C
 * @returns kg/m³
 */
export function airDensityAt(temperatureC: number): number {
  return SEA_LEVEL_PA / (DRY_AIR_J_PER_KG_K * (temperatureC + 273.15));
}
