import { defineLibraryKind } from './define';
import { STAGE_KINDS, type StageKind } from '../../stages/stage';

/** A kind of reduction as it is made here. */
export interface StageAtHand {
  name: string;
  kind: StageKind;
  efficiency: number;
}

export const stage = defineLibraryKind<StageAtHand>({
  figures: {
    kind: { oneOf: STAGE_KINDS },
    efficiency: { quantity: 'share', limits: { above: 0, to: 1 } },
  },
  blank: { kind: 'spur', efficiency: 0.95 },
  tells: ['efficiency'],
});
