import { refusal } from '../../base/errors';
import { type SpinHold, type TyreMake, usualHold, wholeMake } from './tyreKinds';

declare module '../../base/errors' {
  interface RefusalFacts {
    'tyreMake.own': Record<never, never>;
    'tyreMake.rim': { radiusMm: number };
    'tyreMake.bonded': Record<never, never>;
    'tyreMake.layer': Record<never, never>;
    'tyreMake.hold': { hold: SpinHold };
    'tyreMake.wall': { roomMm: number };
  }
}

const OF_HOLLOW = [
  'wallMm',
  'sidewallMm',
  'sidewallModulusMpa',
  'sidewallStrengthMpa',
  'insertDensityKgM3',
  'pressureMpa',
] as const;

const HOLD_NEEDS: Readonly<Record<SpinHold, readonly (keyof TyreMake)[]>> = {
  bonded: [],
  beads: [],
  clamp: ['screws', 'screwPreloadN'],
  friction: ['interferenceMm'],
  free: [],
};
const OWN_FIGURES = ['densityKgM3', 'hoopModulusMpa', 'hoopStrengthMpa'] as const;
type OwnFigure = (typeof OWN_FIGURES)[number];

/**
 * What is wrong with how a tyre is made and held.
 *
 * @param needs figures that an own tyre has to give
 * @param at path before the field
 * @throws CalcError at the field
 */
export function checkMake(make: TyreMake, needs: readonly OwnFigure[] = OWN_FIGURES, at = ''): void {
  const { kind } = make;
  if (kind === 'own')
    for (const field of needs) if (make[field] === undefined) throw refusal(at + field, 'tyreMake.own');
  const hold = make.hold ?? usualHold(make);
  if (hold === 'free') return;
  if (kind === 'own' && make.rimRadiusMm === undefined) throw refusal(`${at}rimRadiusMm`, 'tyreMake.own');
  const { radiusMm, rimRadiusMm, wallMm, isHollow } = wholeMake(make);
  if (rimRadiusMm >= radiusMm) throw refusal(`${at}rimRadiusMm`, 'tyreMake.rim', { radiusMm });
  if (isHollow && hold === 'bonded') throw refusal(`${at}hold`, 'tyreMake.bonded');
  const strange = isHollow ? undefined : OF_HOLLOW.find((field) => make[field] !== undefined);
  if (strange) throw refusal(at + strange, 'tyreMake.layer');
  const [lacks] = HOLD_NEEDS[hold].filter((field) => make[field] === undefined);
  if (lacks) throw refusal(at + lacks, 'tyreMake.hold', { hold });
  const roomMm = radiusMm - rimRadiusMm;
  if (isHollow && wallMm >= roomMm) throw refusal(`${at}wallMm`, 'tyreMake.wall', { roomMm });
}
