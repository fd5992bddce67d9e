import { refusal } from '../../base/errors';
import { type Rule, type SeparatingCheck, type Speaks, TABLES } from './tables';
import { bitsPerMinute, whyNext } from './nextCheck';
import { type Finding, finding } from '../../base/finding';
import { measure } from '../../base/measure';
import type { Clue } from './reasons';

declare module '../../base/errors' {
  interface RefusalFacts {
    'diagnose.unknown': { id: string; ids: string };
    'diagnose.twice': { id: string };
  }
}

export const OUTCOMES = ['yes', 'no', 'unclear'] as const;

export type Outcome = (typeof OUTCOMES)[number];

export interface DiagnoseInput {
  mode: string;
  partKind?: string;
  clues?: readonly string[];
  conditions?: {
    surface?: string;
    stateOfCharge?: number;
    motorCaseC?: number;
    ambientC?: number;
    wet?: boolean;
    impactMps?: number;
    extraMassG?: number;
  };
  /** Of the build at the revision that failed, by the id of its check. */
  margins?: Readonly<Record<string, number>>;
  history?: {
    hours?: number;
    repaired?: boolean;
    crackedBefore?: boolean;
    sameModeBefore?: boolean;
    changesSinceGood?: readonly string[];
  };
  outcomes?: readonly { check: string; result: Outcome }[];
}

export interface Suspect {
  cause: string;
  means: string;
  /** 0 to 1. */
  share: number;
  /** One finding for each thing that speaks for or against it, the weightiest first. */
  why: Finding[];
  check: { id: string; ask: string; minutes: number } & ({ bitsPerMinute: number } | { result: Outcome });
}

export interface NextCheck {
  check: string;
  ask: string;
  /** min. */
  minutes: number;
  /** Expected information, bits a minute. */
  bitsPerMinute: number;
  why: Finding;
}

export interface DiagnoseResult {
  suspects: Suspect[];
  /** The causes that are not listed, and their share together. */
  rest: { causes: number; share: number };
  nextCheck?: NextCheck;
  notes: Finding[];
}

/** One thing that moves a cause, in log odds. */
interface Term {
  weight: number;
  why: Finding;
}

const [LEAST_SHARE, FEWEST, MOST, CLEAR] = [0.02, 3, 10, 0.9];

const ROUND = 1e6;

/**
 * Suspects of a failure by naive Bayes in log odds, and the check that tells most a minute. A judgement aid: the grades are
 * practice written down, not measured frequencies; a check decides, a share does not.
 *
 * @returns shares from 0 to 1, minutes of effort, bits a minute
 * @throws CalcError at an id that the tables do not know, and at what is given twice
 * @see Shannon 1948 (information of a binary answer); Good, Probability and the Weighing of Evidence (1950)
 */
export function failureDiagnose(input: DiagnoseInput): DiagnoseResult {
  refuseStrangers(input);
  const outcomes = new Map((input.outcomes ?? []).map(({ check, result }) => [check, result]));
  const { terms, unused } = evidence(input, outcomes);
  const scores = TABLES.causes.map(
    ({ id }) => Math.round(terms.get(id)!.reduce((sum, { weight }) => sum + weight, 0) * ROUND) / ROUND,
  );
  const highest = Math.max(...scores);
  const odds = scores.map((score) => Math.exp(score - highest));
  const all = odds.reduce((sum, one) => sum + one, 0);
  const shares = new Map(TABLES.causes.map(({ id }, at) => [id, odds[at]! / all]));
  const bits = new Map(TABLES.checks.map((check) => [check.id, bitsPerMinute(check, shares)]));
  const sorted = [...TABLES.causes].sort((a, b) => shares.get(b.id)! - shares.get(a.id)!);
  const listed = sorted.filter(({ id }, at) => at < FEWEST || (at < MOST && shares.get(id)! >= LEAST_SHARE));
  const suspects = listed.map(({ id, means, check: checkId }): Suspect => {
    const { ask, minutes } = TABLES.checks.find((one) => one.id === checkId)!;
    const result = outcomes.get(checkId);
    return {
      cause: id,
      means,
      share: shares.get(id)!,
      why: reasons(terms.get(id)!),
      check: { id: checkId, ask, minutes, ...(result ? { result } : { bitsPerMinute: bits.get(checkId)! }) },
    };
  });
  const open = TABLES.checks.filter(({ id }) => !outcomes.has(id));
  const next = open.reduce<SeparatingCheck | undefined>(
    (best, one) => (!best || bits.get(one.id)! > bits.get(best.id)! ? one : best),
    undefined,
  );
  return {
    suspects,
    rest: {
      causes: sorted.length - listed.length,
      share: Math.max(0, 1 - listed.reduce((sum, { id }) => sum + shares.get(id)!, 0)),
    },
    ...(next
      ? {
          nextCheck: {
            check: next.id,
            ask: next.ask,
            minutes: next.minutes,
            bitsPerMinute: bits.get(next.id)!,
            why: whyNext(next, shares),
          },
        }
      : {}),
    notes: notesOn(input, suspects, unused, next !== undefined),
  };
}

