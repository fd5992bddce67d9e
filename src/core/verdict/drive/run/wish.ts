import type { Subject } from '../../../worked/subject';

/** Paths that a run with a wished speed waits for. */
export function needsOfWish({ document, runInput }: Subject): string[] {
  const input = runInput();
  return [
    ...(input.ok ? [] : input.missing),
    ...(document.brief.targetMps === undefined ? ['brief.targetMps'] : []),
  ];
}
