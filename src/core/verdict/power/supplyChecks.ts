import type { BuildDocument } from '../../car/document/document';
import type { PowerLoad, PowerRail } from '../../car/document/power';
import type { Patch } from '../../base/patch';
import type { CheckDefinition, Finding, Proposal } from '../engine/check';
import type { Subject } from '../../worked/subject';
import { plain } from '../../base/units/plain';
import { BATTERY, type BudgetResult } from '../../physics/supply/budgetDefinition';
import { type Supply, supplyOf } from '../../worked/power/supplyOfBuild';

const STATE_WORDS = { full: 'charged', low: 'low' } as const;
/** Share by which a remedy's rating passes what is drawn. */
const SPARE = 1.3;
/** Of a switching regulator to buy, to start with. */
const NEW_REGULATOR = { kind: 'buck', dropoutV: 0.5, efficiency: 0.9 } as const;

/** One supply for all the checks of a subject. */
const kept = new WeakMap<Subject, Supply>();

export function supplyOfSubject(subject: Subject): Supply {
  const known = kept.get(subject) ?? supplyOf(subject.document, subject.run()?.peakBatteryCurrentA ?? 0);
  kept.set(subject, known);
  return known;
}

function onSupply(subject: Subject, find: (result: BudgetResult) => Finding): Finding {
  const supply = supplyOfSubject(subject);
  if (!supply.ok)
    return {
      missing: supply.refused ? [supply.refused.replace(/^./, (one) => one.toLowerCase())] : supply.missing,
    };
  return find(supply.result);
}

const about = ({ findings }: BudgetResult, id: string) => findings.filter((finding) => finding.about === id);

/** A regulator against what it feeds, in the state that asks most of it. */
export function railCheck(of: PowerRail): CheckDefinition {
  const nowIn = ({ document }: Subject) => document.power.rails?.find(({ id }) => id === of.id) ?? of;
  return {
    id: `power.rail:${of.id}`,
    segment: 'power',
    title: of.name,
    short: of.name,
    anySurface: true,
    quantity: 'currentA',
    kind: 'ceiling',
    tightUnder: 1.25,
    evaluate: (subject) =>
      onSupply(subject, (result) => {
        const rail = nowIn(subject);
        const own = result.rails.find(({ id }) => id === rail.id)!;
        const { continuousA = 0, peakA = continuousA } = rail;
        const cases = (['full', 'low'] as const).flatMap((state) => [
          { value: own[state].typicalA, limit: continuousA, words: `${STATE_WORDS[state]}, as a rule` },
          { value: own[state].peakA, limit: peakA, words: `${STATE_WORDS[state]}, at the peak` },
        ]);
        const worst = cases.reduce((a, b) => (b.value / b.limit > a.value / a.limit ? b : a));
        const found = about(result, rail.id)[0];
        const dead = own.full.outV === 0 || own.low.outV === 0;
        return {
          value: worst.value,
          limit: worst.limit,
          ...(dead || found?.severity === 'over' ? { state: 'over' as const } : {}),
          why:
            found?.why ??
            `Gives ${plain(own.full.outV)} V charged and ${plain(own.low.outV)} V low; ${plain(worst.value)} of ${plain(worst.limit)} A ${worst.words}.`,
          working: (['full', 'low'] as const).map((state) => ({
            label: `Pack ${STATE_WORDS[state]}`,
            formula: `${plain(own[state].inV)} V in, ${plain(own[state].outV)} V out, ${plain(own[state].typicalA)} A as a rule, ${plain(own[state].peakA)} A at the peak`,
            value: own[state].outV,
            quantity: 'voltageV' as const,
          })),
        };
      }),
    propose: (subject) => {
      const supply = supplyOfSubject(subject);
      if (!supply.ok) return [];
      const rail = nowIn(subject);
      const own = supply.result.rails.find(({ id }) => id === rail.id)!;
      const [typical, peak] = [
        Math.max(own.full.typicalA, own.low.typicalA),
        Math.max(own.full.peakA, own.low.peakA),
      ];
      const stronger = { continuousA: Math.ceil(SPARE * typical), peakA: Math.ceil(SPARE * peak) };
      return [
        ...(typical > 0
          ? [
              {
                text: `A regulator of ${Math.max(stronger.continuousA, rail.continuousA ?? 0)} A, ${Math.max(stronger.peakA, rail.peakA ?? 0)} A at the peak`,
                patch: Object.entries(stronger).map(([key, value]) => ({
                  path: ['power', 'rails', rail.id, key],
                  value: Math.max(value, rail[key as 'continuousA'] ?? 0),
                })),
                cost: 2 as const,
              },
            ]
          : []),
        ...(rail.from === BATTERY
          ? []
          : [
              {
                text: 'Feed it from the pack',
                patch: [{ path: ['power', 'rails', rail.id, 'from'], value: BATTERY }],
                cost: 2 as const,
              },
            ]),
        ...servosOn(subject.document, rail.id).map((servo) => ownRegulator(subject.document, servo)),
      ];
    },
  };
}

