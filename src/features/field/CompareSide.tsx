'use client';

import figuresCss from '@/ui/Figure.module.css';
import { Page } from '@/ui/layout/Page';
import clsx from 'clsx';
import fieldsCss from '@/ui/fields.module.css';
import Typography from '@mui/material/Typography';
import Box from '@mui/material/Box';
import { Select } from '@/ui/controls/Select';
import { Note } from '@/ui/controls/Note';
import { RUN_KIND_NAMES } from '@/words/learn/runKinds';
import { type ReactNode, useMemo, useState } from 'react';
import {
  compareGroups,
  GROUPINGS,
  type Grouping,
  groupsOf,
  type RunGroup,
  settingNames,
} from '@/core/advice/learn/groups';
import { RUN_KIND_RECORDS, TIMED_KINDS, type TimedKind } from '@/core/car/records/runKinds';
import { runsSummary } from '@/core/physics/statistics/runsSummary';
import { formatNumber, formatText } from '@/core/base/units/formatQuantity';
import { DotPlot } from '@/ui/charts/DotPlot';
import { useReader } from '@/ui/reader';
import { unlikeWords } from '@/words/learn/unlike';
import { leftOutWords } from '@/words/learn/runs';
import { useBuild } from '../session/BuildContext';
import { Group } from '../fields/fields';
import { Bench, Readings } from '../frame/Guarded';
import { isRepeated, isTimed, type RunRecord } from '@/core/car/records/records';
import { seriesOf } from '@/core/advice/learn/series';
import { SeriesChart } from './series/SeriesChart';
import { OverRevisions } from './OverRevisions';
import { useRuns } from './useRuns';
import { sayAll } from '@/words/findings';

const BY_WORDS: Readonly<Record<Grouping, string>> = {
  revision: 'revisions',
  tyre: 'tyres',
  surface: 'surfaces',
  setting: 'a setting',
  run: 'single runs',
};
const VERDICTS = {
  better: 'is better',
  worse: 'is worse',
  'no difference shown': 'shows no difference',
  'too few runs': 'has too few runs',
} as const;

/** Between which the true difference lies, in words. */
function intervalWords(
  [low, high]: readonly [number, number],
  figure: (value: number, digits?: number) => string,
): string {
  if (low < 0 && high > 0) return `, at 95 % between ${figure(-low, 2)} less and ${figure(high, 2)} more`;
  const [a, b] = [Math.abs(low), Math.abs(high)].sort((one, other) => one - other);
  return `, at 95 % by ${figure(a!, 2)} to ${figure(b!, 2)}`;
}

const MOST_SERIES = 6;

/** Settings series of the build, the latest first, each with its curve. */
function SeriesOfBuild({ runs }: { runs: readonly RunRecord[] }) {
  const series = runs.filter(isTimed).filter((run) => !isRepeated(run));
  return (
    <>
      {series
        .slice(-MOST_SERIES)
        .reverse()
        .map((run) => (
          <SeriesChart
            key={run.id}
            report={run.report}
            points={seriesOf(run)}
            distanceM={run.conditions.distanceM}
          />
        ))}
    </>
  );
}

/** Two groups of runs under like conditions: what differs is said before the verdict. */
const TONES: Readonly<Record<string, 'over' | 'measured' | 'plainfig'>> = {
  worse: 'over',
  better: 'measured',
};

