import type { ChartProps, StripLook } from './chartProps';
import type { Plot } from './plotScales';

const HEIGHT = 7;
const FILLS: Readonly<Record<StripLook, string>> = {
  accent: 'var(--moss)',
  ink: 'var(--ink)',
  hollow: 'var(--sheet)',
};

/** A band along the foot of a chart, a piece for every run of stretches that look the same. */
export function Strip({ strip, plot }: { strip: NonNullable<ChartProps['strip']>; plot: Plot }) {
  const { xs, looks } = strip;
  const pieces = looks.flatMap((look, at) => (looks[at - 1] === look ? [] : [{ look, at }]));
  const { bottom } = plot.area;
  return (
    <g data-part="strip">
      {pieces.map(({ look, at }, index) => {
        const to = pieces[index + 1]?.at ?? looks.length;
        const left = plot.px(xs[at]!);
        return (
          <rect
            key={at}
            x={left}
            y={bottom - HEIGHT}
            width={Math.max(0, plot.px(xs[to]!) - left)}
            height={HEIGHT}
            fill={FILLS[look]}
            stroke="var(--ink)"
            strokeWidth="0.75"
          />
        );
      })}
    </g>
  );
}
