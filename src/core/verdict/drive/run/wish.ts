import type { Worked } from '../../../worked/worked';

/** Paths that a run with a wished speed waits for. */
export function needsOfWish({ document, runInput }: Worked): string[] {
  const input = runInput();
  return [
    ...(input.ok ? [] : input.missing),
    ...(document.brief.targetMps === undefined ? ['brief.targetMps'] : []),
  ];
}
