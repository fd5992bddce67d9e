import type { LineStyle } from './chartProps';

/** Predicted is dashed, measured is solid, an earlier revision is thin. */
export const LINE_LOOKS: Readonly<
  Record<LineStyle, { stroke: string; width: number; dash?: string; ink: string }>
> = {
  predicted: { stroke: 'var(--ink)', width: 2.4, dash: '7 4', ink: 'var(--ink)' },
  predictedQuiet: { stroke: 'var(--moss)', width: 2.2, dash: '5 3', ink: 'var(--moss)' },
  measured: { stroke: 'var(--slate)', width: 2.2, ink: 'var(--slate)' },
  earlier: { stroke: 'var(--ghost)', width: 1.3, ink: 'var(--ghost)' },
};
