import { expose } from 'comlink';
import type { ChosenSurface } from '@/core/car/document/brief';
import type { BuildDocument } from '@/core/car/document/document';
import { planExplorer } from '@/core/worked/drive/explorer';
import type { RatioRange, SweepRow } from '@/core/physics/search/sweep';
import type { LibraryItem } from '@/core/car/library/kinds';

/** Long enough that the way to the page does not count, short enough that a cancel is felt at once. */
const CHUNK_MS = 40;
const breath = () => new Promise<void>((resume) => setTimeout(resume, 0));

/** A sweep that is no longer the latest stops at its next breath. */
let latest = 0;

const api = {
  /** Every `of`-th combination from `part` on; `report` gets the number done since the last time. */
  async sweep(
    document: BuildDocument,
    surface: ChosenSurface,
    library: readonly LibraryItem[],
    ratios: RatioRange,
    part: number,
    of: number,
    report: (done: number) => Promise<void>,
  ): Promise<SweepRow[] | undefined> {
    const mine = ++latest;
    const plan = planExplorer(document, surface, library, ratios);
    if (!plan.ok) return [];
    const rows: SweepRow[] = [];
    let since = performance.now();
    let told = 0;
    for (let index = part; index < plan.value.count; index += of) {
      rows.push(plan.value.row(index));
      if (performance.now() - since < CHUNK_MS) continue;
      await report(rows.length - told);
      told = rows.length;
      await breath();
      if (mine !== latest) return undefined;
      since = performance.now();
    }
    await report(rows.length - told);
    return rows;
  },
  cancel(): void {
    latest++;
  },
};

export type SweepWorker = typeof api;

expose(api);
