import { type LibraryItem } from '@/core/car/library/kinds';
import { normalFrom } from '@/core/base/numeric/random';
import { USUAL_COUPON } from '@/core/physics/printing/couponPiece';
import { marshHarePrinters } from './marshHarePrint';

const [HOLE_OFFSET, HOLE_SLOPE, PEG_OFFSET, PEG_SLOPE, READING_SD, FREED_FROM, COUPON_SEED] = [
  -0.19, 1.003, 0.08, 1.001, 0.025, 0.25, 29,
];

/** The test piece as read: holes come out small, pegs a little large, a quarter of a millimetre turns. */
export function marshHareCoupon(): LibraryItem<'coupon'> {
  const error = normalFrom(COUPON_SEED);
  const read = (offset: number, slope: number, nominal: number) =>
    Number((Math.round((offset + slope * nominal + READING_SD * error()) * 50) / 50).toFixed(2));
  return {
    id: 'coupon-petg-usual',
    kind: 'coupon',
    data: {
      name: 'Printed PETG, usual bed',
      printer: marshHarePrinters[0]!.name,
      material: 'Printed PETG',
      samples: [
        ...USUAL_COUPON.holesMm.map((nominalMm) => ({
          id: `hole${nominalMm}`,
          kind: 'hole' as const,
          nominalMm,
          measuredMm: read(HOLE_OFFSET, HOLE_SLOPE, nominalMm),
        })),
        ...USUAL_COUPON.pegsMm.map((nominalMm) => ({
          id: `peg${nominalMm}`,
          kind: 'peg' as const,
          nominalMm,
          measuredMm: read(PEG_OFFSET, PEG_SLOPE, nominalMm),
        })),
      ],
      gaps: USUAL_COUPON.gapsMm.map((gapMm) => ({ id: `gap${gapMm}`, gapMm, freed: gapMm >= FREED_FROM })),
    },
  };
}
