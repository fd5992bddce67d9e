import type { BuildDocument } from '../../car/document/document';
import { chargedV, type PowerLoad, type PowerRail, USUAL_CUTOFF_V } from '../../car/document/power';
import type { OperationFinding } from '../../base/operationFinding';
import { CalcError, type Refused } from '../../base/errors';
import { powerBudget } from '../../physics/supply/budget';
import { type MeteredPlug, meteredPlugs } from '../../physics/supply/metered';
import { outward } from '../../physics/supply/supplyState';
import { BATTERY, type BudgetInput, type BudgetResult } from '../../physics/supply/budgetDefinition';
import { renamed } from '../../base/finding';
import { drivenPack } from '../motion/drivenPack';

/** The supply of a build worked out; or what it lacks, or why it cannot be. */
export type Supply =
  | { ok: true; input: BudgetInput; result: BudgetResult; metered: readonly MeteredPlug[] }
  | { ok: false; missing: readonly string[]; refused?: Refused };

/** Charge at which a pack is watched for sagging, share. */
export const LOW_CHARGE = 0.3;

export const nameOf = ({ rails = [], loads = [] }: BuildDocument['power'], id: string): string =>
  id === BATTERY ? 'the pack' : ([...rails, ...loads].find((one) => one.id === id)?.name ?? id);

function lacking({ battery, rails = [], loads = [] }: BuildDocument['power']): string[] {
  const ofRail = ({ id, kind, setV, continuousA }: PowerRail) => [
    ...(kind !== 'direct' && setV === undefined ? [`power.rails.${id}.setV`] : []),
    ...(continuousA === undefined ? [`power.rails.${id}.continuousA`] : []),
  ];
  const ofLoad = ({ id, minV, maxV, typicalA, peakA }: PowerLoad) => [
    ...(minV === undefined || maxV === undefined ? [`power.loads.${id}.minV`] : []),
    ...(typicalA === undefined || peakA === undefined ? [`power.loads.${id}.typicalA`] : []),
  ];
  return [
    ...(battery ? [] : ['power.battery']),
    ...(rails.length + loads.length === 0 ? ['power.loads'] : []),
    ...rails.flatMap(ofRail),
    ...loads.flatMap(ofLoad),
  ];
}

/** Stands for a thing's name in the sentences of the operation, so that they can speak in the builder's words. */
const token = (index: number) => `@${index}@`;

/**
 * Every rail and load of a build, charged and low, with findings that name things as the builder does.
 *
 * @param motorPeakA what the motors draw from the pack at the peak, A
 * @param lowestV volts of the pack under full throttle when it is nearly empty; the low state is the lower of it and the cut-off
 */
export function supplyOf(
  { power }: Pick<BuildDocument, 'power'>,
  motorPeakA: number,
  lowestV = Infinity,
): Supply {
  const missing = lacking(power);
  if (missing.length > 0) return { ok: false, missing };
  const { rails = [], loads = [], cutoffVPerCell = USUAL_CUTOFF_V } = power;
  const battery = drivenPack(power);
  const ids = [...rails, ...loads].map(({ id }) => id);
  const tokens = new Map([[BATTERY, BATTERY], ...ids.map((id, index) => [id, token(index)] as const)]);
  const tokenOf = (id: string) => tokens.get(id) ?? id;
  const bare: BudgetInput = {
    battery: {
      cells: battery!.cells,
      parallel: battery!.parallel,
      capacityMah: battery!.capacityMah,
      cellResistanceMilliOhm: battery!.cellResistanceMilliOhm,
      maxDischargeC: battery!.maxDischargeC,
      cutoffVPerCell: Math.min(cutoffVPerCell, lowestV / battery!.cells),
    },
    motorPeakA,
    rails: rails.map(
      ({ id, from, kind, setV, dropoutV, minInV, maxInV, continuousA, peakA, efficiency }) => ({
        id: tokenOf(id),
        from: tokenOf(from),
        kind,
        ...(kind === 'direct' ? {} : { setV: setV! }),
        dropoutV,
        minInV,
        maxInV,
        continuousA: continuousA!,
        peakA,
        efficiency,
      }),
    ),
    loads: loads.map(({ id, kind, rail, minV, maxV, typicalA, peakA, peaksTogether }) => ({
      id: tokenOf(id),
      kind,
      rail: tokenOf(rail),
      minV: minV!,
      maxV: maxV!,
      typicalA: typicalA!,
      peakA: peakA!,
      peaksTogether,
    })),
  };
  const metered = plugsOf(power, bare, tokenOf);
  const withLoss = <T extends { id: string }>(one: T): T => {
    const lossOhm = metered.find(({ id }) => id === one.id)?.lossOhm;
    return lossOhm ? { ...one, lossOhm } : one;
  };
  const input: BudgetInput = {
    ...bare,
    rails: bare.rails.map(withLoss),
    loads: bare.loads.map(withLoss),
  };
  const named = (text: string) =>
    text.replace(/@(\d+)@/g, (_, index: string) => nameOf(power, ids[Number(index)]!));
  const idOf = (text: string) => (text.startsWith('@') ? ids[Number(text.slice(1, -1))]! : text);
  try {
    const result = powerBudget(input);
    return {
      ok: true,
      input,
      metered: metered.map((plug) => ({ ...plug, id: idOf(plug.id) })),
      result: {
        ...result,
        rails: result.rails.map((rail) => ({ ...rail, id: idOf(rail.id) })),
        loads: result.loads.map((load) => ({ ...load, id: idOf(load.id) })),
        findings: result.findings.map((finding): OperationFinding => ({
          ...finding,
          about: idOf(finding.about),
          why: renamed(finding.why, named),
          ...(finding.remedy ? { remedy: renamed(finding.remedy, named) } : {}),
        })),
      },
    };
  } catch (error) {
    if (!(error instanceof CalcError)) throw error;
    return {
      ok: false,
      missing: [],
      refused: withNames(error.refused, named),
    };
  }
}

/** What metered plugs say; none where the tree is none, which the budget refuses. */
function plugsOf(
  { rails = [], loads = [], meteredPackV, battery }: BuildDocument['power'],
  input: BudgetInput,
  tokenOf: (id: string) => string,
): MeteredPlug[] {
  const metered = new Map(
    [...rails, ...loads].flatMap(({ id, meteredV }) =>
      meteredV === undefined ? [] : [[tokenOf(id), meteredV] as const],
    ),
  );
  if (metered.size === 0) return [];
  const known = new Set([BATTERY, ...input.rails.map(({ id }) => id)]);
  const fed =
    input.rails.every(({ from }) => known.has(from)) && input.loads.every(({ rail }) => known.has(rail));
  return fed && outward(input.rails).length === input.rails.length
    ? meteredPlugs(meteredPackV ?? chargedV(battery!.cells), input.rails, input.loads, metered)
    : [];
}

/** The texts that a refusal names, by the names of the build. */
const withNames = (refused: Refused, named: (text: string) => string): Refused =>
  ({
    ...refused,
    given: Object.fromEntries(
      Object.entries(refused.given).map(([key, one]) => [
        key,
        typeof one === 'string' ? named(one) : (one as unknown),
      ]),
    ),
  }) as Refused;
