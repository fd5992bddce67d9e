import checksCss from '@/ui/checks.module.css';
import type { Check } from '@/core/verdict/engine/check';

const WIDTH = 132;

/** Value against limit as a bar with the limit as a hatched edge. */
export function MarginBar({ check }: { check: Check }) {
  'use memo';
  const { value, limit, margin, state, kind } = check;
  if (value === undefined || limit === undefined || margin === undefined || state === 'unknown')
    return <span className={checksCss.bar} />;
  const ceiling = kind === 'ceiling';
  const edge = ceiling ? WIDTH * 0.8 : WIDTH * 0.35;
  const filled = Math.max(2, Math.min(WIDTH, (value / (limit || 1e-9)) * edge));
  const colour = `var(--${state === 'clear' ? 'moss' : state === 'tight' ? 'ochre' : 'rust'})`;
  return (
    <svg className={checksCss.bar} width={WIDTH} height="14" aria-hidden="true">
      <defs>
        <pattern
          id="barhatch"
          width="5"
          height="5"
          patternUnits="userSpaceOnUse"
          patternTransform="rotate(45)"
        >
          <line x1="0" y1="0" x2="0" y2="5" stroke="var(--rust)" strokeWidth="1.5" opacity=".5" />
        </pattern>
      </defs>
      <rect x="0" y="5" width={WIDTH} height="4" fill="var(--faint)" />
      {ceiling ? (
        <rect x={edge} y="1" width={WIDTH - edge} height="12" fill="url(#barhatch)" />
      ) : (
        <rect x="0" y="1" width={edge} height="12" fill="url(#barhatch)" />
      )}
      <rect x="0" y="5" width={filled} height="4" fill={colour} />
      <line x1={edge} x2={edge} y1="0" y2="14" stroke="var(--rust)" strokeWidth="1.5" />
    </svg>
  );
}
