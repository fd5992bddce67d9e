import { RUN_KIND_NAMES } from '../learn/runKinds';
import { checkSentence } from '../checkWords';
import type { Check } from '@/core/verdict/engine/check';
import { failedHow } from '@/words/learn/failureModes';
import { verdictWords } from '@/words/learn/verdictWords';
import { isOpen } from '@/core/car/records/openFailure';
import { lessonsOf } from '../learn/learned';
import { fixHeld, livesOfParts } from '@/core/worked/field/lives';
import { heldWords } from '../learn/life';
import { seriesWords } from '../learn/runs';
import { gapOf, measuredOf } from '@/core/worked/field/measured';
import { paretoOf } from '@/core/advice/learn/pareto';
import { reportWords } from '../learn/reportWords';
import {
  isRepeated,
  isTimed,
  type RevisionRecord,
  type RunRecord,
  type TimedRun,
  type WholeBuild,
} from '@/core/car/records/records';
import { durationText } from '@/core/base/units/duration';
import { formatNumber, formatText, formatWithError, type Reader } from '@/core/base/units/formatQuantity';
import { inSentence } from '@/core/base/units/words';
import { CAUTIONS } from './cautions';
import type { Block, Report } from './definition';
import { paretoPicture, runsPicture } from './pictures';

/** What a paper about the field is made from. */
export interface TestReportInput extends Pick<WholeBuild, 'build' | 'revisions' | 'runs' | 'failures'> {
  revision: RevisionRecord;
  checks: readonly Check[];
}

const MOST_DRAWN = 14;
const day = (at: string, { locale }: Reader) =>
  new Intl.DateTimeFormat(locale, { dateStyle: 'medium', timeZone: 'UTC' }).format(new Date(at));

/** What a revision was asked to do, what it did, what broke and why, which fixes held, and what was learned. */
export function testReport(input: TestReportInput, reader: Reader): Report {
  const { build, revision, revisions, runs, failures } = input;
  const own = runs.filter(({ revisionId }) => revisionId === revision.id);
  const timed = own.filter(isTimed);
  const lessons = lessonsOf(revision, { revisions, runs, failures }, reader)
    .split('\n')
    .map((line) => line.trim())
    .filter(Boolean);
  const wish = revision.document.brief.targetMps;
  const picture = runsPicture(
    own
      .filter(isRepeated)
      .slice(-MOST_DRAWN)
      .map((run) => dotOf(run, reader)),
    'speedMps',
    wish,
    reader,
  );
  return {
    title: `${build.name} ${revision.letter}: test report`,
    subtitle:
      [revision.why, revision.expected ? `It should: ${revision.expected}` : ''].filter(Boolean).join(' ') ||
      'The first revision.',
    blocks: [
      { kind: 'heading', level: 1, text: 'What was learned' },
      ...(lessons.length > 0
        ? [{ kind: 'list' as const, items: lessons }]
        : [{ kind: 'text' as const, text: 'Nothing is on record yet.' }]),
      { kind: 'heading', level: 1, text: 'Runs' },
      ...(own.length === 0 ? [{ kind: 'text' as const, text: 'None was driven with this revision.' }] : []),
      ...(picture ? [{ kind: 'picture' as const, picture }] : []),
      ...timedTable(timed, reader),
      ...otherTable(own, reader),
      ...photosOf(own),
      ...failureBlocks(input, reader),
      ...costOfFailures(input, reader),
      ...checkBlocks(input.checks, reader),
      { kind: 'heading', level: 1, text: 'On the field' },
      ...[CAUTIONS.field, CAUTIONS.hot, CAUTIONS.pack, CAUTIONS.rules].map((text): Block => ({
        kind: 'caution',
        text,
      })),
    ],
  };
}

function dotOf(run: TimedRun, reader: Reader) {
  const { speed, speedErrorMps } = measuredOf(run);
  return {
    label: `${RUN_KIND_NAMES[run.kind]}, ${day(run.ranAt, reader)}`,
    mean: speed.mean,
    error: speedErrorMps,
    ...(run.prediction
      ? { predicted: { value: run.prediction.speedMps, error: run.prediction.speedErrorMps } }
      : {}),
  };
}

