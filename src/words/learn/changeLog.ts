import { thingsChanged } from '@/core/advice/learn/things';
import { describeChanges } from '@/words/labels/describe';
import { formatText, formatWithError, type Reader } from '@/core/base/units/formatQuantity';
import { markdownText } from '@/core/base/units/markdown';
import { failedHow } from './failureModes';
import { verdictWords } from './verdictWords';
import { fixHeld } from '@/core/worked/field/lives';
import { leftOutWords } from './runs';
import { heldWords } from './life';
import { meanOfRuns } from '@/core/worked/field/measured';
import type { FailureRecord, RevisionRecord, WholeBuild } from '@/core/car/records/records';

/** The story of a build as Markdown: each revision with its why, what changed, what was measured, what broke and whether its fixes held. */
export function changeLog(
  { build, revisions, runs, failures }: Pick<WholeBuild, 'build' | 'revisions' | 'runs' | 'failures'>,
  reader: Reader,
): string {
  const parts = revisions.map((revision) => {
    const parent = revisions.find(({ id }) => id === revision.parentId);
    const changes = parent ? describeChanges(parent.document, revision.document, reader) : [];
    const things = thingsChanged(changes).length;
    const measured = meanOfRuns(
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
            `Measured: ${formatWithError(measured.mean, measured.error, 'speedMps', reader)} over ${measured.runs} timed ${measured.runs === 1 ? 'run' : 'runs'}${measured.leftOut ? `, ${leftOutWords(measured.leftOut)}` : ''}.`,
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
    held ? `It ${held.again > 0 ? 'did not hold' : 'stands so far'}: ${heldWords(held, reader)}.` : '',
  ]
    .filter(Boolean)
    .join(' ');
}
