import type { Column, Content, TableCell, TDocumentDefinitions } from 'pdfmake/interfaces';
import type { Photo } from '@/core/car/records/report';
import type { Block, Report } from './definition';

/** Of A4 and Letter the narrower, between margins, pt. */
const [INNER, MARGIN] = [512, 42];
const [INK, QUIET, RULE, OCHRE, MOSS] = ['#20241F', '#5B6158', '#DAD5C8', '#8A6212', '#46633A'];
const PHOTOS_A_ROW = 3;
/** Of a line, a letter and a row of photographs with their captions, and what fits on a page together, pt. */
const [LINE, LETTER, PHOTO_ROW, MOST_TOGETHER] = [14, 5, 175, 560];
const GAP = 8;
/** A heading that would begin lower down, as a share of the page, begins the next one. */
const LAST_HEADING = 0.84;

/** What the paper's font cannot write. */
const written = (text: string) => text.replace(/\s*→\s*/g, ' to ').replace(/\u00a0/g, ' ');

/** Stands for a photograph that cannot be read. */
export const UNREADABLE = Symbol('a photograph that cannot be read');
export type Images = Readonly<Record<string, string | typeof UNREADABLE>>;

/**
 * A report as the definition of a PDF: A4 or Letter, a heading never alone at the foot, table heads on every page.
 *
 * @param images JPEG as data URLs, by the hash of the photograph; those that are not there or cannot be read are said so in their places
 */
export function reportAsPaper(
  { title, subtitle, blocks }: Report,
  images: Images,
  size: 'A4' | 'LETTER',
): TDocumentDefinitions {
  return {
    info: { title, creator: 'Lean Badger', producer: 'Lean Badger' },
    pageSize: size,
    pageMargins: [MARGIN, 52, MARGIN, 46],
    images: Object.fromEntries(
      Object.entries(images).filter((one): one is [string, string] => one[1] !== UNREADABLE),
    ),
    defaultStyle: { font: 'Roboto', fontSize: 9, color: INK, lineHeight: 1.15 },
    styles: {
      heading1: { fontSize: 13, bold: true, margin: [0, 14, 0, 4] },
      heading2: { fontSize: 10.5, bold: true, margin: [0, 9, 0, 2] },
      head: { bold: true, color: QUIET, fontSize: 8 },
      quiet: { color: QUIET, fontSize: 8 },
    },
    header: () => ({ text: written(title), color: QUIET, fontSize: 8, margin: [MARGIN, 24, MARGIN, 0] }),
    footer: (page: number, pages: number) => ({
      columns: [
        { text: 'Lean Badger', color: QUIET, fontSize: 8 },
        { text: `${page} of ${pages}`, alignment: 'right', color: QUIET, fontSize: 8 },
      ],
      margin: [MARGIN, 12, MARGIN, 0],
    }),
    pageBreakBefore: ({ headlineLevel, startPosition }) =>
      headlineLevel !== undefined && startPosition.verticalRatio > LAST_HEADING,
    content: [
      { text: written(title), fontSize: 20, bold: true },
      { text: written(subtitle), color: QUIET, margin: [0, 2, 0, 8] },
      ...blocks.map((block) => contentOf(block, images)),
    ],
  };
}

