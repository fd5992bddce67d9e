import { FAILSAFE_ITEMS, type FailsafeItem } from '../../../car/document/power';
import { failsafeMarks, type FailsafePart, undoneBy } from '../../../worked/power/failsafe';
import { defineCheck, type Found } from '../../engine/check';
import { finding, working } from '../../../base/finding';

declare module '../../../base/finding' {
  interface FindingFacts {
    'power.failsafe.undone': { undone: number; of: number; changed: readonly FailsafePart[] };
    'power.failsafe.open': { open: readonly FailsafeItem[] };
    'power.failsafe.tried': Record<never, never>;
  }
  interface WorkingFacts {
    'power.failsafe': { item: FailsafeItem; at: string; undoneBy: readonly FailsafePart[] }[];
  }
}

/** The fail-safe list: tried, and not undone by a later change. */
export const failsafe = defineCheck({
  id: 'power.failsafe',
  at: { segment: 'power', side: 'radio' },
  anySurface: true,
  quantity: 'count',
  kind: 'floor',
  tightUnder: 1,
  find: ({ document: { power } }): Found => {
    const marks = failsafeMarks(power);
    const ticks = (power.failsafe ?? []).map(({ id, at, of }) => ({
      item: id,
      at,
      undoneBy: undoneBy({ id, at, of }, marks),
    }));
    if (ticks.length === 0) return { missing: ['power.failsafe'] };
    const undone = ticks.filter((tick) => tick.undoneBy.length > 0);
    const open = FAILSAFE_ITEMS.filter(
      (id) => !ticks.some(({ item, undoneBy: by }) => item === id && by.length === 0),
    );
    return {
      value: FAILSAFE_ITEMS.length - open.length,
      limit: FAILSAFE_ITEMS.length,
      state: undone.length > 0 ? 'over' : open.length > 0 ? 'tight' : 'clear',
      finding:
        undone.length > 0
          ? finding('power.failsafe.undone', {
              undone: undone.length,
              of: ticks.length,
              changed: [...new Set(undone.flatMap((tick) => tick.undoneBy))],
            })
          : open.length > 0
            ? finding('power.failsafe.open', { open })
            : finding('power.failsafe.tried', {}),
      working: working('power.failsafe', ticks),
    };
  },
  provenBy: { run: 'spin', how: 'failsafeList' },
  supports: [],
});
