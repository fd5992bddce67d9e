export interface PrintSettings {
  layerMm: number;
  lineWidthMm: number;
  /** Number of walls. */
  perimeters: number;
  /** Number of solid layers, below and above alike. */
  topBottomLayers: number;
  infillPct: number;
  /** mm/s. */
  speedMmps: number;
  /** mm³/s. */
  maxFlowMm3ps: number;
  /** Between layers: travel, wipe, lift. */
  layerOverheadS?: number;
  /** Mean flow over that of the set speed. */
  flowEfficiency?: number;
}

export interface EstimateInput {
  volumeMm3: number;
  areaMm2: number;
  /** Up- and down-facing together; 0.3 of the area where not given. */
  horizontalAreaMm2?: number;
  heightMm: number;
  settings: PrintSettings;
  material: { densityGPerCm3: number; pricePerKg: number };
  calibration?: number;
}

export interface EstimateResult {
  plasticMm3: number;
  /** Number of layers. */
  layers: number;
  massG: number;
  timeS: number;
  /** In the currency of the price. */
  cost: number;
  /** Share of the volume that is plastic. */
  effectiveFill: number;
}

const HORIZONTAL_SHARE = 0.3;
const [USUAL_OVERHEAD_S, USUAL_EFFICIENCY] = [4, 0.8];
const [MM3_PER_CM3, G_PER_KG] = [1000, 1000];
/** Room for rounding in the number of layers, of one. */
const ROUNDING = 1e-9;

/**
 * Plastic, time and cost of a print: a shell of perimeters and of top and bottom layers around infill, laid at the flow that
 * speed or hot end allow.
 *
 * @returns mm³, g, s and the price in the workshop's currency
 */
export function printEstimate({
  volumeMm3,
  areaMm2,
  horizontalAreaMm2 = HORIZONTAL_SHARE * areaMm2,
  heightMm,
  settings,
  material,
  calibration = 1,
}: EstimateInput): EstimateResult {
  const {
    layerMm,
    lineWidthMm,
    perimeters,
    topBottomLayers,
    infillPct,
    speedMmps,
    maxFlowMm3ps,
    layerOverheadS = USUAL_OVERHEAD_S,
    flowEfficiency = USUAL_EFFICIENCY,
  } = settings;
  const shell = Math.min(
    volumeMm3,
    (areaMm2 - horizontalAreaMm2) * perimeters * lineWidthMm + horizontalAreaMm2 * topBottomLayers * layerMm,
  );
  const plasticMm3 = shell + (infillPct / 100) * (volumeMm3 - shell);
  const flow = Math.min(layerMm * lineWidthMm * speedMmps, maxFlowMm3ps) * flowEfficiency;
  const layers = Math.ceil(heightMm / layerMm - ROUNDING);
  const massG = (plasticMm3 / MM3_PER_CM3) * material.densityGPerCm3;
  return {
    plasticMm3,
    layers,
    massG,
    timeS: calibration * (plasticMm3 / flow + layers * layerOverheadS),
    cost: (massG / G_PER_KG) * material.pricePerKg,
    effectiveFill: plasticMm3 / volumeMm3,
  };
}
