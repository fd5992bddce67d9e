import type { CheckDefinition, Proposal, State } from '../engine/check';
import { stagesTo } from '../../car/document/drive';
import { FIGHTS_PCT, type RotationResult, SCRUBS_PCT } from '../../physics/gears/rotation';
import { leadsSwapped, rotationOf, sameTeeth, turnedAbout } from '../../worked/drive/rotationOfBuild';

const rotation: CheckDefinition = {
  id: 'drive.rotation',
  segment: 'drive',
  title: 'Axles agree',
  short: 'axle match',
  anySurface: true,
  quantity: 'percent',
  kind: 'band',
  evaluate: ({ document: { drive } }) => {
    const found = rotationOf(drive);
    if (!found.ok) return { missing: found.missing };
    const { ratioMismatchPct, findings, paths, agree } = found.value;
    return {
      ...(agree && paths.length > 1 ? { value: ratioMismatchPct, limit: FIGHTS_PCT } : {}),
      state: stateOf(found.value),
      why:
        findings[0]?.why ??
        (paths.length === 1
          ? `The ${paths[0]!.axle} axle rolls forward.`
          : 'Both axles roll forward at the same ratio.'),
      working: paths.map(({ axle, ratio, rolls }) => ({
        label: `${axle} axle, rolls ${rolls}`,
        formula: stagesTo(drive, axle)
          .map(({ kind, pinionTeeth, wheelTeeth }) =>
            pinionTeeth ? `${kind} ${wheelTeeth}/${pinionTeeth}` : kind,
          )
          .join(' · '),
        value: ratio,
        quantity: 'ratio',
        source: 'Norton, Design of Machinery, ch. 9',
      })),
    };
  },
  propose: ({ document: { drive } }) => {
    const found = rotationOf(drive);
    if (!found.ok) return [];
    const { agree, paths } = found.value;
    const backward = paths.filter(({ rolls }) => rolls === 'backward');
    if (!agree) return backward.flatMap(({ axle }) => offered(turnedAbout(drive, axle)));
    return [
      ...(backward.length > 0 ? offered(leadsSwapped(drive)) : []),
      ...sameTeeth(drive).map((found) => ({ ...found, cost: 2 as const })),
    ];
  },
};

export const layoutChecks: readonly CheckDefinition[] = [rotation];

function stateOf({ findings, ratioMismatchPct }: RotationResult): State {
  if (findings.some(({ severity }) => severity === 'over') || ratioMismatchPct >= FIGHTS_PCT) return 'over';
  return findings.some(({ severity }) => severity === 'tight') || ratioMismatchPct >= SCRUBS_PCT
    ? 'tight'
    : 'clear';
}

const offered = (found: ReturnType<typeof turnedAbout>): Proposal[] => (found ? [{ ...found, cost: 1 }] : []);
