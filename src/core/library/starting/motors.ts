import type { LibraryItem } from '../items';

/** Motors under generic names; each is consistent in itself and typical of its class. */
export const STARTING_MOTORS: readonly LibraryItem<'motor'>[] = [
  { id: 'motor-130-brushed', kind: 'motor', data: { name: '130 brushed, toy wind', kvRpmPerV: 4300, resistanceMilliOhm: 1400, noLoadCurrentA: 0.15, rotorInertiaKgM2: 1.3e-7, maxV: 4.8, massG: 17, diameterMm: 20.4, lengthMm: 25, housing: 'vented' } },
  { id: 'motor-180-brushed', kind: 'motor', data: { name: '180 brushed, long can', kvRpmPerV: 2800, resistanceMilliOhm: 600, noLoadCurrentA: 0.25, rotorInertiaKgM2: 2.4e-7, maxV: 8.5, massG: 33, diameterMm: 20.4, lengthMm: 32, housing: 'vented' } },
  { id: 'motor-370-brushed', kind: 'motor', data: { name: '370 brushed', kvRpmPerV: 2500, resistanceMilliOhm: 350, noLoadCurrentA: 0.5, rotorInertiaKgM2: 6e-7, maxV: 8.5, massG: 50, diameterMm: 24.4, lengthMm: 30.8, housing: 'vented' } },
  { id: 'motor-380-brushed', kind: 'motor', data: { name: '380 brushed', kvRpmPerV: 2100, resistanceMilliOhm: 250, noLoadCurrentA: 0.6, rotorInertiaKgM2: 1.2e-6, maxV: 9, massG: 72, diameterMm: 27.7, lengthMm: 37.8, housing: 'vented' } },
  { id: 'motor-540-brushed-27', kind: 'motor', data: { name: '540 brushed, 27 turns', kvRpmPerV: 2300, resistanceMilliOhm: 100, noLoadCurrentA: 1.3, rotorInertiaKgM2: 8.5e-6, maxV: 8.5, massG: 160, diameterMm: 36, lengthMm: 50, housing: 'vented' } },
  { id: 'motor-540-brushed-35', kind: 'motor', data: { name: '540 brushed, 35 turns', kvRpmPerV: 1750, resistanceMilliOhm: 150, noLoadCurrentA: 0.9, rotorInertiaKgM2: 8.5e-6, maxV: 12.6, massG: 160, diameterMm: 36, lengthMm: 50, housing: 'vented' } },
  { id: 'motor-540-brushed-55', kind: 'motor', data: { name: '540 brushed, 55 turns', kvRpmPerV: 1050, resistanceMilliOhm: 300, noLoadCurrentA: 0.6, rotorInertiaKgM2: 8.5e-6, maxV: 12.6, massG: 165, diameterMm: 36, lengthMm: 50, housing: 'vented' } },
  { id: 'motor-550-brushed-21', kind: 'motor', data: { name: '550 brushed, 21 turns', kvRpmPerV: 2000, resistanceMilliOhm: 75, noLoadCurrentA: 1.7, rotorInertiaKgM2: 1.1e-5, maxV: 8.5, massG: 220, diameterMm: 36, lengthMm: 57, housing: 'vented' } },
  { id: 'motor-2030-fast', kind: 'motor', data: { name: 'Brushless 20 x 30, fast wind', kvRpmPerV: 5500, resistanceMilliOhm: 42, noLoadCurrentA: 1.3, rotorInertiaKgM2: 2e-7, maxV: 8.5, massG: 42, diameterMm: 20, lengthMm: 30 } },
  { id: 'motor-2030-slow', kind: 'motor', data: { name: 'Brushless 20 x 30, slow wind', kvRpmPerV: 3500, resistanceMilliOhm: 95, noLoadCurrentA: 0.7, rotorInertiaKgM2: 2e-7, maxV: 12.6, massG: 42, diameterMm: 20, lengthMm: 30 } },
  { id: 'motor-2845', kind: 'motor', data: { name: 'Brushless 28 x 45', kvRpmPerV: 3300, resistanceMilliOhm: 32, noLoadCurrentA: 1.4, rotorInertiaKgM2: 1.2e-6, maxV: 12.6, massG: 105, diameterMm: 28, lengthMm: 45 } },
  { id: 'motor-540-sensored-10', kind: 'motor', data: { name: 'Sensored 540, 10.5 turns', kvRpmPerV: 3900, resistanceMilliOhm: 14, noLoadCurrentA: 3, rotorInertiaKgM2: 4e-6, maxV: 8.5, massG: 165, diameterMm: 36, lengthMm: 52.5, housing: 'vented' } },
  { id: 'motor-540-sensored-13', kind: 'motor', data: { name: 'Sensored 540, 13.5 turns', kvRpmPerV: 3000, resistanceMilliOhm: 22, noLoadCurrentA: 2, rotorInertiaKgM2: 4e-6, maxV: 8.5, massG: 165, diameterMm: 36, lengthMm: 52.5, housing: 'vented' } },
  { id: 'motor-540-sensored-17', kind: 'motor', data: { name: 'Sensored 540, 17.5 turns', kvRpmPerV: 2200, resistanceMilliOhm: 38, noLoadCurrentA: 1.3, rotorInertiaKgM2: 4e-6, maxV: 12.6, massG: 170, diameterMm: 36, lengthMm: 52.5, housing: 'vented' } },
  { id: 'motor-3660', kind: 'motor', data: { name: 'Brushless 36 x 60, four poles', kvRpmPerV: 2600, resistanceMilliOhm: 14, noLoadCurrentA: 2.5, rotorInertiaKgM2: 5e-6, maxV: 16.8, massG: 205, diameterMm: 36, lengthMm: 60 } },
  { id: 'motor-4074', kind: 'motor', data: { name: 'Brushless 40 x 74, four poles', kvRpmPerV: 2000, resistanceMilliOhm: 6.5, noLoadCurrentA: 3.5, rotorInertiaKgM2: 1.5e-5, maxV: 25.2, massG: 380, diameterMm: 40, lengthMm: 74 } },
  { id: 'motor-4274-slow', kind: 'motor', data: { name: 'Brushless 42 x 74, slow wind', kvRpmPerV: 1500, resistanceMilliOhm: 10, noLoadCurrentA: 2.2, rotorInertiaKgM2: 1.8e-5, maxV: 25.2, massG: 400, diameterMm: 42, lengthMm: 74 } },
];
