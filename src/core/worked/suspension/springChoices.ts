import { applyPatch, type Patch } from '../../base/patch';
import type { BuildDocument } from '../../car/document/document';
import type { End } from '../../car/document/suspension';
import { landingOf, peaksAt } from './landingOfBuild';
import { rateOf, rideOf, springPatch } from './rideOfBuild';

export const SPRING_CHOICES = ['asItIs', 'sag', 'drop', 'damper'] as const;
export type SpringChoiceId = (typeof SPRING_CHOICES)[number];

/** A spring or damper to choose, and the drop that the end takes with it. */
export interface SpringChoice {
  readonly id: SpringChoiceId;
  readonly patch: Patch;
  /** m; left out where no drop of a model uses up the travel. */
  readonly maxDropM?: number;
}

/** Where nothing is wished, m: a kerb. */
const ANY_DROP_M = 0.1;
/** How far a spring is sought from the present one. */
const [SOFTEST, STIFFEST, HALVINGS] = [0.1, 30, 12];

/**
 * One end as it is, by the sag aimed at, by the height it lands from, and with a damper of 0.6 of critical;
 * empty while it is not worked out.
 */
export function springChoices(document: BuildDocument, end: End): SpringChoice[] {
  const found = rideOf(document, end);
  if (!found.ok) return [];
  const { ride } = found.value;
  const { dropHeightM } = document.brief;
  const forDrop = dropHeightM === undefined ? undefined : springForDrop(document, end, dropHeightM);
  const choices: { id: SpringChoiceId; patch: Patch }[] = [
    { id: 'asItIs', patch: [] },
    { id: 'sag', patch: springPatch(document, end, ride.springForTargetSagNPerMm) },
    ...(forDrop === undefined ? [] : [{ id: 'drop' as const, patch: springPatch(document, end, forDrop) }]),
    {
      id: 'damper',
      patch: [
        {
          path: ['suspension', end, 'damperNsPerM'],
          value: Number(ride.damperForRatio06NsPerM.toPrecision(2)),
        },
      ],
    },
  ];
  return choices.map((choice) => {
    const then = landingOf(applyPatch(document, choice.patch), end, dropHeightM ?? ANY_DROP_M);
    const maxDropM = then.ok ? then.value.impact.maxDropM : undefined;
    return { ...choice, ...(maxDropM === undefined ? {} : { maxDropM }) };
  });
}

/** The softest spring that lands from a height without using up the travel, N/mm; undefined where none does. */
export function springForDrop(document: BuildDocument, end: End, dropM: number): number | undefined {
  const rate = rateOf(document.suspension[end] ?? {})?.rateNPerMm;
  if (rate === undefined) return undefined;
  const takes = (factor: number) => {
    const sprung = applyPatch(document, springPatch(document, end, factor * rate));
    return peaksAt(sprung, end, dropM, 4)?.stopMps === undefined;
  };
  if (!takes(STIFFEST)) return undefined;
  let [low, high] = [SOFTEST, STIFFEST];
  if (takes(low)) return low * rate;
  for (let i = 0; i < HALVINGS; i++) {
    const middle = Math.sqrt(low * high);
    if (takes(middle)) high = middle;
    else low = middle;
  }
  return high * rate;
}
