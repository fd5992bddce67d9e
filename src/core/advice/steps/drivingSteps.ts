import { finding } from '../../base/finding';
import { band as bandCheck } from '../../verdict/field/band.check';
import { goal as goalCheck } from '../../verdict/field/goal.check';
import { owedRuns } from '../../verdict/field/owedRuns.check';
import { RUN_KIND_RECORDS } from '../../car/records/runKinds';
import type { Check } from '../../verdict/engine/check';
import type { BuildOnRecord } from '../../verdict/engine/onRecord';
import { pooledSpread } from './trial';
import { type Bare, MINUTES, NOT_READY, RELIEF, type StandingFound, step, told } from './bareStep';

/** Where measurement and prediction do not agree, or do not yet say which side of the wish the car is on. */
export function predictionToMend(record: BuildOnRecord): Bare[] {
  const { runs, revisionId } = record;
  const own = runs.filter((run) => run.revisionId === revisionId);
  const [band, goal] = [bandCheck, goalCheck].map((one) => ({
    state: 'unknown' as const,
    ...one.find(record),
  })) as [StandingFound, StandingFound];
  const spread = pooledSpread(own) ?? pooledSpread(runs);
  const gap =
    goal.value !== undefined && goal.limit !== undefined ? Math.abs(goal.value - goal.limit) : undefined;
  const needed =
    spread !== undefined && gap !== undefined && gap > 0 ? Math.ceil(((2 * spread) / gap) ** 2) : undefined;
  return [
    ...(band.state === 'over' || band.state === 'tight'
      ? [
          step({
            id: 'measure:band',
            kind: 'measure',
            segment: 'field',
            title: finding('step.predictionOff', {}),
            why: [...told(band), finding('step.leansOnIt', {})],
            cost: { benchMinutes: MINUTES.find },
            relief: RELIEF.band,
            trial: {
              run: 'look',
              how: 'calibrateAndWeigh',
              enough: finding('trial.insideBand', {}),
            },
          }),
        ]
      : []),
    ...(goal.state === 'over' && band.state === 'clear'
      ? [
          step({
            id: 'measure:missed',
            kind: 'measure',
            segment: 'field',
            title: finding('step.calibrateThenGear', {}),
            why: [...told(goal), finding('step.tooHopeful', {})],
            cost: { benchMinutes: MINUTES.find },
            relief: RELIEF.band,
            trial: {
              run: 'timedDistance',
              how: 'calibrateAndGear',
              enough: finding('trial.three', {}),
            },
          }),
        ]
      : []),
    ...(goal.state === 'tight' && needed !== undefined
      ? [
          step({
            id: 'measure:goal',
            kind: 'measure',
            segment: 'field',
            title: finding('step.moreRuns', {}),
            why: told(goal),
            cost: { benchMinutes: MINUTES.run },
            relief: RELIEF.goal,
            trial: {
              run: 'timedDistance',
              how: 'sameDistanceAgain',
              runs: needed,
              enough: finding('trial.attempts', { attempts: needed }),
            },
          }),
        ]
      : []),
  ];
}

/** Runs that a wish still asks for; they wait while something is over or the drive is not whole. */
export function runsToDrive({ document, runs, revisionId }: BuildOnRecord, checks: readonly Check[]): Bare[] {
  const ready = !checks.some(
    ({ id, state }) => state === 'over' || (id === 'drive.speed' && state === 'unknown'),
  );
  const own = runs.filter((run) => run.revisionId === revisionId);
  return owedRuns(document, own).map(({ kind, wish }) => {
    const { wholePack } = RUN_KIND_RECORDS[kind];
    const minutes = wholePack ? (document.brief.runTimeMinutes ?? 0) : 0;
    return step({
      id: `owed:${kind}`,
      kind: 'measure',
      segment: 'field',
      title: finding('step.driveOwed', { kind }),
      why: [finding('step.notAnswered', { wish })],
      cost: { benchMinutes: Math.max(MINUTES.run, minutes) + MINUTES.around },
      relief: (own.length === 0 ? RELIEF.first : RELIEF.owed) * (ready ? 1 : NOT_READY),
      trial: {
        run: kind,
        how: wholePack ? 'wholePackNoted' : 'threeAttempts',
        runs: wholePack ? 1 : 3,
        enough: finding(wholePack ? 'trial.onePack' : 'trial.threeSpread', {}),
      },
    });
  });
}
