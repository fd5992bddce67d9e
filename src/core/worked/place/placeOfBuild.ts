import type { Assembled } from '../../base/assembled';
import type { ChosenSurface } from '../../car/document/brief';
import type { BuildDocument } from '../../car/document/document';
import { driveBrake, type DriveBrakeResult } from '../../physics/braking/brake';
import { createBrakes } from '../../physics/braking/brakes';
import { type LockFirst, lockFirst } from '../../physics/braking/lockFirst';
import type { DriveSiteInput } from '../../physics/place/definition';
import { driveSite, type DriveSiteResult, USUAL_REACTION_S, USUAL_STRETCH_M } from '../../physics/place/site';
import { type SpeedsInWind, speedsInWind } from '../../physics/place/wind';
import { brakesOf } from '../track/brakesOfBuild';
import { worked } from '../worked';

export const USUAL_MARGINS = { startM: 0, endM: 2, sideM: 0.5 };
export const USUAL_BESIDE_M = 2;

export interface PlaceOfBuild {
  input: DriveSiteInput & Required<Pick<DriveSiteInput, 'stretchM' | 'reactionS'>>;
  site: DriveSiteResult;
  /** From the speed that is meant to a standstill; none for a car that cannot move. */
  braking?: DriveBrakeResult;
  /** Top speeds both ways in the wind that is stated. */
  wind?: SpeedsInWind & { windMps: number };
}

/** Which axle locks first at the speed that is meant, and from which speed; none for a car that cannot move. */
export function lockOf(
  document: BuildDocument,
  surface: ChosenSurface | undefined,
): Assembled<{ fromMps: number; lock: LockFirst; atShare?: number } | undefined> {
  const about = worked(document, surface);
  const run = about.runInput();
  const { targetMps } = document.brief;
  if (!run.ok) return run;
  const topMps = about.run()!.topSpeedMps;
  const fromMps = Math.min(targetMps ?? Infinity, topMps ?? Infinity);
  if (fromMps === Infinity) return { ok: false, missing: ['brief.targetMps'] };
  if (fromMps === 0) return { ok: true, value: undefined };
  const found = lockFirst(createBrakes({ ...run.value, brake: brakesOf(document), fromMps }), fromMps);
  return {
    ok: true,
    value: {
      fromMps,
      lock: found.lockFirst,
      ...(found.lockAtShare === undefined ? {} : { atShare: found.lockAtShare }),
    },
  };
}

/** The way to a standstill from a speed, m; none of a car that is not ready, or that does not stop. */
export function stopFrom(
  document: BuildDocument,
  surface: ChosenSurface | undefined,
  fromMps: number,
): number | undefined {
  const run = worked(document, surface).runInput();
  return run.ok ? driveBrake({ ...run.value, brake: brakesOf(document), fromMps }).distanceM : undefined;
}

/** Whether a pass at the wished speed fits into the place of a build, and how it stops there. */
export function placeOf(
  document: BuildDocument,
  surface: ChosenSurface | undefined,
): Assembled<PlaceOfBuild> {
  const run = worked(document, surface).runInput();
  const { place = {}, targetMps } = document.brief;
  const { lengthM } = place;
  const missing = [...(run.ok ? [] : run.missing), ...(lengthM === undefined ? ['brief.place.lengthM'] : [])];
  if (!run.ok || lengthM === undefined) return { ok: false, missing };
  const brake = brakesOf(document);
  const input: PlaceOfBuild['input'] = {
    ...run.value,
    site: {
      lengthM,
      marginStartM: place.marginStartM ?? USUAL_MARGINS.startM,
      marginEndM: place.marginEndM ?? USUAL_MARGINS.endM,
      marginSideM: place.marginSideM ?? USUAL_MARGINS.sideM,
      ...(place.widthM === undefined ? {} : { widthM: place.widthM }),
    },
    ...(targetMps === undefined ? {} : { wishMps: targetMps }),
    brake,
    stretchM: USUAL_STRETCH_M,
    reactionS: USUAL_REACTION_S,
    carWidthMm: Math.max(document.chassis.trackFrontMm ?? 0, document.chassis.trackRearMm ?? 0),
    driver: {
      alongM: place.driverAlongM ?? lengthM / 2,
      besideM: place.driverBesideM ?? USUAL_BESIDE_M,
    },
    ...(place.radioRangeM === undefined ? {} : { radioRangeM: place.radioRangeM }),
  };
  const site = driveSite(input);
  const { throttle: _, distanceM: __, maxTimeS: ___, ...car } = run.value;
  const { windMps = 0 } = place;
  const inWind = windMps > 0 ? speedsInWind(run.value, windMps) : undefined;
  return {
    ok: true,
    value: {
      input,
      site,
      ...(inWind ? { wind: { windMps, ...inWind } } : {}),
      ...(site.targetMps === undefined
        ? {}
        : { braking: driveBrake({ ...car, brake, fromMps: site.targetMps }) }),
    },
  };
}