function refuseStrangers({
  mode,
  partKind,
  clues = [],
  conditions = {},
  history = {},
  outcomes = [],
}: DiagnoseInput): void {
  const known = (path: string, id: string, ids: readonly string[]) => {
    if (!ids.includes(id))
      throw refusal(path, 'diagnose.unknown', { id: id.slice(0, 40), ids: ids.slice(0, 6).join(', ') });
  };
  const once = (ids: readonly string[], path: (at: number) => string) =>
    ids.forEach((id, at) => {
      if (ids.indexOf(id) < at) throw refusal(path(at), 'diagnose.twice', { id });
    });
  const [clueIds, changeIds, checkIds] = [
    Object.keys(TABLES.clues),
    Object.keys(TABLES.changes),
    TABLES.checks.map(({ id }) => id),
  ];
  known('mode', mode, Object.keys(TABLES.modes));
  if (partKind !== undefined) known('partKind', partKind, Object.keys(TABLES.partKinds));
  clues.forEach((id, at) => known(`clues.${at}`, id, clueIds));
  once(clues, (at) => `clues.${at}`);
  if (conditions.surface !== undefined) known('conditions.surface', conditions.surface, TABLES.surfaces);
  const changes = history.changesSinceGood ?? [];
  changes.forEach((id, at) => known(`history.changesSinceGood.${at}`, id, changeIds));
  once(changes, (at) => `history.changesSinceGood.${at}`);
  outcomes.forEach(({ check }, at) => known(`outcomes.${at}.check`, check, checkIds));
  once(
    outcomes.map(({ check }) => check),
    (at) => `outcomes.${at}`,
  );
}

/** All that moves each cause, in the order of the model, and the margins that nothing in the tables knows. */
function evidence(
  input: DiagnoseInput,
  outcomes: ReadonlyMap<string, Outcome>,
): { terms: ReadonlyMap<string, readonly Term[]>; unused: string[] } {
  const { weights } = TABLES;
  const terms = new Map<string, Term[]>(TABLES.causes.map(({ id }) => [id, []]));
  const add = (cause: string, weight: number, why: Finding) => terms.get(cause)!.push({ weight, why });
  const { means, usual, possible } = TABLES.modes[input.mode]!;
  for (const { id } of TABLES.causes) {
    const place = usual.includes(id)
      ? 'usual'
      : possible.includes(id) || input.mode === 'own'
        ? 'possible'
        : 'rare';
    if (weights[place] !== 0)
      add(id, weights[place], finding('note.diagnosis.place', { usual: place === 'usual', means }));
  }
  const speak = ({ strong, weak, against = [] }: Speaks, clue: Clue) => {
    for (const cause of strong) add(cause, weights.strong, finding('note.diagnosis.strong', { clue }));
    for (const cause of weak) add(cause, weights.weak, finding('note.diagnosis.weak', { clue }));
    for (const cause of against) add(cause, weights.against, finding('note.diagnosis.against', { clue }));
  };
  const clues = input.clues ?? [];
  for (const clue of clues) speak(TABLES.clues[clue]!, { says: TABLES.clues[clue]!.means });
  if (input.partKind !== undefined)
    speak(TABLES.partKinds[input.partKind]!, { isA: TABLES.partKinds[input.partKind]!.means });
  for (const rule of TABLES.conditions)
    if (applies(rule, input.conditions ?? {}, clues)) speak(rule, { says: rule.why });
  for (const rule of TABLES.history)
    if (applies(rule, input.history ?? {}, clues)) speak(rule, { says: rule.why });
  for (const change of input.history?.changesSinceGood ?? [])
    speak(TABLES.changes[change]!, { changed: TABLES.changes[change]!.means });
  const { smallest, unused } = marginsByPrefix(input.margins ?? {});
  for (const [prefix, { key, margin }] of smallest) {
    const weight =
      margin < 1
        ? weights.marginUnder1
        : margin < 1.15
          ? weights.marginUnder115
          : margin > 2
            ? weights.marginOver2
            : 0;
    if (weight !== 0)
      for (const cause of TABLES.margins[prefix]!)
        add(
          cause,
          weight,
          finding('note.diagnosis.margin', { for: weight > 0, key, margin: measure(margin, 'coefficient') }),
        );
  }
  for (const { id, check } of TABLES.causes) {
    const result = outcomes.get(check);
    if (result === 'yes' || result === 'no')
      add(
        id,
        result === 'yes' ? weights.checkYes : weights.checkNo,
        finding('note.diagnosis.outcome', { result }),
      );
  }
  return { terms, unused };
}

