import { describeChanges } from '../../car/labels/describe';
import type { Path } from '../../base/patch';
import { formatText, formatWithError, type Reader } from '../../base/units/formatQuantity';
import { markdownText } from '../../base/units/markdown';
import { failedHow } from '../../car/records/failureModes';
import { verdictWords } from '../../worked/field/ledger';
import { fixHeld } from '../../worked/field/lives';
import { measuredSpeedOf } from '../../worked/field/measured';
import type { FailureRecord, RevisionRecord, WholeBuild } from '../../car/records/records';

/** Segments whose changes act on their own: a part's mesh comes with its shape, a list with its part. */
const QUIET: ReadonlySet<string> = new Set(['print']);
const MONEY: ReadonlySet<string> = new Set(['budget', 'currency', 'calibration']);
const LISTS: ReadonlySet<string> = new Set(['items', 'stages', 'loads', 'rails', 'shafts', 'surfaces']);

/** Things of a build that were changed, one for each motor, stage, part or plain figure; what was said of money and printing left out. */
export const thingsChanged = (changes: readonly { path: Path }[]): string[] => [
  ...new Set(changes.filter(({ path }) => acts(path)).map(({ path }) => thingOf(path))),
];

/** Whether a change at a path can act on the car. */
export const acts = (path: Path): boolean =>
  !QUIET.has(path[0] ?? '') && !(path[0] === 'brief' && MONEY.has(path[1] ?? ''));

/** The motor, stage, part or plain figure that a path belongs to. */
export const thingOf = (path: Path): string => path.slice(0, LISTS.has(path[1] ?? '') ? 3 : 2).join('.');

/** The story of a build as Markdown: each revision with its why, what changed, what was measured, what broke and whether its fixes held. */
export function changeLog(
  { build, revisions, runs, failures }: Pick<WholeBuild, 'build' | 'revisions' | 'runs' | 'failures'>,
  reader: Reader,
): string {
  const parts = revisions.map((revision) => {
    const parent = revisions.find(({ id }) => id === revision.parentId);
    const changes = parent ? describeChanges(parent.document, revision.document, reader) : [];
    const things = thingsChanged(changes).length;
    const measured = measuredSpeedOf(
      runs.filter(({ revisionId }) => revisionId === revision.id),
      'timedDistance',
    );
    const own = failures.filter(({ revisionId }) => revisionId === revision.id);
    return [
      `## ${revision.letter}, ${revision.createdAt.slice(0, 10)}${parent ? `, on ${parent.letter}` : ''}`,
      ...(revision.why ? [`Why: ${markdownText(revision.why)}`] : []),
      ...(revision.expected ? [`Should: ${markdownText(revision.expected)}`] : []),
      ...(measured
        ? [
            `Measured: ${formatWithError(measured.speedMps, measured.errorMps, 'speedMps', reader)} over ${measured.runs} timed ${measured.runs === 1 ? 'run' : 'runs'}.`,
          ]
        : []),
      ...(changes.length > 0
        ? [
            changes
              .map(
                ({ label, before, after }) =>
                  `- ${markdownText(label)}: ${markdownText(before)} → ${markdownText(after)}`,
              )
              .join('\n'),
          ]
        : []),
      ...(things > 1 && measured
        ? [`${things} things changed at once, so what was measured belongs to all of them together.`]
        : []),
      ...(own.length > 0
        ? [
            `### What broke in ${revision.letter}\n\n${own.map((failure) => failureLine(failure, revisions, { revisions, runs, failures }, reader)).join('\n')}`,
          ]
        : []),
    ].join('\n\n');
  });
  return `# ${markdownText(build.name)}: what changed and what came of it\n\n${parts.join('\n\n')}\n`;
}

function failureLine(
  failure: FailureRecord,
  revisions: readonly RevisionRecord[],
  whole: Pick<WholeBuild, 'revisions' | 'runs' | 'failures'>,
  reader: Reader,
): string {
  const { partName, hours, story, fix, fixRevisionId, ledger } = failure;
  const carrier = fixRevisionId === undefined ? undefined : revisions.find(({ id }) => id === fixRevisionId);
  const cause = ledger?.verdict && verdictWords(ledger.verdict);
  const held = fixHeld(failure, whole.revisions, whole.runs, whole.failures);
  return [
    `- ${markdownText(partName)}: ${failedHow(failure).toLowerCase()}${hours === undefined ? '' : ` after ${formatText(hours, 'hours', reader)}`}.`,
    story ? markdownText(story) : '',
    cause ? `Cause: ${markdownText(cause)}.` : 'Not explained yet.',
    fix
      ? `Fix${carrier ? ` in ${carrier.letter}` : fixRevisionId ? ' in a revision that was deleted' : ''}: ${markdownText(fix)}`
      : '',
    held ? `It ${held.again > 0 ? 'did not hold' : 'stands so far'}: ${held.words}.` : '',
  ]
    .filter(Boolean)
    .join(' ');
}
