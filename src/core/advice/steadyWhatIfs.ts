import type { ChosenSurface } from '../car/document/brief';
import type { BuildDocument } from '../car/document/document';
import { GRAVITY } from '../base/constants';
import { type Measure, measure } from '../base/measure';
import { applyPatch, type Patch } from '../base/patch';
import type { SteadyInput, SteadyResult } from '../physics/handling/steady/definition';
import { handlingSteady } from '../physics/handling/steady/steady';
import { moreRearWing, rearIsTyped, rearWingOf } from '../worked/air/rearWing';
import { steadyInputOf } from '../worked/stability/steadyOfBuild';
import { weightOf } from '../worked/chassis/weightOfBuild';
import { shifted } from './whatIfs';

export const STEADY_CHANGES = [
  'pack-forward',
  'pack-back',
  'wing-add',
  'wing-more',
  'wing-less',
  'front-less',
  'rear-more',
] as const;
export type SteadyChangeId = (typeof STEADY_CHANGES)[number];

export interface SteadyWhatIf {
  id: SteadyChangeId;
  by: Measure;
  /** None of a tyre that is not in the build. */
  patch?: Patch;
  steady: SteadyResult;
}

const [SHIFT_MM, WING_DEG, TYRE_SHARE] = [20, 4, 0.1];

/** What single changes do to the balance at a speed, each worked out as the car that it makes. */
export function steadyWhatIfs(
  document: BuildDocument,
  surface: ChosenSurface,
  speedMps: number,
): SteadyWhatIf[] {
  const present = steadyInputOf(document, surface, { speedMps });
  const weight = weightOf(document);
  if (!present.ok || !weight.ok) return [];
  const pack = weight.value.bodies.find(({ id }) => id === 'pack');
  const patched = (id: SteadyChangeId, by: Measure, patch: Patch | undefined): SteadyWhatIf[] => {
    const input = patch && steadyInputOf(applyPatch(document, patch), surface, { speedMps });
    return input?.ok ? [{ id, by, patch: patch!, steady: handlingSteady(asLoaded(input.value)) }] : [];
  };
  // the tyres stay what they are at the loads that they have now
  const loads = { front: present.value.frontLoadShare, rear: 1 - present.value.frontLoadShare };
  const asLoaded = (input: SteadyInput): SteadyInput => {
    const tyre = (end: 'front' | 'rear') => ({
      referenceLoadN: present.value.massKg * GRAVITY * loads[end],
      ...input.tyres[end],
    });
    return { ...input, tyres: { ...input.tyres, front: tyre('front'), rear: tyre('rear') } };
  };
  const tyred = (id: SteadyChangeId, end: 'front' | 'rear', factor: number): SteadyWhatIf => ({
    id,
    by: measure(TYRE_SHARE, 'share'),
    steady: handlingSteady(withTyre(present.value, end, factor)),
  });
  const wing = (byDeg: number) => (rearIsTyped(document) ? undefined : moreRearWing(document, byDeg));
  const mm = measure(SHIFT_MM, 'lengthMm');
  const deg = measure(WING_DEG, 'angleDeg');
  const moves = (by: number) => pack && shifted(document, weight.value, pack, { xMm: by });
  return [
    ...patched('pack-forward', mm, moves(SHIFT_MM)),
    ...patched('pack-back', mm, moves(-SHIFT_MM)),
    ...patched(rearWingOf(document) ? 'wing-more' : 'wing-add', deg, wing(WING_DEG)),
    ...patched('wing-less', deg, wing(-WING_DEG)),
    tyred('front-less', 'front', 1 - TYRE_SHARE),
    tyred('rear-more', 'rear', 1 + TYRE_SHARE),
  ];
}

function withTyre(input: SteadyInput, end: 'front' | 'rear', factor: number): SteadyInput {
  const tyre = input.tyres[end];
  return {
    ...input,
    tyres: {
      ...input.tyres,
      [end]: { ...tyre, corneringPerRad: tyre.corneringPerRad * factor, mu: tyre.mu * factor },
    },
  };
}
