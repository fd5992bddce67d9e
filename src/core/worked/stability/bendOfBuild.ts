import type { Assembled } from '../../base/assembled';
import type { ChosenSurface } from '../../car/document/brief';
import type { BuildDocument } from '../../car/document/document';
import type { End } from '../../physics/handling/steady/definition';
import { type Bend, inBend, type Stance } from '../../physics/handling/steady/inBend';
import { balanceAt } from '../../physics/handling/steady/balance';
import { setupOf } from '../../physics/handling/steady/setup';
import { steadyInputOf } from './steadyOfBuild';

const OF_GRIP = 0.5;

/** Tracks of a build, and the toe of its corners as they are drawn; none where there is no corner. */
export const stanceOf = ({ chassis, suspension }: BuildDocument): Record<End, Stance> => ({
  front: { trackMm: chassis.trackFrontMm!, toeDeg: suspension.front?.corner?.staticToeDeg ?? 0 },
  rear: { trackMm: chassis.trackRearMm!, toeDeg: suspension.rear?.corner?.staticToeDeg ?? 0 },
});

/**
 * A build in a bend.
 *
 * @param tried in place of its own tracks and toe
 * @param lateralMps2 half of what the axles hold as single tyres where not given
 */
export function bendOfBuild(
  document: BuildDocument,
  surface: ChosenSurface | undefined,
  speedMps: number,
  tried = stanceOf(document),
  lateralMps2?: number,
): Assembled<Bend> {
  const input = steadyInputOf(document, surface, { speedMps });
  if (!input.ok) return input;
  const setup = setupOf(input.value);
  const across = lateralMps2 ?? OF_GRIP * balanceAt(setup, speedMps).maxLateralMps2;
  if (!(across > 0)) return { ok: false, missing: ['brief.surfaces'] };
  return { ok: true, value: inBend(setup, speedMps, tried, across) };
}
