import type { ChartProps } from './chartProps';
import type { Plot } from './plotScales';

/** What is out of reach or out of bounds: hatched edges, without their labels. */
export function Limits({
  plot: { area, px, py, heldPath },
  hatch,
  limit,
  floor,
  beyond,
  levels = [],
}: Pick<ChartProps, 'limit' | 'floor' | 'beyond' | 'levels'> & { plot: Plot; hatch: string }) {
  const wide = area.right - area.left;
  return (
    <>
      {limit ? (
        <>
          <path
            d={`${heldPath(limit)}L${px(limit.xs.at(-1)!)},${area.top}L${px(limit.xs[0]!)},${area.top}Z`}
            fill={hatch}
          />
          <path d={heldPath(limit)} fill="none" stroke="var(--rust)" strokeWidth="1.6" />
        </>
      ) : null}
      {floor ? (
        <>
          <rect
            x={area.left}
            y={py(floor.y)}
            width={wide}
            height={Math.max(0, area.bottom - py(floor.y))}
            fill={hatch}
          />
          <Edge x1={area.left} x2={area.right} y1={py(floor.y)} y2={py(floor.y)} />
        </>
      ) : null}
      {beyond ? (
        <>
          <rect
            x={px(beyond.x)}
            y={area.top}
            width={Math.max(0, area.right - px(beyond.x))}
            height={area.bottom - area.top}
            fill={hatch}
          />
          <Edge x1={px(beyond.x)} x2={px(beyond.x)} y1={area.top} y2={area.bottom} />
        </>
      ) : null}
      {levels.map(({ label, y }) => (
        <g key={label}>
          <rect x={area.left} y={py(y) - 8} width={wide} height={8} fill={hatch} />
          <Edge x1={area.left} x2={area.right} y1={py(y)} y2={py(y)} />
        </g>
      ))}
    </>
  );
}

function Edge(ends: { x1: number; x2: number; y1: number; y2: number }) {
  return <line {...ends} stroke="var(--rust)" strokeWidth="1.6" />;
}
