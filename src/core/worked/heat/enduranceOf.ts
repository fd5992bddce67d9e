import type { Assembled } from '../../base/assembled';
import { CalcError } from '../../base/errors';
import type { Worked } from '../worked';
import { packOfBuild, type PackOfBuild } from './enduranceOfBuild';
import { underAir } from './thermalOfBuild';
import { type WholePack, wholePack } from './wholePack';

const known = new WeakMap<Worked, Assembled<WholePack>>();

/** A whole pack of a build on its surface, as it would end and as if nothing could get too hot; worked out once. */
export function enduranceOf(subject: Worked): Assembled<WholePack> {
  const kept = known.get(subject);
  if (kept) return kept;
  const { document, surface } = subject;
  const assembled: Assembled<PackOfBuild> = surface
    ? packOfBuild(document, surface)
    : { ok: false, missing: ['brief.surfaces'] };
  const found = assembled.ok ? drivenOrRefused(assembled.value) : assembled;
  known.set(subject, found);
  return found;
}

/** A limit that the air already reaches leaves the check open and says so. */
function drivenOrRefused(input: PackOfBuild): Assembled<WholePack> {
  try {
    return { ok: true, value: wholePack(input) };
  } catch (error) {
    if (!(error instanceof CalcError)) throw error;
    return { ok: false, missing: underAir(input.thermal) };
  }
}
