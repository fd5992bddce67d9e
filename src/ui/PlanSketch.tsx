import planCss from './PlanSketch.module.css';
import Typography from '@mui/material/Typography';
import type { Chassis } from '@/core/car/document/chassis';
import type { DrivenAxles } from '@/core/physics/motion/road';

interface PlanSketchProps {
  chassis: Chassis;
  tyreRadiusMm?: number;
  driven?: DrivenAxles;
  width: number;
}

/** The car from above, to scale, front to the left: axles, wheels, the driven ones solid, and where the weight sits. */
export function PlanSketch({ chassis, tyreRadiusMm = 30, driven, width }: PlanSketchProps) {
  const { wheelbaseMm, trackFrontMm, trackRearMm, frontLoadShare } = chassis;
  if (wheelbaseMm === undefined || trackFrontMm === undefined || trackRearMm === undefined) {
    return (
      <Typography color="textSecondary" sx={{ p: '28px 0' }}>
        The plan appears with wheelbase and tracks.
      </Typography>
    );
  }
  const tyreWidth = 0.7 * tyreRadiusMm;
  const pad = tyreRadiusMm + 8;
  const across = Math.max(trackFrontMm, trackRearMm) + tyreWidth + 16;
  const long = wheelbaseMm + 2 * pad;
  const middle = across / 2;
  const axle = (x: number, track: number, isDriven: boolean) => (
    <g>
      <line
        x1={x}
        x2={x}
        y1={middle - track / 2}
        y2={middle + track / 2}
        stroke="var(--ink)"
        strokeWidth="2"
        vectorEffect="non-scaling-stroke"
      />
      {[-1, 1].map((side) => (
        <rect
          key={side}
          x={x - tyreRadiusMm}
          y={middle + (side * track) / 2 - tyreWidth / 2}
          width={2 * tyreRadiusMm}
          height={tyreWidth}
          fill={isDriven ? 'var(--ink)' : 'var(--sheet)'}
          stroke="var(--ink)"
          strokeWidth="2"
          vectorEffect="non-scaling-stroke"
        />
      ))}
    </g>
  );
  const cg = frontLoadShare === undefined ? undefined : pad + wheelbaseMm * (1 - frontLoadShare);
  return (
    <svg
      viewBox={`0 0 ${long} ${across}`}
      width={width}
      className={planCss.plan}
      role="img"
      aria-label={`Plan to scale: wheelbase ${wheelbaseMm} mm, tracks ${trackFrontMm} and ${trackRearMm} mm`}
    >
      <path
        d={`M${pad * 0.4},${middle}L${pad},${middle - trackFrontMm * 0.16}L${pad + wheelbaseMm},${middle - trackRearMm * 0.2}L${long - pad * 0.4},${middle - trackRearMm * 0.12}L${long - pad * 0.4},${middle + trackRearMm * 0.12}L${pad + wheelbaseMm},${middle + trackRearMm * 0.2}L${pad},${middle + trackFrontMm * 0.16}Z`}
        fill="var(--faint)"
        stroke="var(--rule)"
        strokeWidth="1.5"
        vectorEffect="non-scaling-stroke"
      />
      {axle(pad, trackFrontMm, driven === 'front' || driven === 'all')}
      {axle(pad + wheelbaseMm, trackRearMm, driven === 'rear' || driven === 'all')}
      {cg === undefined ? null : (
        <g>
          <circle cx={cg} cy={middle} r="8" fill="var(--sheet)" stroke="var(--ink)" strokeWidth="2" />
          <path
            d={`M${cg},${middle}v-8a8 8 0 0 1 8 8zM${cg},${middle}v8a8 8 0 0 1 -8 -8z`}
            fill="var(--ink)"
          />
        </g>
      )}
    </svg>
  );
}
