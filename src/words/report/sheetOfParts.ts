import { durationText } from '@/core/base/units/duration';
import { formatNumber, formatText, type Reader } from '@/core/base/units/formatQuantity';
import { type BuildDocument, emptyDocument } from '@/core/car/document/document';
import { describeChanges } from '@/words/labels/describe';
import { makeList, totalsOf } from '@/core/worked/print/makeList';
import { estimateOfPart } from '@/core/worked/print/printed';
import type { PrinterTimes } from '@/core/worked/print/printerTimes';
import { listedAs, quantityOf } from '@/core/worked/print/sources';
import type { Block } from './definition';

export function printed(document: BuildDocument, times: PrinterTimes, reader: Reader): Block[] {
  const parts = document.parts.items.filter((part) => listedAs(document, part).source === 'printed');
  if (parts.length === 0) return [];
  const rows = parts.map((part) => {
    const found = estimateOfPart(document, part, 'final', times);
    const { perimeters, infill } = part;
    return [
      part.name,
      formatNumber(quantityOf(document, part), reader.locale),
      part.material?.name ?? 'not said',
      part.layers === undefined ? '' : `${part.layers} the part`,
      [
        perimeters === undefined ? '' : `${perimeters} walls`,
        infill === undefined ? '' : `${formatText(infill, 'share', reader, 3)} infill`,
      ]
        .filter(Boolean)
        .join(', '),
      found.ok ? durationText(found.value.timeS) : '',
      found.ok
        ? formatText(found.value.massG, 'massG', reader, 3)
        : part.massG === undefined
          ? ''
          : formatText(part.massG, 'massG', reader),
    ];
  });
  const printers = (document.print.printers ?? []).map(
    ({ name, bedWidthMm, bedDepthMm, bedHeightMm }) =>
      `${name}: bed ${[bedWidthMm, bedDepthMm, bedHeightMm].map((side) => formatText(side, 'lengthMm', reader)).join(' × ')}`,
  );
  const profile = describeChanges(emptyDocument(), document, reader).filter(
    ({ path }) => path[0] === 'print' && (path[1] === 'final' || path[1] === 'spacingMm'),
  );
  return [
    { kind: 'heading', level: 1, text: 'Printed parts' },
    ...(printers.length > 0
      ? [
          {
            kind: 'text' as const,
            text: `${printers.join('; ')}${profile.length > 0 ? `; ${profile.map(({ label, after }) => `${label.toLowerCase()} ${after}`).join(', ')}` : ''}. Time and mass are of one copy.`,
          },
        ]
      : []),
    {
      kind: 'table',
      head: ['Part', 'Times', 'Material', 'Layers', 'Settings', 'Time', 'Mass'],
      rows,
      numbers: [1, 5, 6],
      widths: [3, 1, 3, 2, 2.4, 1.5, 1.4],
    },
  ];
}
export function bought(document: BuildDocument, times: PrinterTimes, reader: Reader): Block[] {
  const lines = makeList(document, times).filter(({ quantity }) => quantity > 0);
  const others = lines.filter(({ source }) => source !== 'printed');
  if (others.length === 0) return [];
  const totals = totalsOf(lines);
  const price = (value: number | undefined) =>
    value === undefined ? '' : formatText(value, 'price', reader);
  const rows = others.map(({ name, source, quantity, price: one }) => [
    name,
    source,
    formatNumber(quantity, reader.locale),
    price(one),
    price(one === undefined ? undefined : one * quantity),
  ]);
  return [
    { kind: 'heading', level: 1, text: 'Bought and found' },
    {
      kind: 'table',
      head: ['Thing', 'From', 'Times', 'Each', 'Together'],
      rows,
      numbers: [2, 3, 4],
      widths: [5, 1.5, 1, 1.6, 1.6],
    },
    {
      kind: 'text',
      text: `Everything with the printed parts: ${price(totals.price)}${totals.unpriced > 0 ? `, ${totals.unpriced} things without a price` : ''}${document.brief.budget === undefined ? '' : `; ${price(document.brief.budget)} is the budget`}.`,
    },
  ];
}
