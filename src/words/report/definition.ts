import type { Photo } from '@/core/car/records/report';

/** A drawing of its own as SVG, in mm of paper. */
export interface Picture {
  /** Name of its file, without an ending. */
  name: string;
  svg: string;
  /** Height over width. */
  aspect: number;
  caption: string;
}

export type Block =
  | { kind: 'heading'; text: string; level: 1 | 2 }
  | { kind: 'text'; text: string; quiet?: true }
  | { kind: 'list'; items: readonly string[] }
  /** Short pairs of what and how much. */
  | { kind: 'facts'; rows: readonly (readonly [string, string])[] }
  /** `numbers` are the columns set to the right. */
  | {
      kind: 'table';
      head: readonly string[];
      rows: readonly (readonly string[])[];
      numbers?: readonly number[];
      widths?: readonly number[];
    }
  | { kind: 'caution'; text: string }
  | { kind: 'picture'; picture: Picture }
  | { kind: 'photos'; photos: readonly Photo[] }
  /** Stays on one page. */
  | { kind: 'together'; blocks: readonly Block[] };

/** Every block, those that stay together among the others. */
export const flat = (blocks: readonly Block[]): Block[] =>
  blocks.flatMap((block) => (block.kind === 'together' ? flat(block.blocks) : [block]));

/** A paper of a build, before it is a page, a PDF or Markdown. */
export interface Report {
  title: string;
  subtitle: string;
  blocks: readonly Block[];
}

export const REPORT_KINDS = ['build', 'test'] as const;
export type ReportKind = (typeof REPORT_KINDS)[number];
export const REPORT_NAMES: Readonly<Record<ReportKind, string>> = {
  build: 'Build sheet',
  test: 'Test report',
};
