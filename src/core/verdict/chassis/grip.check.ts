import { finding } from '../../base/finding';
import { type Measure, measure } from '../../base/measure';
import { type ChosenSurface, gripMeasured } from '../../car/document/brief';
import type { BuildDocument } from '../../car/document/document';
import { defineCheck, type Found } from '../engine/check';

declare module '../../base/finding' {
  interface FindingFacts {
    'chassis.grip.measured': { surface: string; mu: Measure; error: Measure };
    'chassis.grip.fitted': { surface: string; mu: Measure; error: Measure; runs: number };
    'chassis.grip.assumed': { surface: string; mu: Measure; error: Measure };
  }
}

/** Whether the friction of the surface in use was measured. */
export const grip = defineCheck({
  id: 'chassis.grip',
  at: { segment: 'field', side: 'grip' },
  quantity: 'coefficient',
  kind: 'floor',
  find: ({ document, surface }): Found => {
    if (!surface) return { missing: ['brief.surfaces'] };
    const facts = {
      surface: surface.name,
      mu: measure(surface.mu, 'coefficient', 2),
      error: measure(surface.muError, 'coefficient', 1),
    };
    if (gripMeasured(surface)) return { state: 'clear', finding: finding('chassis.grip.measured', facts) };
    const runs = runsBehind(document, surface);
    return runs === undefined
      ? { state: 'tight', finding: finding('chassis.grip.assumed', facts) }
      : { state: 'clear', finding: finding('chassis.grip.fitted', { ...facts, runs }) };
  },
  provenBy: { run: 'look', how: 'pullOnScale' },
  supports: [],
});

/** Timed runs that a friction was fitted to, while it still is as they say. */
function runsBehind(
  { brief: { calibration } }: BuildDocument,
  { id, mu }: ChosenSurface,
): number | undefined {
  const path = ['brief', 'surfaces', id, 'mu'].join('.');
  return calibration?.corrected?.some((one) => one.path.join('.') === path && one.to === mu)
    ? calibration.runs
    : undefined;
}