/** A load against its window of volts, and beside a servo that could starve it. */
export function loadCheck(of: PowerLoad): CheckDefinition {
  const nowIn = ({ document }: Subject) => document.power.loads?.find(({ id }) => id === of.id) ?? of;
  return {
    id: `power.load:${of.id}`,
    segment: 'power',
    title: of.name,
    short: of.name,
    anySurface: true,
    quantity: 'voltageV',
    kind: 'floor',
    tightUnder: 1,
    evaluate: (subject) =>
      onSupply(subject, (result) => {
        const load = nowIn(subject);
        const own = result.loads.find(({ id }) => id === load.id)!;
        const [least, most] = [
          Math.min(own.full.volts, own.low.volts),
          Math.max(own.full.volts, own.low.volts),
        ];
        const found = about(result, load.id)[0];
        const overfed = most > load.maxV!;
        return {
          value: overfed ? most : least,
          limit: overfed ? load.maxV! : load.minV!,
          ...(overfed
            ? { margin: load.maxV! / most }
            : found && least >= load.minV!
              ? { margin: starvedMargin(subject.document, result, load.rail) }
              : {}),
          ...(found ? { state: 'over' as const } : {}),
          why:
            found?.why ??
            `Gets ${plain(own.full.volts)} V charged and ${plain(own.low.volts)} V low; it works from ${plain(load.minV!)} to ${plain(load.maxV!)} V.`,
          working: (['full', 'low'] as const).map((state) => ({
            label: `Pack ${STATE_WORDS[state]}`,
            formula: `${plain(load.minV!)} to ${plain(load.maxV!)} V wanted`,
            value: own[state].volts,
            quantity: 'voltageV' as const,
          })),
        };
      }),
    propose: (subject) => {
      const supply = supplyOfSubject(subject);
      if (!supply.ok) return [];
      const load = nowIn(subject);
      const { rails = [] } = subject.document.power;
      const fits = supply.result.rails.filter(
        ({ id, full, low }) =>
          id !== load.rail && [full, low].every(({ outV }) => outV >= load.minV! && outV <= load.maxV!),
      );
      return [
        ...servosOn(subject.document, load.rail)
          .filter(({ id }) => id !== load.id)
          .map((servo) => ownRegulator(subject.document, servo)),
        ...fits.map(({ id }) => ({
          text: `Hang it on ${rails.find((rail) => rail.id === id)!.name}`,
          patch: [{ path: ['power', 'loads', load.id, 'rail'], value: id }],
          cost: 1 as const,
        })),
        ...(subject.document.power.battery ? [ownRegulator(subject.document, load)] : []),
      ];
    },
  };
}

/** Of a load whose volts would do, but whose rail gives way at the peak. */
function starvedMargin(
  { power: { rails = [] } }: BuildDocument,
  { rails: found }: BudgetResult,
  id: string,
): number {
  const { continuousA = 0, peakA = continuousA } = rails.find((rail) => rail.id === id) ?? {};
  const own = found.find((rail) => rail.id === id);
  return own ? Math.min(0.99, peakA / Math.max(own.full.peakA, own.low.peakA)) : 0.99;
}

const servosOn = ({ power: { loads = [] } }: BuildDocument, rail: string) =>
  loads.filter((load) => load.kind === 'servo' && load.rail === rail);

/** Whole volts or halves inside the load's window, as high as it goes. */
const voltsFor = ({ minV = 0, maxV = minV }: PowerLoad) =>
  Math.max(minV, Math.floor(2 * Math.min(maxV, 0.98 * maxV)) / 2);

function ownRegulator({ power }: BuildDocument, load: PowerLoad): Proposal {
  const { rails = [] } = power;
  const id = `own-${load.id}`.slice(0, 60);
  const { typicalA = 0, peakA = typicalA } = load;
  const rail: PowerRail = {
    id,
    name: `Regulator of ${load.name}`.slice(0, 80),
    from: BATTERY,
    ...NEW_REGULATOR,
    setV: voltsFor(load),
    continuousA: Math.max(1, Math.ceil(SPARE * typicalA)),
    peakA: Math.max(1, Math.ceil(SPARE * peakA)),
  };
  const patch: Patch = [
    { path: ['power', 'rails'], value: [...rails.filter((one) => one.id !== id), rail] },
    { path: ['power', 'loads', load.id, 'rail'], value: id },
  ];
  return { text: `A regulator of its own for ${load.name}`, patch, cost: 2 };
}
