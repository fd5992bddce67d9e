import type { Patch } from '../../base/patch';
import type { Body } from '../../car/document/chassis';
import type { BuildDocument } from '../../car/document/document';
import type { PlacedBody } from '../../worked/chassis/bodiesOfBuild';
import { type Outside, type Standing, standingOf } from '../../worked/standing/standingOfBuild';
import { weightOf } from '../../worked/chassis/weightOfBuild';
import type { Worked } from '../../worked/worked';
import type { Found, Proposal } from '../engine/check';
import { finding } from '../../base/finding';

declare module '../../base/finding' {
  interface FindingFacts {
    'chassis.outside': { where: Outside };
  }
}

/** Found on how the car stands; a centre of gravity outside its wheels fails whatever is asked. */
export function onStanding(subject: Worked, find: (standing: Standing) => Found): Found {
  const standing = standingOf(subject);
  if ('missing' in standing) return standing;
  if ('outside' in standing)
    return { state: 'over', margin: 0, finding: finding('chassis.outside', { where: standing.outside }) };
  return find(standing);
}

/** Components that may be moved, the heaviest first. */
export const movable = (bodies: readonly PlacedBody[]) =>
  bodies.filter(({ fixed, source }) => !fixed && source !== 'rest').sort((a, b) => b.massG - a.massG);

/** A patch that gives a component another place or size, whether or not the document holds it yet. */
export function moved({ chassis }: BuildDocument, id: string, change: Partial<Body>): Patch {
  if (!chassis.bodies) return [{ path: ['chassis', 'bodies'], value: [{ id, ...change }] }];
  return Object.entries(change).map(([key, value]) => ({ path: ['chassis', 'bodies', id, key], value }));
}

const [LOWER_MM, LEAST_HEIGHT_MM, MOST_LOWERED] = [15, 8, 3];

/** The heaviest components lower, or the figure of the scale. */
export function lowered({ document }: Worked): Proposal[] {
  const weight = weightOf(document);
  if (!weight.ok) return [];
  if (!weight.value.balance) {
    const cgHeightMm = Math.max(1, document.chassis.cgHeightMm! - LOWER_MM);
    return [{ patch: [{ path: ['chassis', 'cgHeightMm'], value: cgHeightMm }], cost: 3 }];
  }
  return movable(weight.value.bodies)
    .map((body) => ({ body, zMm: Math.max(LEAST_HEIGHT_MM + body.sizeMm[2] / 2, body.zMm - LOWER_MM) }))
    .filter(({ body, zMm }) => zMm < body.zMm - 1)
    .slice(0, MOST_LOWERED)
    .map(({ body, zMm }) => ({
      patch: moved(document, body.id, { zMm: Math.round(10 * zMm) / 10 }),
      cost: 1,
    }));
}
