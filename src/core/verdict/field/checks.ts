import type { BuildDocument } from '../../car/document/document';
import type { State } from '../engine/check';
import { plain } from '../../base/units/plain';
import { gapOf, measuredOf, measuredSpeedOf } from '../../worked/field/measured';
import { isTimed, RUN_KIND_NAMES, type RunKind, type RunRecord } from '../../car/records/records';
import { wrongWheels } from '../../worked/field/reportWords';

/** What a check on the record finds. */
export interface Found {
  value?: number;
  limit?: number;
  margin?: number;
  state: State;
  why: string;
  missing?: readonly string[];
}

const KMH = 3.6;
const kmh = (mps: number) => `${plain(mps * KMH)} km/h`;
/** Two standard deviations: nineteen of twenty. */
const [PROVEN, OUTSIDE, FAR_OUTSIDE] = [2, 2, 3];

/** The wished speed against what was measured of this revision. */
export function goalOf(document: BuildDocument, own: readonly RunRecord[]): Found {
  const { targetMps } = document.brief;
  const measured = measuredSpeedOf(own, 'timedDistance');
  if (targetMps === undefined || !measured)
    return {
      state: 'unknown',
      why: `Needs ${[...(targetMps === undefined ? ['a wished speed'] : []), ...(measured ? [] : ['a timed run'])].join(', ')}.`,
      missing: [...(targetMps === undefined ? ['wished speed'] : []), ...(measured ? [] : ['a timed run'])],
    };
  const { speedMps, errorMps, runs } = measured;
  const state: State =
    speedMps - PROVEN * errorMps >= targetMps
      ? 'clear'
      : speedMps + PROVEN * errorMps < targetMps
        ? 'over'
        : 'tight';
  const said = `${kmh(speedMps)} ± ${kmh(errorMps)} over ${runs} timed ${runs === 1 ? 'run' : 'runs'}, ${kmh(targetMps)} wished`;
  const verdict = {
    clear: 'proven',
    tight: 'not proven either way: drive it more often',
    over: 'missed',
    unknown: '',
  }[state];
  return {
    value: speedMps,
    limit: targetMps,
    margin: speedMps / targetMps,
    state,
    why: `${said}: ${verdict}.`,
  };
}

/** Runs whose measurement lies outside the band of their prediction. */
export function bandOf(own: readonly RunRecord[]): Found {
  const gaps = own.filter(isTimed).flatMap((run) => {
    const gap = gapOf(run, measuredOf(run));
    return gap ? [{ run, ...gap }] : [];
  });
  const wrong = own.flatMap((run) => (run.kind === 'spin' && run.report ? wrongWheels(run.report) : []));
  if (wrong.length > 0)
    return {
      state: 'over',
      why: `On the bench ${wrong.join(', ')}: look at the bevels and the motor's leads before it drives.`,
    };
  if (gaps.length === 0)
    return { state: 'unknown', why: 'Needs a run with a prediction.', missing: ['a run with a prediction'] };
  const worst = gaps.reduce((a, b) => (Math.abs(b.sigmas) > Math.abs(a.sigmas) ? b : a));
  const far = Math.abs(worst.sigmas);
  const said = `${RUN_KIND_NAMES[worst.run.kind]} of ${worst.run.ranAt.slice(0, 10)} is ${plain(Math.abs(worst.differencePct), 2)} % ${worst.differencePct < 0 ? 'slower' : 'faster'} than predicted, ${plain(far, 2)} joint standard deviations off`;
  return {
    value: far,
    limit: OUTSIDE,
    state: far > FAR_OUTSIDE ? 'over' : far > OUTSIDE ? 'tight' : 'clear',
    why:
      far > OUTSIDE
        ? `${said}: something in the build's figures or the run is not as it stands there.`
        : `${gaps.length} ${gaps.length === 1 ? 'run lies' : 'runs lie'} inside the band of the prediction; at most, ${said}.`,
  };
}

/** Runs that a wish asks for and that this revision has not driven. */
export function owedRuns(
  document: BuildDocument,
  own: readonly RunRecord[],
): { kind: RunKind; why: string }[] {
  const { targetMps, timeToDistanceS, runTimeMinutes } = document.brief;
  const has = (...kinds: RunKind[]) => own.some(({ kind }) => kinds.includes(kind));
  return [
    ...(targetMps !== undefined && !has('timedDistance', 'track', 'series')
      ? [{ kind: 'timedDistance' as const, why: 'the wished speed' }]
      : []),
    ...(timeToDistanceS !== undefined && !has('launch')
      ? [{ kind: 'launch' as const, why: 'the wished time to the distance' }]
      : []),
    ...(runTimeMinutes !== undefined && !has('endurance')
      ? [{ kind: 'endurance' as const, why: 'the wished minutes a pack' }]
      : []),
  ];
}

export function owedOf(document: BuildDocument, own: readonly RunRecord[]): Found {
  if (own.length === 0)
    return { state: 'unknown', why: 'Needs a first run of this revision.', missing: ['a timed run'] };
  const owed = owedRuns(document, own);
  if (owed.length === 0) return { state: 'clear', why: 'Every wish of the brief has a run that answers it.' };
  return {
    value: owed.length,
    state: 'tight',
    why: `Still to drive: ${owed.map(({ kind, why }) => `${RUN_KIND_NAMES[kind].toLowerCase()} for ${why}`).join(', ')}.`,
  };
}
