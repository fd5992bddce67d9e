import type { ChosenMaterial } from '../build/material';

/**
 * Typical of data sheets; test your own. Plastics: strength in the layers' plane and glass transition or heat deflection at
 * 0.45 MPa. Metals: what they bear under repeated bending for gears and shafts, and where temper or age hardening goes.
 * Wear on a harder flank after the tables of VDI 2736-2 for moulded plastics; printed ones taken at three times that.
 */
export const TYPICAL_MATERIALS = {
  pla: { name: 'Printed PLA', densityGPerCm3: 1.24, modulusMpa: 3000, inPlaneStrengthMpa: 50, softeningC: 57, wearCoefficientMm3PerNm: 1.2e-5 },
  petg: { name: 'Printed PETG', densityGPerCm3: 1.27, modulusMpa: 1900, inPlaneStrengthMpa: 45, softeningC: 72, wearCoefficientMm3PerNm: 1e-5 },
  abs: { name: 'Printed ABS', densityGPerCm3: 1.05, modulusMpa: 2000, inPlaneStrengthMpa: 38, softeningC: 95, wearCoefficientMm3PerNm: 1e-5 },
  nylon: { name: 'Printed nylon', densityGPerCm3: 1.12, modulusMpa: 1700, inPlaneStrengthMpa: 55, softeningC: 110, wearCoefficientMm3PerNm: 3e-6 },
  nylonCarbon: { name: 'Printed nylon, carbon filled', densityGPerCm3: 1.18, modulusMpa: 6000, inPlaneStrengthMpa: 85, softeningC: 150, wearCoefficientMm3PerNm: 4e-6 },
  polycarbonate: { name: 'Printed polycarbonate', densityGPerCm3: 1.2, modulusMpa: 2200, inPlaneStrengthMpa: 60, softeningC: 115, wearCoefficientMm3PerNm: 8e-6 },
  acetal: { name: 'Moulded acetal', densityGPerCm3: 1.41, modulusMpa: 2900, inPlaneStrengthMpa: 68, softeningC: 155, wearCoefficientMm3PerNm: 1e-6 },
  nylonMoulded: { name: 'Moulded nylon 66', densityGPerCm3: 1.14, modulusMpa: 2600, inPlaneStrengthMpa: 78, softeningC: 180, wearCoefficientMm3PerNm: 1.1e-6 },
  aluminium: { name: 'Hard aluminium', densityGPerCm3: 2.81, modulusMpa: 71_000, inPlaneStrengthMpa: 160, softeningC: 250 },
  brass: { name: 'Brass', densityGPerCm3: 8.5, modulusMpa: 100_000, inPlaneStrengthMpa: 120, softeningC: 350 },
  steel: { name: 'Steel, untreated', densityGPerCm3: 7.85, modulusMpa: 207_000, inPlaneStrengthMpa: 300, softeningC: 500 },
  hardSteel: { name: 'Steel, hardened', densityGPerCm3: 7.85, modulusMpa: 207_000, inPlaneStrengthMpa: 600, softeningC: 400 },
} as const satisfies Readonly<Record<string, ChosenMaterial>>;

export type TypicalMaterialId = keyof typeof TYPICAL_MATERIALS;