export function CompareSide({ tabs }: { tabs: ReactNode }) {
  const { revisions } = useBuild();
  const { reader } = useReader();
  const held = useRuns();
  const runs = useMemo(() => held.map(({ run }) => run), [held]);
  const kinds = TIMED_KINDS.filter((kind) => runs.some((run) => run.kind === kind));
  const [kind, setKind] = useState<TimedKind>();
  const now = kind ?? kinds[0] ?? 'timedDistance';
  const names = useMemo(() => settingNames(runs), [runs]);
  const [by, setBy] = useState<Grouping>('revision');
  const [setting, setSetting] = useState<string>();
  const [chosen, setChosen] = useState<{ a?: string; b?: string }>({});
  const groups = groupsOf(runs, revisions, now, by, setting ?? names[0]);
  const a = groups.find(({ id }) => id === chosen.a) ?? groups.at(-2);
  const b = groups.find(({ id }) => id === chosen.b) ?? groups.at(-1);
  const counted = ({ values, means }: RunGroup) => (found?.unit === 'attempts' ? values : means).length;
  const found = a && b && a !== b ? compareGroups(a, b, groups, now, by) : undefined;
  const quantity = RUN_KIND_RECORDS[now].fromRest ? 'timeS' : 'speedMps';
  const figure = (value: number, digits?: number) => formatText(value, quantity, reader, digits);
  const pick = (side: 'a' | 'b', label: string, id: string | undefined) => (
    <div className={fieldsCss.field}>
      <label htmlFor={`group-${side}`}>{label}</label>
      <Select
        id={`group-${side}`}
        value={id ?? ''}
        onChange={(event) => setChosen({ ...chosen, [side]: event.target.value })}
      >
        {groups.map((group) => (
          <option key={group.id} value={group.id}>
            {group.label}
          </option>
        ))}
      </Select>
    </div>
  );
  return (
    <Page>
      <Bench>
        <Group title="Compare">
          <div className={fieldsCss.field}>
            <label htmlFor="compare-kind">Runs of the kind</label>
            <Select
              id="compare-kind"
              value={now}
              onChange={(event) => {
                setKind(event.target.value as TimedKind);
                setChosen({});
              }}
            >
              {kinds.map((one) => (
                <option key={one} value={one}>
                  {RUN_KIND_NAMES[one]}
                </option>
              ))}
            </Select>
          </div>
          <div className={fieldsCss.field}>
            <label htmlFor="compare-by">By</label>
            <Select
              id="compare-by"
              value={by}
              onChange={(event) => {
                setBy(event.target.value as Grouping);
                setChosen({});
              }}
            >
              {GROUPINGS.filter((one) => one !== 'setting' || names.length > 0).map((one) => (
                <option key={one} value={one}>
                  {BY_WORDS[one]}
                </option>
              ))}
            </Select>
          </div>
          {by === 'setting' ? (
            <div className={fieldsCss.field}>
              <label htmlFor="compare-setting">Setting</label>
              <Select
                id="compare-setting"
                value={setting ?? names[0]}
                onChange={(event) => {
                  setSetting(event.target.value);
                  setChosen({});
                }}
              >
                {names.map((name) => (
                  <option key={name}>{name}</option>
                ))}
              </Select>
            </div>
          ) : null}
          {groups.length > 1 ? (
            <>
              {pick('a', 'Before', a?.id)}
              {pick('b', 'With the change', b?.id)}
            </>
          ) : null}
        </Group>
      </Bench>
      <Readings>
        {tabs}
        {!found || !a || !b ? (
          <Typography variant="answer" data-testid="compare-answer">
            {runs.length === 0
              ? 'Nothing to compare yet: log runs under like conditions, and the difference stands here with its chance.'
              : 'There is one group only: choose another way of putting the runs together.'}
          </Typography>
        ) : (
          <>
            {found.unlike.length > 0 ? (
              <Note role="status" data-testid="unlike">
                <b>Not alike:</b> {unlikeWords(found.unlike, reader).join('; ')}. What follows may be that and
                not the change.
              </Note>
            ) : null}
            {[a, b].map(({ id, label, leftOut }) =>
              leftOut ? (
                <Typography color="textSecondary" key={id}>
                  Of {label}, {leftOutWords(leftOut)}.
                </Typography>
              ) : null,
            )}
            <Typography variant="answer" data-testid="compare-answer">
              {b.label[0]!.toUpperCase()}
              {b.label.slice(1)}{' '}
              <span
                className={clsx(figuresCss.figure, figuresCss[TONES[found.result.verdict] ?? 'plainfig'])}
              >
                {VERDICTS[found.result.verdict]}
              </span>
              {found.result.verdict === 'too few runs' ? (
                <>
                  : {figure(Math.abs(found.result.difference), 2)}{' '}
                  {found.result.difference > 0 ? 'more' : 'less'} than {a.label} so far, from {counted(a)} and{' '}
                  {counted(b)} {found.unit}
                </>
              ) : (
                <>
                  : {figure(Math.abs(found.result.difference), 2)}{' '}
                  {found.result.difference > 0 ? 'more' : 'less'} than {a.label}
                  {found.result.ci95 ? intervalWords(found.result.ci95, figure) : ''}
                </>
              )}
              .
            </Typography>
            {found.result.runsNeeded !== undefined &&
            (found.result.verdict === 'no difference shown' || found.result.verdict === 'too few runs') ? (
              <Box component="p" sx={{ mt: 0.5 }}>
                To see so small a difference takes{' '}
                <b>
                  {formatNumber(found.result.runsNeeded, reader.locale, 3)} {found.unit} on each side
                </b>
                ; there are {counted(a)} and {counted(b)}.
              </Box>
            ) : null}
            <Typography variant="note" color="textSecondary">
              {found.result.p === undefined
                ? ''
                : `${found.unit === 'runs' ? 'Means of runs, their spread pooled: t' : 'Welch’s t'} ${formatNumber(found.result.t!, reader.locale, 3)} with ${formatNumber(found.result.df!, reader.locale, 3)} degrees of freedom, p ${found.result.p < 1e-4 ? 'under 0.0001' : formatNumber(found.result.p, reader.locale, 2)}. `}
              {sayAll(found.result.notes, reader)}
            </Typography>
            <DotPlot
              title={`${RUN_KIND_NAMES[now]}, every attempt`}
              quantity={quantity}
              rows={[a, b].map(({ id, label, values }) => {
                const { mean, ci95 } = runsSummary({ values });
                return {
                  id,
                  label: label.length > 17 ? `${label.slice(0, 16)}…` : label,
                  values,
                  mean,
                  error: ci95 ? (ci95[1] - ci95[0]) / 2 : 0,
                };
              })}
            />
          </>
        )}
        <SeriesOfBuild runs={runs} />
        <OverRevisions runs={runs} />
      </Readings>
    </Page>
  );
}