function timedTable(runs: readonly TimedRun[], reader: Reader): Block[] {
  if (runs.length === 0) return [];
  const rows = runs.map((run) => {
    const measured = measuredOf(run);
    const { conditions, prediction } = run;
    const gap = gapOf(run, measured);
    return [
      `${RUN_KIND_NAMES[run.kind]}, ${day(run.ranAt, reader)}`,
      `${formatText(conditions.distanceM, 'distanceM', reader)} on ${conditions.surfaceName.toLowerCase()}`,
      [
        conditions.ambientC === undefined ? '' : formatText(conditions.ambientC, 'temperatureC', reader),
        conditions.packVBefore === undefined ? '' : formatText(conditions.packVBefore, 'voltageV', reader),
        conditions.extraMassG ? `${formatText(conditions.extraMassG, 'massG', reader)} more` : '',
      ]
        .filter(Boolean)
        .join(', '),
      formatNumber(measured.attempts.length, reader.locale),
      isRepeated(run)
        ? formatWithError(measured.speed.mean, measured.speedErrorMps, 'speedMps', reader)
        : seriesWords(run, reader),
      prediction ? formatText(prediction.speedMps, 'speedMps', reader) : '',
      gap
        ? `${gap.differencePct < 0 ? '−' : '+'}${formatNumber(Math.abs(gap.differencePct), reader.locale, 2)} %`
        : '',
    ];
  });
  return [
    {
      kind: 'table',
      head: ['Run', 'Where', 'Air, pack', 'Tries', 'Mean speed', 'Predicted', 'Off by'],
      rows,
      numbers: [3, 4, 5, 6],
      widths: [2.8, 2.2, 1.8, 0.8, 2.1, 1.4, 1.1],
    },
  ];
}

function otherTable(own: readonly RunRecord[], reader: Reader): Block[] {
  const rows = own
    .filter((run) => !isTimed(run))
    .map((run) => [
      `${RUN_KIND_NAMES[run.kind]}, ${day(run.ranAt, reader)}`,
      run.drivenMinutes === undefined ? '' : formatText(run.drivenMinutes, 'minutes', reader),
      [reportWords(run, reader), run.note ?? ''].filter(Boolean).join('. '),
    ]);
  return rows.length === 0
    ? []
    : [
        {
          kind: 'table',
          head: ['Run', 'Driven', 'What it showed'],
          rows,
          numbers: [1],
          widths: [2.6, 1.2, 6],
        },
      ];
}

const photosOf = (runs: readonly RunRecord[]): Block[] => {
  const photos = runs.flatMap((run) => run.photos ?? []);
  return photos.length === 0 ? [] : [{ kind: 'photos', photos }];
};

function failureBlocks({ revision, revisions, runs, failures }: TestReportInput, reader: Reader): Block[] {
  const own = failures.filter(({ revisionId }) => revisionId === revision.id);
  if (own.length === 0)
    return [
      { kind: 'heading', level: 1, text: 'Failures' },
      { kind: 'text', text: 'Nothing failed.' },
    ];
  return [
    { kind: 'heading', level: 1, text: 'Failures' },
    ...own.map((failure): Block => {
      const { partName, hours, story, ledger, fix, fixRevisionId, occurredAt } = failure;
      const held = fixHeld(failure, revisions, runs, failures);
      const carrier = revisions.find(({ id }) => id === fixRevisionId);
      const facts: (readonly [string, string])[] = [
        [
          'When',
          `${day(occurredAt, reader)}${hours === undefined ? '' : `, after ${formatText(hours, 'hours', reader, 2)}`}${ledger?.lostMinutes === undefined ? '' : `; ran again after ${durationText(ledger.lostMinutes * 60)}`}`,
        ],
        [
          'Why',
          ledger?.verdict
            ? verdictWords(ledger.verdict)
            : isOpen(failure)
              ? 'not known yet'
              : 'no verdict noted',
        ],
        ...(fix ? [['Fix', `${fix}${carrier ? ` In ${carrier.letter}.` : ''}`] as const] : []),
        ...(held ? [['Held', heldWords(held, reader)] as const] : []),
      ];
      return {
        kind: 'together',
        blocks: [
          { kind: 'heading', level: 2, text: `${partName}: ${inSentence(failedHow(failure))}` },
          ...(story ? [{ kind: 'text' as const, text: story }] : []),
          { kind: 'facts', rows: facts },
          ...((ledger?.photos ?? []).length > 0
            ? [{ kind: 'photos' as const, photos: ledger!.photos! }]
            : []),
        ],
      };
    }),
  ];
}

/** Over all revisions up to now, because one alone has few. */
function costOfFailures({ revisions, runs, failures }: TestReportInput, { locale }: Reader): Block[] {
  const lives = livesOfParts(revisions, runs, failures);
  const byTime = paretoOf(lives, 'time');
  const rows = byTime.length > 0 ? byTime : paretoOf(lives, 'count');
  const picture = paretoPicture(
    rows.slice(0, MOST_DRAWN),
    (value) => (byTime.length > 0 ? durationText(value * 60) : formatNumber(value, locale)),
    byTime.length > 0 ? 'the time it cost' : 'count',
  );
  return picture
    ? [
        { kind: 'heading', level: 1, text: 'What fails most, over all revisions' },
        { kind: 'picture', picture },
      ]
    : [];
}

function checkBlocks(checks: readonly Check[], reader: Reader): Block[] {
  const bad = checks.filter(
    ({ state, segment }) => (state === 'over' || state === 'tight') && segment !== 'learn',
  );
  return [
    { kind: 'heading', level: 1, text: 'Checks that are not clear' },
    bad.length === 0
      ? { kind: 'text', text: 'All that could be worked out are clear.' }
      : { kind: 'list', items: bad.map((check) => checkSentence(check, reader)) },
  ];
}
