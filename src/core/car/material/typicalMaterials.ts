import type { ChosenMaterial } from './material';

interface Layered {
  z: number;
  shear: number;
  ratio: number;
  breaksPct: number;
  impact: number;
  price: number;
  poisson?: number;
}

const layered = (
  figures: ChosenMaterial,
  { z, shear, ratio, breaksPct, impact, price, poisson = 0.37 }: Layered,
): ChosenMaterial => ({
  ...figures,
  interlayerStrengthMpa: z,
  interlayerShearMpa: shear,
  modulusRatio: ratio,
  poisson,
  strainAtBreakPct: breaksPct,
  notchedImpactKJPerM2: impact,
  pricePerKg: price,
});

/**
 * Typical of data sheets; test your own. Plastics: strength in the layers' plane and between layers, glass transition or heat
 * deflection at 0.45 MPa. Metals: what they bear under repeated bending for gears and shafts, and where temper or age hardening
 * goes. Wear on a harder flank after the tables of VDI 2736-2 for moulded plastics; printed ones taken at three times that.
 */
export const TYPICAL_MATERIALS = {
  pla: layered(
    {
      name: 'Printed PLA',
      densityGPerCm3: 1.24,
      modulusMpa: 3000,
      inPlaneStrengthMpa: 50,
      softeningC: 57,
      wearCoefficientMm3PerNm: 1.2e-5,
    },
    { z: 30, shear: 24, ratio: 0.9, breaksPct: 4, impact: 3, price: 20 },
  ),
  petg: layered(
    {
      name: 'Printed PETG',
      densityGPerCm3: 1.27,
      modulusMpa: 1900,
      inPlaneStrengthMpa: 45,
      softeningC: 72,
      wearCoefficientMm3PerNm: 1e-5,
    },
    { z: 27, shear: 21, ratio: 0.9, breaksPct: 12, impact: 6, price: 22 },
  ),
  abs: layered(
    {
      name: 'Printed ABS',
      densityGPerCm3: 1.05,
      modulusMpa: 2000,
      inPlaneStrengthMpa: 38,
      softeningC: 95,
      wearCoefficientMm3PerNm: 1e-5,
    },
    { z: 19, shear: 16, ratio: 0.9, breaksPct: 8, impact: 12, price: 22 },
  ),
  nylon: layered(
    {
      name: 'Printed nylon',
      densityGPerCm3: 1.12,
      modulusMpa: 1700,
      inPlaneStrengthMpa: 55,
      softeningC: 110,
      wearCoefficientMm3PerNm: 3e-6,
    },
    { z: 33, shear: 27, ratio: 0.9, breaksPct: 40, impact: 10, price: 45 },
  ),
  nylonCarbon: layered(
    {
      name: 'Printed nylon, carbon filled',
      densityGPerCm3: 1.18,
      modulusMpa: 6000,
      inPlaneStrengthMpa: 85,
      softeningC: 150,
      wearCoefficientMm3PerNm: 4e-6,
    },
    { z: 28, shear: 22, ratio: 0.4, breaksPct: 2.5, impact: 6, price: 65 },
  ),
  petgCarbon: layered(
    {
      name: 'Printed PETG, carbon filled',
      densityGPerCm3: 1.3,
      modulusMpa: 4200,
      inPlaneStrengthMpa: 52,
      softeningC: 75,
    },
    { z: 20, shear: 17, ratio: 0.45, breaksPct: 2.5, impact: 4, price: 35 },
  ),
  polycarbonate: layered(
    {
      name: 'Printed polycarbonate',
      densityGPerCm3: 1.2,
      modulusMpa: 2200,
      inPlaneStrengthMpa: 60,
      softeningC: 115,
      wearCoefficientMm3PerNm: 8e-6,
    },
    { z: 36, shear: 29, ratio: 0.92, breaksPct: 20, impact: 14, price: 40 },
  ),
  tpu: layered(
    {
      name: 'Printed flexible polyurethane',
      densityGPerCm3: 1.21,
      modulusMpa: 90,
      inPlaneStrengthMpa: 30,
      softeningC: 80,
    },
    { z: 20, shear: 15, ratio: 0.9, breaksPct: 350, impact: 60, price: 35, poisson: 0.45 },
  ),
  resinTough: layered(
    {
      name: 'Tough resin, cured',
      densityGPerCm3: 1.18,
      modulusMpa: 1800,
      inPlaneStrengthMpa: 46,
      softeningC: 55,
    },
    { z: 43, shear: 26, ratio: 1, breaksPct: 20, impact: 3, price: 60 },
  ),
  nylonSintered: layered(
    {
      name: 'Sintered nylon 12',
      densityGPerCm3: 0.95,
      modulusMpa: 1700,
      inPlaneStrengthMpa: 48,
      softeningC: 150,
    },
    { z: 42, shear: 27, ratio: 0.97, breaksPct: 15, impact: 4, price: 90 },
  ),
  acetal: {
    name: 'Moulded acetal',
    densityGPerCm3: 1.41,
    modulusMpa: 2900,
    inPlaneStrengthMpa: 68,
    softeningC: 155,
    wearCoefficientMm3PerNm: 1e-6,
    strainAtBreakPct: 30,
  },
  nylonMoulded: {
    name: 'Moulded nylon 66',
    densityGPerCm3: 1.14,
    modulusMpa: 2600,
    inPlaneStrengthMpa: 78,
    softeningC: 180,
    wearCoefficientMm3PerNm: 1.1e-6,
    strainAtBreakPct: 40,
  },
  aluminium: {
    name: 'Hard aluminium',
    densityGPerCm3: 2.81,
    modulusMpa: 71_000,
    inPlaneStrengthMpa: 160,
    softeningC: 250,
    strainAtBreakPct: 10,
    poisson: 0.33,
  },
  aluminiumCast: {
    name: 'Cast aluminium',
    densityGPerCm3: 2.68,
    modulusMpa: 71_000,
    inPlaneStrengthMpa: 70,
    softeningC: 220,
    strainAtBreakPct: 3,
    poisson: 0.33,
  },
  brass: {
    name: 'Brass',
    densityGPerCm3: 8.5,
    modulusMpa: 100_000,
    inPlaneStrengthMpa: 120,
    softeningC: 350,
    strainAtBreakPct: 20,
    poisson: 0.34,
  },
  steelSintered: {
    name: 'Sintered stainless steel',
    densityGPerCm3: 7.6,
    modulusMpa: 180_000,
    inPlaneStrengthMpa: 190,
    softeningC: 500,
    strainAtBreakPct: 20,
    poisson: 0.3,
  },
  steel: {
    name: 'Steel, untreated',
    densityGPerCm3: 7.85,
    modulusMpa: 207_000,
    inPlaneStrengthMpa: 300,
    softeningC: 500,
    strainAtBreakPct: 20,
    poisson: 0.3,
  },
  hardSteel: {
    name: 'Steel, hardened',
    densityGPerCm3: 7.85,
    modulusMpa: 207_000,
    inPlaneStrengthMpa: 600,
    softeningC: 400,
    strainAtBreakPct: 5,
    poisson: 0.3,
  },
} as const satisfies Readonly<Record<string, ChosenMaterial>>;

export type TypicalMaterialId = keyof typeof TYPICAL_MATERIALS;
