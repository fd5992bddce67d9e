'use client';

import learnCss from '@/features/learn/learn.module.css';
import Typography from '@mui/material/Typography';
import { Row } from '@/ui/layout/Row';
import Box from '@mui/material/Box';
import { Note } from '@/ui/controls/Note';
import { Problem } from '@/ui/controls/Problem';
import Button from '@mui/material/Button';
import { Toggle, Toggles } from '@/ui/controls/Toggle';
import { Fold } from '@/ui/controls/Fold';
import { useRef, useState } from 'react';
import { changesOf } from '@/core/advice/learn/changesOf';
import { wholePercents } from '@/core/base/numeric/wholePercents';
import { failureDiagnose, type Outcome, OUTCOMES, type Suspect } from '@/core/physics/diagnosis/diagnose';
import type { FailureLedger } from '@/core/car/records/failureLedger';
import { askDiagnosis, reopened } from '@/core/worked/field/ledger';
import { livesOfCopies } from '@/core/worked/field/lives';
import type { FailureRecord, Versioned } from '@/core/car/records/records';
import { formatNumber } from '@/core/base/units/formatQuantity';
import { useReader } from '@/ui/reader';
import { When } from '@/ui/When';
import { sentenceOf } from '../api';
import { useBuild } from '../session/BuildContext';
import { Cures } from './Cures';
import { saveRecord } from '../session/saveRecord';
import { useWorked } from '../session/useWorked';
import { Facts } from './Facts';
import { workerOf } from '@/workers/clients';
import { say, sayAll } from '@/words/findings';
import { verdictWords } from '@/words/learn/verdictWords';

/** Why it failed: what is known, the suspects with their reasons, the check that tells most, and the verdict. */
export function Diagnosis({ failure }: { failure: Versioned<FailureRecord> }) {
  const { revisions, runs, copies, thresholds, keepFailure } = useBuild();
  const { reader } = useReader();
  const [problem, setProblem] = useState<string>();
  const [saving, setSaving] = useState(0);
  const last = useRef<Promise<Versioned<FailureRecord> | undefined>>(Promise.resolve(undefined));
  const open = useRef(0);
  const revision = revisions.find(({ id }) => id === failure.revisionId);
  const run = runs.find(({ id }) => id === failure.runId);
  const { ledger = {} } = failure;
  const document = revision?.document;
  const worked = useWorked(document ? () => workerOf('learn').margins(document, thresholds) : undefined, [
    document,
    thresholds,
  ]);
  if (!document)
    return <Note>Its revision was deleted; what was noted stays, but there is no build to work with.</Note>;
  const fixed = revisions.find(({ id }) => id === failure.fixRevisionId)?.document;
  const lived =
    ledger.copyId === undefined ? undefined : livesOfCopies(copies, runs).get(ledger.copyId)?.hours;
  const { input, notes } = askDiagnosis(failure, document, run, worked.value?.margins ?? {}, lived);
  const { suspects, rest, nextCheck, notes: said } = failureDiagnose(input);
  const percents = wholePercents([...suspects.map(({ share }) => share), rest.share]);
  const save = async (next: FailureRecord) => {
    setProblem(undefined);
    keepFailure({ ...next, version: failure.version });
    setSaving((open.current += 1));
    // one after the other, so that an older answer never takes the place of a newer one; sent to its end even if the page is left
    const before = last.current;
    const sent = before.then((latest) => saveRecord('failure', failure, next, latest ?? failure));
    last.current = sent.catch(() => before);
    try {
      const saved = await sent;
      if (open.current === 1) keepFailure(saved);
    } catch (error) {
      keepFailure(failure);
      setProblem(`Not saved: ${sentenceOf(error)}`);
    } finally {
      setSaving((open.current -= 1));
    }
  };
  const change = (more: Partial<FailureLedger>) =>
    void save({
      ...failure,
      ledger: Object.fromEntries(
        Object.entries({ ...ledger, ...more }).filter(([, value]) => value !== undefined),
      ),
    });
  const answer = (check: string, result: Outcome | undefined) =>
    change({
      outcomes: [
        ...(ledger.outcomes ?? []).filter((one) => one.check !== check),
        ...(result ? [{ check, result, at: new Date().toISOString() }] : []),
      ],
    });
  const close = (cause: string) => change({ verdict: { cause, at: new Date().toISOString() } });
  const { verdict } = ledger;
  return (
    <div className={learnCss.diagnosis} data-testid="diagnosis">
      <Typography
        component="span"
        variant="small"
        color="textSecondary"
        sx={{ float: 'right' }}
        role="status"
      >
        {saving > 0 ? 'saving' : 'saved'}
      </Typography>
      <Problem>{problem}</Problem>
      {(ledger.rounds ?? []).map((round, at) => (
        <Typography color="textSecondary" key={at}>
          Looked at before: {round.verdict ? verdictWords(round.verdict) : 'without a verdict'}
          {round.verdict ? (
            <>
              , <When at={round.verdict.at} />
            </>
          ) : null}
          .
        </Typography>
      ))}
      {verdict ? (
        <Note tone="ok">
          <b>Verdict:</b> {verdictWords(verdict)}, <When at={verdict.at} />.{' '}
          <Button
            variant="link"
            onClick={() => void save(reopened(failure, fixed ? changesOf(document, fixed) : []))}
          >
            It was not that: open it again
          </Button>
        </Note>
      ) : nextCheck ? (
        <Typography variant="finding" data-testid="next-check">
          <b>Look first:</b> {nextCheck.ask}{' '}
          <Typography component="span" variant="aside" color="textSecondary">
            {nextCheck.minutes} min, tells {formatNumber(nextCheck.bitsPerMinute, reader.locale, 2)} bit a
            minute
          </Typography>{' '}
          <Answers check={nextCheck.check} result={undefined} onAnswer={answer} />
        </Typography>
      ) : null}
      {verdict?.cause ? (
        <Cures
          failure={failure}
          cause={verdict.cause}
          onFix={(words, revisionId) => void save({ ...failure, fix: words, fixRevisionId: revisionId })}
        />
      ) : null}
      <Facts failure={failure} copies={copies} onChange={change} />
      <ol className={learnCss.suspects} data-testid="suspects">
        {suspects.map((suspect, at) => (
          <SuspectRow
            key={suspect.cause}
            suspect={suspect}
            percent={percents[at]!}
            closed={verdict !== undefined}
            onAnswer={answer}
            onVerdict={close}
          />
        ))}
        <li className={learnCss.suspect} data-testid="other-causes">
          <Row sx={{ flexWrap: 'nowrap', alignItems: 'baseline' }}>
            <Typography component="span" color="textSecondary" sx={{ flex: 1 }}>
              {rest.causes} other causes together
            </Typography>
            <Typography variant="reading" data-testid="share">
              {percents.at(-1)}&nbsp;%
            </Typography>
          </Row>
        </li>
      </ol>
      <Typography variant="note" color="textSecondary">
        {sayAll([...notes, ...said], reader)}
        {worked.value ? '' : ' The margins of its revision are being worked out.'}
      </Typography>
    </div>
  );
}

