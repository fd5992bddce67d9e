import type { BuildDocument } from '../../car/document/document';
import type { Part } from '../../car/parts/parts';
import { applyPatch, type Patch } from '../../base/patch';
import { entryOf, listedAs, partLine, quantityOf } from '../../worked/print/sources';
import { estimateOfPart } from '../../worked/print/printed';
import type { PrinterTimes } from '../../worked/print/printerTimes';
import { hasLayers } from '../../worked/parts/materialOfBuild';
import type { Proposal } from '../../verdict/engine/check';
import { BENCH_MINUTES, type NextCost } from './definition';

/** Keys of a stage that a new wheel has to be made for. */
const WHEEL_KEYS: ReadonlySet<string> = new Set(['wheelTeeth', 'faceWidthMm', 'moduleMm', 'wheelMaterial']);
/** What is exchanged for another thing of a shop. */
const BOUGHT: readonly (readonly [section: string, key: string, line: string])[] = [
  ['drive', 'motor', 'motor'],
  ['drive', 'tyre', 'tyre'],
  ['power', 'battery', 'battery'],
  ['power', 'controller', 'controller'],
];

/** Parts that have to be made anew for a change: those that it touches, and the gear whose teeth it touches. */
export function partsToMake(document: BuildDocument, patch: Patch): Part[] {
  const items = document.parts.items;
  const touched = new Set(
    patch.filter(({ path }) => path[0] === 'parts' && path[1] === 'items').map(({ path }) => path[2]!),
  );
  if (patch.some(({ path }) => path[1] === 'stages' && WHEEL_KEYS.has(path[3] ?? '')))
    for (const { id, kind } of items) if (kind === 'gear') touched.add(id);
  return items.filter(({ id }) => touched.has(id));
}

/** Time of the builder and the printer, and money, that a change takes: printed parts as often as the car has them. */
export function costOf(
  document: BuildDocument,
  patch: Patch,
  effort: Proposal['cost'],
  times: PrinterTimes = [],
): NextCost {
  const after = applyPatch(document, patch);
  const made = partsToMake(document, patch).flatMap((part) => {
    const now = after.parts.items.find(({ id }) => id === part.id);
    return now ? [{ was: part, now }] : [];
  });
  const isPrinted = (now: Part) =>
    listedAs(after, now).source === 'printed' && (!now.material || hasLayers(now.material));
  const printed = made.filter(({ now }) => isPrinted(now));
  const estimates = printed.map(({ was, now }) => {
    const found = estimateOfPart(after, now, 'final', times);
    const copies = quantityOf(after, now) * grownBy(was, now);
    return found.ok
      ? {
          timeS: found.value.timeS * copies,
          cost: found.value.cost === undefined ? undefined : found.value.cost * copies,
        }
      : undefined;
  });
  const bought = [
    ...made.filter(({ now }) => !isPrinted(now)).map(({ now }) => partLine(now.id)),
    ...BOUGHT.filter(([section, key]) =>
      patch.some(({ path }) => path[0] === section && path[1] === key),
    ).map(([, , line]) => line),
    ...patch
      .filter(
        ({ path, value }) =>
          path[0] === 'power' && path[1] === 'rails' && path.length === 3 && value !== undefined,
      )
      .map(({ path }) => `rail.${path[2]}`),
  ];
  const prices = bought.map((line) => entryOf(document, line)?.price);
  const costs = [...estimates.map((one) => one?.cost), ...prices];
  const printS = estimates.reduce((sum, one) => sum + (one?.timeS ?? 0), 0);
  const known = costs.filter((one) => one !== undefined);
  return {
    benchMinutes: BENCH_MINUTES[effort],
    ...(printS > 0 ? { printS } : {}),
    ...(known.length > 0 ? { money: known.reduce((sum, one) => sum + one, 0) } : {}),
    ...(costs.some((one) => one === undefined) ? { priceUnknown: true as const } : {}),
  };
}

/** Plastic of a part whose few dimensions change, over what its mesh holds now: by the section. */
function grownBy({ shape: was }: Part, { shape: is }: Part): number {
  const ratio = (key: 'widthMm' | 'heightMm' | 'lengthMm') =>
    was?.[key] && is?.[key] ? is[key] / was[key] : 1;
  return ratio('widthMm') * ratio('heightMm') * ratio('lengthMm');
}
