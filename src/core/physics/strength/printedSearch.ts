import { CalcError, refusal } from '../../base/errors';
import { printedBar } from './printedBar';
import type { LightestSection, PrintedSectionInput } from './printedSectionDefinition';
import { spread, type Values } from '../../base/numeric/values';
import { type Finding, finding } from '../../base/finding';

declare module '../../base/finding' {
  interface FindingFacts {
    'note.printedSearch.none': Record<never, never>;
  }
}

declare module '../../base/errors' {
  interface RefusalFacts {
    'printedSection.combinations': { tried: number; most: number };
    'printedSection.tooMany': { most: number };
  }
}

const MOST = 200_000;
const TIE = 1e-9;

/** The lightest bar of all combinations that holds its load with the margin wanted. */
export function searchPrinted(input: PrintedSectionInput): {
  lightest?: LightestSection;
  tried: number;
  enough: number;
  note?: Finding;
} {
  const { search, settings } = input;
  const [perimeters, infills, heights] = [
    valuesOf(search!.perimeters),
    valuesOf(search!.infillPct),
    valuesOf(search!.heightMm),
  ];
  const tried = perimeters.length * infills.length * heights.length;
  if (tried > MOST) throw refusal('search', 'printedSection.combinations', { tried, most: MOST });
  let lightest: LightestSection | undefined;
  let enough = 0;
  for (const count of perimeters)
    for (const infillPct of infills)
      for (const heightMm of heights) {
        const found = barOf({ ...input, heightMm, settings: { ...settings, perimeters: count, infillPct } });
        if (found?.margin === undefined || found.margin < search!.margin) continue;
        enough++;
        const one: LightestSection = {
          perimeters: count,
          infillPct,
          heightMm,
          massGPerM: found.massGPerM,
          margin: found.margin,
          limitedBy: found.limitedBy!,
        };
        if (!lightest || isLighter(one, lightest)) lightest = one;
      }
  return {
    tried,
    enough,
    ...(lightest ? { lightest } : { note: finding('note.printedSearch.none', {}) }),
  };
}

/** Undefined for a bar that falls apart. */
function barOf(input: PrintedSectionInput) {
  try {
    return printedBar(input);
  } catch (error) {
    if (!(error instanceof CalcError)) throw error;
    return undefined;
  }
}

function isLighter(a: LightestSection, b: LightestSection): boolean {
  if (Math.abs(a.massGPerM - b.massGPerM) > TIE * b.massGPerM) return a.massGPerM < b.massGPerM;
  return (a.perimeters - b.perimeters || a.infillPct - b.infillPct || a.heightMm - b.heightMm) < 0;
}

function valuesOf(values: Values): readonly number[] {
  const found = spread(values, MOST);
  if (!found) throw refusal('search', 'printedSection.tooMany', { most: MOST });
  return found;
}