function applies(rule: Rule, facts: object, clues: readonly string[]): boolean {
  const value = (facts as Readonly<Record<string, unknown>>)[rule.field];
  if (value === undefined || (rule.unlessClue !== undefined && clues.includes(rule.unlessClue))) return false;
  if (rule.is !== undefined) return value === rule.is;
  if (rule.in !== undefined) return rule.in.includes(value as string);
  if (rule.atLeast !== undefined) return (value as number) >= rule.atLeast;
  return rule.atMost !== undefined && (value as number) <= rule.atMost;
}

/** The smallest margin of each prefix of the tables; a key belongs to the longest that it is, or that it goes on from by `.` or `:`. */
function marginsByPrefix(margins: Readonly<Record<string, number>>): {
  smallest: [string, { key: string; margin: number }][];
  unused: string[];
} {
  const prefixes = Object.keys(TABLES.margins);
  const found = new Map<string, { key: string; margin: number }>();
  const unused: string[] = [];
  for (const [key, margin] of Object.entries(margins)) {
    const prefix = prefixes
      .filter((one) => key === one || key.startsWith(`${one}.`) || key.startsWith(`${one}:`))
      .sort((a, b) => b.length - a.length)[0];
    if (prefix === undefined) unused.push(key);
    else if (!found.has(prefix) || margin < found.get(prefix)!.margin) found.set(prefix, { key, margin });
  }
  return {
    smallest: prefixes.flatMap((prefix) =>
      found.has(prefix) ? [[prefix, found.get(prefix)!] as [string, { key: string; margin: number }]] : [],
    ),
    unused,
  };
}

/** The weightiest first; of equal weight in the order of the model. */
function reasons(terms: readonly Term[]): Finding[] {
  if (terms.length === 0) return [finding('note.diagnosis.silent', {})];
  return terms
    .map((term, at) => ({ ...term, at }))
    .sort((a, b) => Math.abs(b.weight) - Math.abs(a.weight) || a.at - b.at)
    .map(({ why }) => why);
}

function notesOn(
  { clues = [], outcomes = [], history = {} }: DiagnoseInput,
  suspects: readonly Suspect[],
  unused: readonly string[],
  open: boolean,
): Finding[] {
  const changes = history.changesSinceGood?.length ?? 0;
  return [
    finding('note.diagnosis.judgement', {}),
    ...(clues.length === 0 && outcomes.length === 0 ? [finding('note.diagnosis.noClue', {})] : []),
    ...(changes > 1 ? [finding('note.diagnosis.manyChanges', { changes })] : []),
    ...(unused.length > 0 ? [finding('note.diagnosis.unusedMargins', { margins: unused })] : []),
    ...(suspects[0]!.share >= CLEAR ? [finding('note.diagnosis.clear', {})] : []),
    ...(open ? [] : [finding('note.diagnosis.allLookedAt', {})]),
  ];
}
