import type { BuildDocument } from '@/core/car/document/document';
import type { Thresholds } from '@/core/verdict/engine/check';
import { keepLast } from '@/core/base/kept';
import type { BuildRecord, KeptBuild } from '@/core/car/records/records';
import type { LibraryItem } from '@/core/car/library/kinds';
import type { PrintSheet } from '@/core/car/records/prints';

/** What every page of a build begins with. */
export interface BuildData {
  whole: KeptBuild;
  library: readonly LibraryItem[];
  thresholds: Thresholds;
  finishedPrints: readonly PrintSheet[];
  printAheadMinutes: number | undefined;
  builds: readonly BuildRecord[];
}

const texts = new WeakMap<BuildDocument, string>();
const textOf = (document: BuildDocument): string =>
  texts.get(document) ?? texts.set(document, JSON.stringify(document)).get(document)!;

/** A build as one text, each document once: a page takes it over many times faster than the objects themselves. */
export function packBuild({ whole, ...more }: BuildData): string {
  const places = new Map<BuildDocument, number>();
  const placed = <T extends { document: BuildDocument }>(holders: readonly T[]) =>
    holders.map((one) => ({
      ...one,
      document: places.get(one.document) ?? places.set(one.document, places.size).get(one.document)!,
    }));
  const rest = JSON.stringify({
    ...more,
    whole: { ...whole, revisions: placed(whole.revisions), runs: placed(whole.runs) },
  });
  return `{"documents":[${[...places.keys()].map(textOf).join(',')}],"data":${rest}}`;
}

type Placed<T> = Omit<T, 'document'> & { document: number };

const keep = keepLast<BuildData>(20);

/** The build of a text; of one that was unpacked lately it is the same. */
export const unpackBuild = (text: string): BuildData => keep(text, () => unpacked(text));

function unpacked(text: string): BuildData {
  const { documents, data } = JSON.parse(text) as {
    documents: BuildDocument[];
    data: Omit<BuildData, 'whole'> & {
      whole: Omit<KeptBuild, 'revisions' | 'runs'> & {
        revisions: Placed<KeptBuild['revisions'][number]>[];
        runs: Placed<KeptBuild['runs'][number]>[];
      };
    };
  };
  const { revisions, runs } = data.whole;
  const lifted = <T extends { document: number }>(holders: readonly T[]) =>
    holders.map((one) => ({ ...one, document: documents[one.document]! }));
  return { ...data, whole: { ...data.whole, revisions: lifted(revisions), runs: lifted(runs) } };
}
