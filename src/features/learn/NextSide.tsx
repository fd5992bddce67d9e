'use client';

import { DIMMED } from '@/ui/theme/tokens';
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
      <Readings style={{ maxWidth: 1240 }}>
        {tabs}
        <h1 className="answer" data-testid="next-answer">
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
        </h1>
        {first ? (
          <p className="quiet">
            In the order of what each takes off the build’s troubles in an hour of your time. One at a time,
            so that you know which of them did it.
          </p>
        ) : null}
        {proposal ? <NextRevision proposal={proposal} onDone={() => setProposal(undefined)} /> : null}
        <ol
          className="nextlist"
          data-testid="next-list"
          style={{ opacity: worked.stale && list ? DIMMED : 1 }}
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
        </ol>
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
  const { build, revision, document, setGhost, closed, edit } = useBuild();
  const { reader } = useReader();
  const router = useRouter();
  const { kind, check, figures, betters, worsens, cost, trial, patch, segment, failureId, relief, hours } =
    step;
  const title = stepTitle(step, reader);
  const why = stepWhy(step, reader);
  const about = check && checkTitle(check);
  const go = () => {
    if (patch) setGhost({ label: inSentence(title), document: applyPatch(document, patch) });
    router.push(pathOf(build.id, revision.letter, step));
  };
  const buys = figures.map((one) => movedText(one, reader)).join('; ');
  return (
    <li className="nextstep" data-kind={kind} data-step={step.id}>
      <span className="rank">{rank}</span>
      <div>
        <div className="row" style={{ alignItems: 'baseline' }}>
          <h3>{title}</h3>
          <span className="kind">{KIND_WORDS[kind]}</span>
          <span className="quiet" style={{ fontSize: 13 }}>
            {about ?? SEGMENT_NAMES[segment]}
          </span>
        </div>
        <p>
          {why[0]}
          {why.length > 1 ? <span className="quiet"> {why.slice(1).join(' ')}</span> : null}
        </p>
        {betters.length > 0 || buys ? (
          <div className="buys">
            <span className="cap">Buys</span>
            <div>
              {buys ? <div>{buys}</div> : null}
              <Checks checks={betters} />
            </div>
          </div>
        ) : null}
        {worsens.length > 0 ? (
          <div className="buys">
            <span className="cap">Costs elsewhere</span>
            <div>
              <Checks checks={worsens} />
            </div>
          </div>
        ) : null}
        {trial ? (
          <div className="buys">
            <span className="cap">See it by</span>
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
        <div className="row" style={{ marginTop: 6 }}>
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
        </div>
      </div>
      <div className="costs">
        <div className="sharebar" aria-hidden="true" title="Taken off in an hour, against the first">
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
        {cost.priceUnknown ? <span className="quiet">a price is not known</span> : null}
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
function pathOf(buildId: string, letter: string, { segment, failureId, id, patch }: NextStep): string {
  const base = segmentPath(buildId, letter, segment);
  if (id === 'measure:band' || id === 'measure:missed') return `${base}?view=calibrate`;
  const part = patch?.find(({ path }) => path[0] === 'parts' && path[1] === 'items')?.path[2];
  if (segment === 'parts' && part) return `${base}?part=${part}`;
  if (segment === 'drive' && patch?.some(({ path }) => path[1] === 'heat')) return `${base}?view=heat`;
  return failureId === undefined ? base : `${base}?failure=${failureId}`;
}
