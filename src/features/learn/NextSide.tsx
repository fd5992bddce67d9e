'use client';

import { dimmedWhen } from '@/ui/layout/dimmedWhen';
import learnCss from '@/features/learn/learn.module.css';
import Typography from '@mui/material/Typography';
import Box from '@mui/material/Box';
import { Row } from '@/ui/layout/Row';
import Button from '@mui/material/Button';
import { RUN_KIND_NAMES } from '@/words/learn/runKinds';
import { say } from '@/words/findings';
import { checkTitle } from '@/words/checks/names';
import { proofWords, stepTitle, stepWhy } from '@/words/stepWords';
import { STATE_WORDS } from '@/words/states';
import { useRouter } from 'next/navigation';
import { type ReactNode, useMemo, useState } from 'react';
import { applyPatch } from '@/core/base/patch';
import type { NextStep } from '@/core/advice/steps/definition';

import { printerTimesOfBuild } from '@/core/worked/print/printerTimes';
import { durationText } from '@/core/base/units/duration';
import { formatNumber, formatText } from '@/core/base/units/formatQuantity';
import { inSentence } from '@/core/base/units/words';
import { useReader } from '@/ui/reader';
import { useBuild } from '../session/BuildContext';
import { segmentPath, SEGMENT_NAMES } from '../frame/segments';
import { useMeasured } from '../session/useMeasured';
import { useWorked } from '../session/useWorked';
import { workerOf } from '@/workers/clients';
import { NextRevision, type Proposal } from './NextRevision';
import { Checks, movedText } from './SideBySide';
import { Readings } from '../frame/Guarded';
import { problemOf } from '@/words/refusals/problemOf';

const FIRST_SHOWN = 8;

/** The next change worth making, and where finding out comes before it. */
export function NextSide({ tabs }: { tabs: ReactNode }) {
  const { revision, revisions, runs, failures, prints, copies, finishedPrints, thresholds } = useBuild();
  const { document } = useMeasured();
  const [proposal, setProposal] = useState<Proposal>();
  const [all, setAll] = useState(false);
  const times = useMemo(() => printerTimesOfBuild(prints, finishedPrints), [prints, finishedPrints]);
  const worked = useWorked(
    () =>
      workerOf('learn').next(
        {
          document,
          revisionId: revision.id,
          revisions: [...revisions],
          runs: [...runs],
          failures: [...failures],
          prints: [...prints],
          copies: [...copies],
        },
        thresholds,
        times,
      ),
    [document, revision.id, revisions, runs, failures, prints, copies, thresholds, times],
  );
  const { reader } = useReader();
  const list = worked.value;
  const first = list?.steps[0];
  return (
    <main>
      <Readings sx={{ maxWidth: 1240 }}>
        {tabs}
        <Typography variant="answer" data-testid="next-answer">
          {worked.refused ? (
            problemOf(worked.refused, reader).message
          ) : !list ? (
            'Weighing every check, failure and run of this build.'
          ) : !first ? (
            'Nothing is left that would take more off than it costs: run it.'
          ) : list.measureFirst ? (
            <>
              Measure first: <b>{inSentence(stepTitle(first, reader))}</b>.
            </>
          ) : (
            <>
              Next: <b>{inSentence(stepTitle(first, reader))}</b>.
            </>
          )}
        </Typography>
        {first ? (
          <Typography color="textSecondary">
            In the order of what each takes off the build’s troubles in an hour of your time. One at a time,
            so that you know which of them did it.
          </Typography>
        ) : null}
        {proposal ? <NextRevision proposal={proposal} onDone={() => setProposal(undefined)} /> : null}
        <Box
          component="ol"
          className={learnCss.nextlist}
          sx={dimmedWhen(worked.stale && list !== undefined)}
          data-testid="next-list"
        >
          {list?.steps.slice(0, all ? undefined : FIRST_SHOWN).map((step, at) => (
            <StepRow
              key={step.id}
              step={step}
              rank={at + 1}
              most={first!.relief / first!.hours}
              onOpenNext={setProposal}
            />
          ))}
        </Box>
        {list && list.steps.length > FIRST_SHOWN && !all ? (
          <Button variant="link" onClick={() => setAll(true)}>
            All {list.steps.length}
          </Button>
        ) : null}
      </Readings>
    </main>
  );
}

const KIND_WORDS: Readonly<Record<NextStep['kind'], string>> = {
  change: 'change',
  find: 'find out',
  measure: 'measure first',
  print: 'print',
  prove: 'prove',
};

interface StepRowProps {
  step: NextStep;
  rank: number;
  most: number;
  onOpenNext(proposal: Proposal): void;
}

