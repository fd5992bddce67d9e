import { type Assembled, missingOf } from '../../base/assembled';
import { pastedPairs } from '../../base/pasted';
import type { Patch } from '../../base/patch';
import type { BuildDocument } from '../../car/document/document';
import { overallRatio } from '../../car/document/drive';
import { motorsInAll } from '../../car/document/motors';
import type { CoastSheet } from '../../car/records/gripReport';
import { airCoastDown } from '../../physics/air/coastDown';
import type { CoastInput, CoastResult } from '../../physics/air/coastDefinition';
import { airOfBuild } from '../air/airOfBuild';
import { weightOf } from '../chassis/weightOfBuild';
import { wheelInertiaOf } from '../motion/tyreOfRun';

/** A rolling car of so many grams, its motor turning along, as `air.coastDown` takes it; its tyre is there. */
export function rollingCar(document: BuildDocument, massG: number): Omit<CoastInput, 'runs'> {
  const { drive } = document;
  const { radiusMm } = drive.tyre!;
  const ratio = overallRatio(drive) ?? 0;
  const rotor = drive.motor ? drive.motor.rotorInertiaKgM2 * motorsInAll(drive) * ratio ** 2 : 0;
  const { claFrontM2, claRearM2 } = airOfBuild(document);
  return {
    massKg: massG / 1000,
    rotatingInertiaKgM2: wheelInertiaOf(drive, radiusMm) + rotor,
    tyreRadiusMm: radiusMm,
    claM2: claFrontM2 + claRearM2,
  };
}

/** What roll-outs say of a build's drag and rolling resistance, its motor turning along; or what is missing. */
export function coastOf(
  document: BuildDocument,
  { rolls = [], speedErrorMps }: CoastSheet,
  extraMassG = 0,
): Assembled<CoastResult> {
  const weight = weightOf(document);
  const missing = [
    ...(weight.ok ? [] : weight.missing),
    ...missingOf({ 'drive.tyre': document.drive.tyre, 'runs:coast': rolls[0] }),
  ];
  if (missing.length > 0 || !weight.ok) return { ok: false, missing };
  return {
    ok: true,
    value: airCoastDown({
      ...rollingCar(document, weight.value.massG + extraMassG),
      ...(speedErrorMps === undefined ? {} : { speedErrorMps }),
      runs: rolls.map(({ id: _, ...roll }) => roll),
    }),
  };
}

const rounded = (value: number) => Number(value.toPrecision(3));

/** The edits by which a build drives with a measured drag; its rolling resistance holds gears and motor and stays with the surface. */
export function takeDrag({ cdaM2, cdaErrorM2 }: CoastResult): Patch {
  if (cdaM2 <= 0) return [];
  const value = { cdaM2: rounded(cdaM2), errorM2: rounded(cdaErrorM2) };
  return [
    { path: ['chassis', 'cdaM2'], value: value.cdaM2 },
    { path: ['chassis', 'cdaMeasured'], value },
  ];
}

/** Lines of time and speed as they are pasted, the speed in m/s after its factor. */
export const pastedReadings = (
  text: string,
  mpsPerUnit: number,
): { tS: number; speedMps: number }[] | undefined =>
  pastedPairs(text)?.map(([tS, speed]) => ({ tS, speedMps: speed * mpsPerUnit }));
