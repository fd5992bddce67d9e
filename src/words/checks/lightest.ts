import { formatNumber, formatText, type Reader } from '@/core/base/units/formatQuantity';
import type { LimitedBy, PartLightestResult } from '@/core/physics/lightest/lightestDefinition';
import type { Section } from '@/core/physics/strength/section';

const LIMITS: Readonly<Record<LimitedBy, string>> = {
  bending: 'bending',
  shear: 'shear',
  buckling: 'buckling',
  deflection: 'how far it gives',
};

/** A section by its sizes. */
export function sectionWords(section: Section, reader: Reader): string {
  const mm = (value: number) => formatText(value, 'lengthMm', reader, 3);
  switch (section.shape) {
    case 'rectangle':
      return `bar, ${mm(section.widthMm)} wide, ${mm(section.heightMm)} high`;
    case 'round':
      return `round bar of ${mm(section.diameterMm)}`;
    case 'tube':
      return `tube of ${mm(section.diameterMm)}, wall ${mm((section.diameterMm - section.boreMm) / 2)}`;
    case 'box':
      return `box, ${mm(section.widthMm)} by ${mm(section.heightMm)}, wall ${mm(section.wallMm)}`;
    default:
      return section.shape;
  }
}

/** The lightest part in a sentence, beside what it weighs now; or what comes nearest. */
export function lightestWords(
  { best, closest, tried, enough }: PartLightestResult,
  nowG: number | undefined,
  reader: Reader,
): string {
  const many = (value: number) => formatNumber(value, reader.locale, 7);
  if (best)
    return `${formatText(best.massG, 'massG', reader, 3)}${nowG === undefined ? '' : ` instead of ${formatText(nowG, 'massG', reader, 3)}`}: a solid ${sectionWords(best.section, reader)}, of ${best.material}; ${LIMITS[best.limitedBy.by]} limits it. ${many(enough)} of ${many(tried)} hold.`;
  return closest
    ? `None of ${many(tried)} holds all loads: the nearest has ${formatText(closest.limitedBy.ratio, 'share', reader, 2)} of what is wanted, by ${LIMITS[closest.limitedBy.by]}. Allow larger sizes.`
    : 'Nothing acts on it.';
}