function Answers({
  check,
  result,
  onAnswer,
}: {
  check: string;
  result: Outcome | undefined;
  onAnswer(check: string, result: Outcome | undefined): void;
}) {
  return (
    <Toggles label="What the check says">
      {OUTCOMES.map((one) => (
        <Toggle
          size="small"
          key={one}
          pressed={result === one}
          onPress={() => onAnswer(check, result === one ? undefined : one)}
        >
          {one}
        </Toggle>
      ))}
    </Toggles>
  );
}

function SuspectRow({
  suspect: { cause, means, share, why, check },
  percent,
  closed,
  onAnswer,
  onVerdict,
}: {
  suspect: Suspect;
  percent: number;
  closed: boolean;
  onAnswer(check: string, result: Outcome | undefined): void;
  onVerdict(cause: string): void;
}) {
  const { reader } = useReader();
  const result = 'result' in check ? check.result : undefined;
  return (
    <li className={learnCss.suspect} data-cause={cause}>
      <Row sx={{ flexWrap: 'nowrap', alignItems: 'baseline' }}>
        <Box component="b" sx={{ flex: 1 }}>
          {means}
        </Box>
        <Typography variant="reading" data-testid="share">
          {percent}&nbsp;%
        </Typography>
      </Row>
      <div className={learnCss.sharebar} aria-hidden="true">
        <span style={{ width: `${Math.max(1, 100 * share)}%` }} />
      </div>
      <Fold title={<>{say(why[0]!, reader)}</>}>
        <Typography component="ul" variant="note">
          {why.slice(1).map((one) => (
            <li key={one.code + JSON.stringify(one.facts)}>{say(one, reader)}</li>
          ))}
        </Typography>
      </Fold>
      <Row sx={{ typography: 'note' }}>
        <Box component="span" sx={{ flex: 1 }}>
          {check.ask}{' '}
          <Typography component="span" color="textSecondary">
            {check.minutes} min
          </Typography>
        </Box>
        {closed ? (
          <b>{result ?? ''}</b>
        ) : (
          <>
            <Answers check={check.id} result={result} onAnswer={onAnswer} />
            <Button aria-label={`Verdict: ${means}`} onClick={() => onVerdict(cause)}>
              It was this
            </Button>
          </>
        )}
      </Row>
    </li>
  );
}
