import { finding } from '../../base/finding';
import { type Measure, measure } from '../../base/measure';
import { fittedTo, gripMeasured } from '../../car/document/brief';
import { tyreName } from '../../car/tyres/tyres';
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
    const measured = gripMeasured(surface);
    const { tyre } = document.drive;
    if (measured && tyre && measured.tyre === tyreName(tyre))
      return { state: 'clear', finding: finding('chassis.grip.measured', facts) };
    const runs = fittedTo(document.brief, ['brief', 'surfaces', surface.id, 'mu'], surface.mu);
    return runs === undefined
      ? { state: 'tight', finding: finding('chassis.grip.assumed', facts) }
      : { state: 'clear', finding: finding('chassis.grip.fitted', { ...facts, runs }) };
  },
  provenBy: { run: 'look', how: 'pullOnScale' },
  supports: [],
});
