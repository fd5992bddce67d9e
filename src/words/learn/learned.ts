import { RUN_KIND_NAMES } from './runKinds';
import { describeChanges } from '@/words/labels/describe';
import { formatNumber, formatText, formatWithError, type Reader } from '@/core/base/units/formatQuantity';
import { durationText } from '@/core/base/units/duration';
import { inSentence, withoutStop } from '@/core/base/units/words';
import { thingsChanged } from '@/core/advice/learn/things';
import { owedRuns } from '@/core/verdict/field/owedRuns.check';
import { failedHow } from './failureModes';
import { verdictWords } from './verdictWords';
import { compareGroups, groupsOf } from '@/core/advice/learn/groups';
import { isOpen } from '@/core/car/records/openFailure';
import { fixHeld } from '@/core/worked/field/lives';
import { leftOutWords } from './runs';
import { heldWords } from './life';
import { WISH_NAMES } from '../checks/field';
import { attemptSpread, gapOf, measuredOf } from '@/core/worked/field/measured';
import { measuresOver } from '@/core/advice/learn/overRevisions';
import { isRepeated, type RevisionRecord, type RunRecord, type WholeBuild } from '@/core/car/records/records';
import { MEASURE_TITLES } from './measures';

type Record = Pick<WholeBuild, 'revisions' | 'runs' | 'failures'>;

/** Joint standard deviations within which a prediction is said to hold. */
const HOLDS = 2;
const MOST_CAUSES = 6;

/**
 * What the record says a revision taught: what it did against the one before and its prediction, what broke
 * and why, which fixes held, what is open.
 */
export function learnedOf(revision: RevisionRecord, record: Record, reader: Reader): string[] {
  const own = record.runs.filter(({ revisionId }) => revisionId === revision.id);
  return [
    ...whatItDid(revision, record, reader),
    ...whetherPredicted(own, reader),
    ...whatBroke(revision, record, reader),
    ...whichHeld(revision, record, reader),
    ...whatIsOpen(revision, own),
  ];
}

/** What stands for it: the builder's own words, else what the record says. */
export const lessonsOf = (revision: RevisionRecord, record: Record, reader: Reader): string =>
  revision.learned ?? learnedOf(revision, record, reader).join('\n');

function whatItDid(revision: RevisionRecord, { revisions, runs }: Record, reader: Reader): string[] {
  const parent = revisions.find(({ id }) => id === revision.parentId);
  const measured = measuresOver([revision], runs).map(({ id, quantity, goal, points, better, leftOut }) => {
    const { mean, error } = points[0]!;
    const met =
      goal === undefined
        ? ''
        : `, ${formatText(goal, quantity, reader)} wished: ${
            Math.abs(mean - goal) <= (error ?? 0)
              ? 'not decided'
              : (better === 'higher' ? mean >= goal : mean <= goal)
                ? 'met'
                : 'missed'
          }`;
    return `${MEASURE_TITLES[id]}: ${error === undefined ? formatText(mean, quantity, reader) : formatWithError(mean, error, quantity, reader)}${met}${leftOut ? ` (${leftOutWords(leftOut)})` : ''}.`;
  });
  if (!parent) return measured;
  const groups = groupsOf(runs, revisions, 'timedDistance', 'revision');
  const [a, b] = [parent.id, revision.id].map((one) => groups.find(({ id }) => id === one));
  if (!a || !b) return measured;
  const { result } = compareGroups(a, b, groups, 'timedDistance', 'revision');
  const by = formatText(Math.abs(result.difference), 'speedMps', reader, 2);
  const verdict = {
    better: `${by} faster than ${parent.letter}, more than chance`,
    worse: `${by} slower than ${parent.letter}, more than chance`,
    'no difference shown': `no difference to ${parent.letter} that is more than chance`,
    'too few runs': `too few runs to hold against ${parent.letter}`,
  }[result.verdict];
  const things = thingsChanged(describeChanges(parent.document, revision.document, reader)).length;
  return [
    ...measured,
    `Over the timed distance: ${verdict}${things > 1 ? `; ${things} things were changed at once, so which of them did it is not known` : ''}.`,
  ];
}

function whetherPredicted(own: readonly RunRecord[], { locale }: Reader): string[] {
  const gaps = own.filter(isRepeated).flatMap((run) => gapOf(run, measuredOf(run, attemptSpread(own))) ?? []);
  if (gaps.length === 0) return [];
  const off = gaps.filter(({ sigmas }) => Math.abs(sigmas) > HOLDS);
  const mean = gaps.reduce((sum, { differencePct }) => sum + differencePct, 0) / gaps.length;
  const said = `${formatNumber(Number(Math.abs(mean).toFixed(1)), locale)} % ${mean < 0 ? 'slower' : 'faster'} than predicted on the mean of ${gaps.length} timed ${gaps.length === 1 ? 'run' : 'runs'}`;
  return [
    off.length === 0
      ? `The prediction held: ${said}.`
      : `The prediction did not hold in ${off.length} of ${gaps.length} runs: ${said}.`,
  ];
}

function whatBroke(revision: RevisionRecord, { revisions, failures }: Record, reader: Reader): string[] {
  const own = failures.filter(({ revisionId }) => revisionId === revision.id);
  const lost = own.reduce((sum, { ledger }) => sum + (ledger?.lostMinutes ?? 0), 0);
  const lines = own.slice(0, MOST_CAUSES).map((failure) => {
    const { partName, hours, ledger, fix, fixRevisionId } = failure;
    const carrier = revisions.find(({ id }) => id === fixRevisionId);
    const why = ledger?.verdict
      ? verdictWords(ledger.verdict)
      : isOpen(failure)
        ? 'why is not known yet'
        : 'no verdict was noted';
    return `${partName}, ${inSentence(failedHow(failure))}${hours === undefined ? '' : ` after ${formatText(hours, 'hours', reader, 2)}`}: ${why}${fix ? `. ${carrier ? `${carrier.letter} has it` : 'Done'}: ${inSentence(withoutStop(fix))}` : ''}.`;
  });
  return [...lines, ...(lost > 0 ? [`Until it ran again, failures took ${durationText(lost * 60)}.`] : [])];
}

function whichHeld(
  revision: RevisionRecord,
  { revisions, runs, failures }: Record,
  reader: Reader,
): string[] {
  return failures
    .filter(({ fixRevisionId }) => fixRevisionId === revision.id)
    .flatMap((failure) => {
      const held = fixHeld(failure, revisions, runs, failures);
      return held
        ? [
            `${withoutStop(failure.fix ?? '')} (against ${inSentence(failure.partName)}, ${inSentence(failedHow(failure))}): ${heldWords(held, reader)}.`,
          ]
        : [];
    });
}

const whatIsOpen = ({ document }: RevisionRecord, own: readonly RunRecord[]): string[] => {
  const owed = owedRuns(document, own);
  return owed.length === 0
    ? []
    : [
        `Never driven: ${owed.map(({ kind, wish }) => `${RUN_KIND_NAMES[kind].toLowerCase()} for ${WISH_NAMES[wish]}`).join(', ')}.`,
      ];
};
