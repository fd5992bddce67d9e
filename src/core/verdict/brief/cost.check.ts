import { makeList, totalsOf } from '../../worked/print/makeList';
import { measure } from '../../base/measure';
import { defineCheck, type Found } from '../engine/check';
import { finding, working } from '../../base/finding';

declare module '../../base/finding' {
  interface FindingFacts {
    'brief.cost': { lines: number; unpriced: number };
    'remedy.salvage': { what: string };
  }
}

const MOST_LISTED = 5;

/** Make-or-buy total against the budget. */
export const cost = defineCheck({
  id: 'brief.cost',
  at: { segment: 'brief', side: 'wish' },
  anySurface: true,
  quantity: 'price',
  kind: 'ceiling',
  tightUnder: 1.05,
  find: ({ document }): Found => {
    const { budget } = document.brief;
    const lines = makeList(document);
    const { price, unpriced } = totalsOf(lines);
    const priced = lines.length - unpriced;
    if (budget === undefined || priced === 0)
      return {
        missing: [
          ...(budget === undefined ? ['brief.budget'] : []),
          ...(priced === 0 ? ['print.list:price'] : []),
        ],
      };
    return {
      value: price,
      limit: budget,
      finding: finding('brief.cost', { lines: lines.length, unpriced }),
      working: working('working.list', {
        lines: [...lines]
          .filter(({ price: one = 0, quantity }) => one * quantity > 0)
          .sort((a, b) => b.price! * b.quantity - a.price! * a.quantity)
          .slice(0, MOST_LISTED)
          .map(({ name, price: one, quantity }) => ({
            name,
            count: quantity,
            each: measure(one!, 'price'),
            value: measure(one! * quantity, 'price'),
          })),
      }),
    };
  },
  remedies: ({ document }) => {
    const dear = makeList(document)
      .filter(({ price = 0, quantity, source }) => price * quantity > 0 && source === 'bought')
      .sort((a, b) => b.price! * b.quantity - a.price! * a.quantity)[0];
    return dear
      ? [
          {
            patch: [
              { path: ['print', 'list', dear.id], value: { ...dear.said, source: 'salvaged', price: 0 } },
            ],
            cost: 2,
            says: finding('remedy.salvage', { what: dear.name }),
          },
        ]
      : [];
  },
  provenBy: { run: 'look', how: 'readList' },
  supports: [],
});