function StepRow({ step, rank, most, onOpenNext }: StepRowProps) {
  const { root, revision, document, setGhost, closed, edit } = useBuild();
  const { reader } = useReader();
  const router = useRouter();
  const { kind, check, figures, betters, worsens, cost, trial, patch, segment, failureId, relief, hours } =
    step;
  const title = stepTitle(step, reader);
  const why = stepWhy(step, reader);
  const about = check && checkTitle(check);
  const go = () => {
    if (patch) setGhost({ label: inSentence(title), document: applyPatch(document, patch) });
    router.push(pathOf(root, revision.letter, step));
  };
  const buys = figures.map((one) => movedText(one, reader)).join('; ');
  return (
    <li className={learnCss.nextstep} data-kind={kind} data-step={step.id}>
      <span className={learnCss.rank}>{rank}</span>
      <div>
        <Row sx={{ alignItems: 'baseline' }}>
          <h3>{title}</h3>
          <span className={learnCss.kind}>{KIND_WORDS[kind]}</span>
          <Typography component="span" variant="note" color="textSecondary">
            {about ?? SEGMENT_NAMES[segment]}
          </Typography>
        </Row>
        <p>
          {why[0]}
          {why.length > 1 ? (
            <Typography component="span" color="textSecondary">
              {' '}
              {why.slice(1).join(' ')}
            </Typography>
          ) : null}
        </p>
        {betters.length > 0 || buys ? (
          <div className={learnCss.buys}>
            <Typography component="span" variant="label">
              Buys
            </Typography>
            <div>
              {buys ? <div>{buys}</div> : null}
              <Checks checks={betters} />
            </div>
          </div>
        ) : null}
        {worsens.length > 0 ? (
          <div className={learnCss.buys}>
            <Typography component="span" variant="label">
              Costs elsewhere
            </Typography>
            <div>
              <Checks checks={worsens} />
            </div>
          </div>
        ) : null}
        {trial ? (
          <div className={learnCss.buys}>
            <Typography component="span" variant="label">
              See it by
            </Typography>
            <div>
              {trial.run === 'look' ? '' : `${RUN_KIND_NAMES[trial.run]}: `}
              {proofWords(trial)}.
              {trial.expected && trial.quantity
                ? ` Expect ${formatText(trial.expected.before, trial.quantity, reader)} → ${formatText(trial.expected.after, trial.quantity, reader)}.`
                : ''}{' '}
              <b>{say(trial.enough, reader)}</b>
            </div>
          </div>
        ) : null}
        <Row sx={{ mt: 0.75 }}>
          <Button onClick={go}>
            {patch
              ? `See it on ${SEGMENT_NAMES[segment]}`
              : failureId
                ? 'Look into it'
                : `Go to ${SEGMENT_NAMES[segment]}`}
          </Button>
          {patch && !closed ? (
            <Button onClick={() => edit(patch)}>Take it into {revision.letter}</Button>
          ) : null}
          {patch ? (
            <Button
              onClick={() =>
                onOpenNext({
                  why: `${title}${about ? `: ${inSentence(about)}` : ''}.`,
                  expected: buys
                    ? `${buys}.`
                    : betters
                        .map(
                          (one) =>
                            `${checkTitle(one)}: ${STATE_WORDS[one.before.state]} → ${STATE_WORDS[one.after.state]}`,
                        )
                        .join('; '),
                  patch,
                })
              }
            >
              Open the next revision with it
            </Button>
          ) : null}
        </Row>
      </div>
      <div className={learnCss.costs}>
        <div className={learnCss.sharebar} aria-hidden="true" title="Taken off in an hour, against the first">
          <span style={{ width: `${Math.max(3, (100 * relief) / hours / most)}%` }} />
        </div>
        <span>
          <b>{durationText(cost.benchMinutes * 60)}</b> yours
        </span>
        {cost.printS ? (
          <span>
            <b>{durationText(cost.printS)}</b> printing
          </span>
        ) : null}
        {cost.money !== undefined ? (
          <span>
            <b>{formatText(cost.money, 'price', reader)}</b>
          </span>
        ) : null}
        {cost.priceUnknown ? (
          <Typography component="span" color="textSecondary">
            a price is not known
          </Typography>
        ) : null}
        {trial?.runs !== undefined ? (
          <span>
            <b>{formatNumber(trial.runs, reader.locale)}</b> {trial.runs === 1 ? 'run' : 'runs'} to see it
          </span>
        ) : null}
      </div>
    </li>
  );
}

/** Where a step is done. */
function pathOf(root: string, letter: string, { segment, failureId, id, patch }: NextStep): string {
  const base = segmentPath(root, letter, segment);
  if (id === 'measure:band' || id === 'measure:missed') return `${base}?view=calibrate`;
  const part = patch?.find(({ path }) => path[0] === 'parts' && path[1] === 'items')?.path[2];
  if (segment === 'parts' && part) return `${base}?part=${part}`;
  if (segment === 'drive' && patch?.some(({ path }) => path[1] === 'heat')) return `${base}?view=heat`;
  return failureId === undefined ? base : `${base}?failure=${failureId}`;
}