function contentOf(block: Block, images: Images): Content {
  switch (block.kind) {
    // what is longer than a page and must not be broken would not be written at all
    case 'together':
      return {
        unbreakable: heightOf(block) < MOST_TOGETHER,
        stack: block.blocks.map((one) => contentOf(one, images)),
      };
    case 'heading':
      return { text: written(block.text), style: `heading${block.level}`, headlineLevel: block.level };
    case 'text':
      return { text: written(block.text), margin: [0, 2, 0, 4], ...(block.quiet ? { style: 'quiet' } : {}) };
    case 'list':
      return { ul: block.items.map(written), margin: [0, 2, 0, 4] };
    case 'facts':
      return {
        margin: [0, 2, 0, 4],
        layout: RULED,
        table: {
          widths: ['36%', '*'],
          dontBreakRows: true,
          body: block.rows.map(([label, value]) => [{ text: written(label), color: QUIET }, written(value)]),
        },
      };
    case 'table':
      return {
        margin: [0, 4, 0, 6],
        layout: RULED,
        table: {
          headerRows: 1,
          keepWithHeaderRows: 1,
          dontBreakRows: true,
          widths: widthsOf(block),
          body: [
            block.head.map((text, column): TableCell => ({
              text: written(text),
              style: 'head',
              alignment: sideOf(block, column),
            })),
            ...block.rows.map((row) =>
              row.map((text, column): TableCell => ({
                text: written(text),
                alignment: sideOf(block, column),
                fontSize: 8.5,
              })),
            ),
          ],
        },
      };
    case 'caution':
      return {
        margin: [0, 3, 0, 3],
        layout: { hLineWidth: () => 0, vLineWidth: (at) => (at === 0 ? 2 : 0), vLineColor: () => OCHRE },
        table: { widths: ['*'], body: [[written(block.text)]] },
      };
    case 'picture':
      return {
        unbreakable: true,
        margin: [0, 4, 0, 8],
        stack: [
          { svg: block.picture.svg, width: INNER },
          { text: written(block.picture.caption), style: 'quiet' },
        ],
      };
    case 'photos':
      return {
        stack: rowsOf(block.photos).map((row): Content => ({
          unbreakable: true,
          margin: [0, 4, 0, 4],
          columnGap: GAP,
          columns: row.map((photo) => photoOf(photo, images)),
        })),
      };
  }
}

/** About how high a block is, pt; rather more than less. */
function heightOf(block: Block): number {
  const lines = (text: string, width: number) => LINE * Math.ceil((text.length * LETTER) / width + 1);
  switch (block.kind) {
    case 'together':
      return block.blocks.reduce((sum, one) => sum + heightOf(one), 0);
    case 'heading':
      return 3 * LINE;
    case 'text':
    case 'caution':
      return lines(block.text, INNER);
    case 'list':
      return block.items.reduce((sum, item) => sum + lines(item, INNER), 0);
    case 'facts':
      return block.rows.reduce(
        (sum, [label, value]) => sum + Math.max(lines(label, INNER / 3), lines(value, INNER / 2)),
        0,
      );
    case 'table':
      return block.rows.reduce(
        (sum, row) => sum + Math.max(...row.map((text) => lines(text, INNER / row.length))),
        3 * LINE,
      );
    case 'picture':
      return INNER * block.picture.aspect + 3 * LINE;
    case 'photos':
      return Math.ceil(block.photos.length / PHOTOS_A_ROW) * PHOTO_ROW;
  }
}

const RULED = {
  hLineWidth: (row: number, node: { table: { body: unknown[] } }) =>
    row === 0 || row === node.table.body.length ? 0 : 0.5,
  vLineWidth: () => 0,
  hLineColor: () => RULE,
  paddingLeft: () => 0,
  paddingRight: () => 8,
  paddingTop: () => 2,
  paddingBottom: () => 2,
};

const sideOf = ({ numbers = [] }: { numbers?: readonly number[] }, column: number): 'left' | 'right' =>
  numbers.includes(column) ? 'right' : 'left';

/** Shares of the paper's width; equal where none are given. */
function widthsOf({
  head,
  widths,
}: {
  head: readonly string[];
  widths?: readonly number[];
}): (number | string)[] {
  if (!widths) return head.map(() => '*');
  const all = widths.reduce((sum, one) => sum + one, 0);
  return widths.map((one) => (INNER * one) / all - GAP);
}

const rowsOf = (photos: readonly Photo[]): Photo[][] =>
  Array.from({ length: Math.ceil(photos.length / PHOTOS_A_ROW) }, (_, row) =>
    photos.slice(row * PHOTOS_A_ROW, (row + 1) * PHOTOS_A_ROW),
  );

function photoOf({ hash, caption }: Photo, images: Images): Column {
  const width = (INNER - GAP * (PHOTOS_A_ROW - 1)) / PHOTOS_A_ROW;
  return {
    width,
    stack: [
      images[hash] === undefined || images[hash] === UNREADABLE
        ? {
            text:
              images[hash] === UNREADABLE
                ? 'The photograph cannot be read.'
                : 'The photograph is not in this workshop.',
            color: MOSS,
          }
        : { image: hash, fit: [width, width * 0.75] },
      ...(caption ? [{ text: written(caption), style: 'quiet' }] : []),
    ],
  };
}
