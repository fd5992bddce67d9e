import { useMemo } from 'react';
import type { HolePattern } from '@/core/car/document/print';
import type { HolesInput } from '@/core/physics/printing/holes/definition';
import { useBuild } from '../session/BuildContext';
import { workerOf } from '@/workers/clients';
import { useWorked } from '../session/useWorked';

/** Measured hole patterns under the plan, each hole to size. */
export function PatternsUnder() {
  const { document } = useBuild();
  const laid = (document.print.patterns ?? []).filter(
    ({ under, readings, holes }) => under && readings.length > 0 && holes.length > 1,
  );
  return (
    <>
      {laid.map((pattern) => (
        <Laid key={pattern.id} pattern={pattern} />
      ))}
    </>
  );
}

function Laid({ pattern: { name, holes, readings, under } }: { pattern: HolePattern }) {
  const input = useMemo(
    (): HolesInput => ({ holes, readings: readings.map(({ id: _, ...reading }) => reading) }),
    [holes, readings],
  );
  const found = useWorked(() => workerOf('print').solve(input), [input]);
  const { xMm, yMm, turnDeg } = under!;
  const [c, s] = [Math.cos((turnDeg * Math.PI) / 180), Math.sin((turnDeg * Math.PI) / 180)];
  return (
    <g data-testid="pattern-under" role="img" aria-label={name} pointerEvents="none">
      {found.value?.result.centresMm.map((centre, at) => (
        <circle
          key={centre.id}
          cx={-(xMm + c * centre.xMm - s * centre.yMm)}
          cy={yMm + s * centre.xMm + c * centre.yMm}
          r={(holes[at]?.diameterMm ?? 3) / 2}
          fill="none"
          stroke="var(--slate)"
          strokeWidth={1.6}
          vectorEffect="non-scaling-stroke"
        />
      ))}
    </g>
  );
}
