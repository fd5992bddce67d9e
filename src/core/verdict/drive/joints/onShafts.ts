import type { Shaft } from '../../../car/document/drive';
import { type ShaftFound, shaftMissing, shaftsOf } from '../../../worked/drive/shaftOfBuild';
import type { Worked } from '../../../worked/worked';

/** The shafts of a build that count, each with its loads; or what is missing. */
export function onShafts(
  subject: Worked,
  counts: (shaft: Shaft) => boolean,
): { missing: string[] } | ShaftFound[] {
  const { document, surface } = subject;
  const own = (document.drive.shafts ?? []).filter(counts);
  const input = subject.runInput();
  const missing = [
    ...(own.length === 0 ? ['drive.shafts'] : []),
    ...own.flatMap(shaftMissing),
    ...(input.ok ? [] : input.missing),
  ];
  if (missing.length > 0 || !input.ok || !surface) return { missing };
  return shaftsOf({ document, surface, input: input.value, run: subject.run()! }).filter(({ shaft }) =>
    counts(shaft),
  );
}

export const weakestOf = (found: readonly ShaftFound[], margin: (one: ShaftFound) => number | undefined) =>
  [...found].sort((a, b) => (margin(a) ?? Infinity) - (margin(b) ?? Infinity))[0]!;

export const atShaft = (shaft: Shaft, key: string) => ['drive', 'shafts', shaft.id, key];
