import type { BriefDemandInput, SurfaceDemand } from './demand';

/** Power at the wheel over speed on each surface, up to a speed (m/s). */
export function powerCurves(
  input: BriefDemandInput,
  demandAt: (input: BriefDemandInput) => { surfaces: SurfaceDemand[] },
  toMps: number,
  points = 41,
) {
  const speeds = Array.from({ length: points }, (_, i) => (toMps * Math.max(i, 1e-6)) / (points - 1));
  const rows = speeds.map((targetMps) => demandAt({ ...input, targetMps }).surfaces);
  return input.surfaces.map(({ id }, index) => ({
    id,
    speedMps: speeds,
    powerW: rows.map((row) => row[index]!.powerAtWheelW),
  }));
}
