import type { Photo } from '@/core/car/records/report';
import { markdownText } from '@/core/base/units/markdown';
import { type Block, flat, type Picture, type Report } from './definition';

export interface MarkdownReport {
  text: string;
  /** Drawings and photographs beside it, by the name that the text calls them. */
  pictures: { path: string; svg: string }[];
  photos: { path: string; hash: string }[];
}

const picturePath = ({ name }: Picture) => `pictures/${name}.svg`;
const photoPath = ({ hash }: Photo) => `pictures/photo-${hash.slice(0, 12)}.jpg`;

/** A report as Markdown, with its pictures as files of their own. */
export function reportAsMarkdown({ title, subtitle, blocks: all }: Report): MarkdownReport {
  const blocks = flat(all);
  const pictures = blocks.flatMap((block) =>
    block.kind === 'picture' ? [{ path: picturePath(block.picture), svg: block.picture.svg }] : [],
  );
  const photos = blocks.flatMap((block) =>
    block.kind === 'photos'
      ? block.photos.map((photo) => ({ path: photoPath(photo), hash: photo.hash }))
      : [],
  );
  return {
    text: `${[`# ${markdownText(title)}`, markdownText(subtitle), ...blocks.map(blockText)].join('\n\n')}\n`,
    pictures,
    photos: [...new Map(photos.map((photo) => [photo.path, photo])).values()],
  };
}

function blockText(block: Block): string {
  switch (block.kind) {
    case 'together':
      return flat(block.blocks).map(blockText).join('\n\n');
    case 'heading':
      return `${'#'.repeat(block.level + 1)} ${markdownText(block.text)}`;
    case 'text':
      return markdownText(block.text);
    case 'list':
      return block.items.map((item) => `- ${markdownText(item)}`).join('\n');
    case 'facts':
      return table(['', ''], block.rows, []);
    case 'table':
      return table(block.head, block.rows, block.numbers ?? []);
    case 'caution':
      return `> **Caution.** ${markdownText(block.text)}`;
    case 'picture':
      return `![${markdownText(block.picture.caption)}](${picturePath(block.picture)})\n\n*${markdownText(block.picture.caption)}*`;
    case 'photos':
      return block.photos
        .map(
          (photo) =>
            `![${markdownText(photo.caption ?? 'Photograph')}](${photoPath(photo)})${photo.caption ? `\n\n*${markdownText(photo.caption)}*` : ''}`,
        )
        .join('\n\n');
  }
}

function table(
  head: readonly string[],
  rows: readonly (readonly string[])[],
  numbers: readonly number[],
): string {
  const line = (cells: readonly string[]) => `| ${cells.map(markdownText).join(' | ')} |`;
  return [
    line(head),
    `|${head.map((_, column) => (numbers.includes(column) ? ' ---: ' : ' --- ')).join('|')}|`,
    ...rows.map(line),
  ].join('\n');
}
