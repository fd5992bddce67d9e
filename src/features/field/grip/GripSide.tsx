'use client';

import Button from '@mui/material/Button';
import Table from '@mui/material/Table';
import TableBody from '@mui/material/TableBody';
import TableCell from '@mui/material/TableCell';
import TableContainer from '@mui/material/TableContainer';
import TableHead from '@mui/material/TableHead';
import TableRow from '@mui/material/TableRow';
import Typography from '@mui/material/Typography';
import { type ReactNode, useMemo } from 'react';
import type { RunRecord } from '@/core/car/records/records';
import { USUAL_STRAIGHT_M } from '@/core/car/records/gripReport';
import { refusedOr } from '@/core/base/errors';
import type { CircleResult } from '@/core/physics/handling/circle';
import type { CombinedGrip } from '@/core/physics/grip/definition';
import {
  drivenSince,
  gripDiffers,
  type GripOfPair,
  gripTable,
  isOnTheCar,
  takeGrip,
} from '@/core/worked/grip/gripOfRuns';
import { circleOf, steersAsDriven, straightOf, takeUndersteer } from '@/core/worked/grip/handlingOfRuns';
import { changesBetween, applyPatch } from '@/core/base/patch';
import { formatWithError } from '@/core/base/units/formatQuantity';
import { Note } from '@/ui/controls/Note';
import frameCss from '@/ui/layout/frame.module.css';
import { useReader } from '@/ui/reader';
import { coastOf, takeDrag } from '@/core/worked/grip/coastOfRuns';
import { circleSentence, coastSentence, oldGrip, straightSentence } from '@/words/bench/gripWords';
import { say } from '@/words/findings';
import '@/words/later/bringIn';
import { Working } from '../../session/access';
import { useBuild } from '../../session/BuildContext';
import { SegmentChecks } from '../../frame/SegmentChecks';
import { Bench, Readings } from '../../frame/Guarded';
import { useNow } from '../bench/useNow';
import { RunSheetForm } from '../RunSheetForm';
import { RunTable } from '../RunTable';
import { useRuns } from '../useRuns';
import { useRunSheet } from '../useRunSheet';

const KINDS = ['grip', 'coastDown', 'straight', 'circle', 'slalom'] as const;
const [DAY_MS, OLD_DAYS, OLD_MINUTES] = [86_400_000, 30, 120];

/** Friction measured at home, how straight the car runs, and its balance on circles, against what was expected. */
export function GripSide({ tabs }: { tabs: ReactNode }) {
  const { document, revision } = useBuild();
  const form = useRunSheet(KINDS);
  const all = useRuns();
  const runs = useMemo(() => all.map(({ run }) => run), [all]);
  const table = useMemo(() => gripTable(document, runs), [document, runs]);
  const own = all.filter(
    ({ run }) => run.revisionId === revision.id && (KINDS as readonly string[]).includes(run.kind),
  );
  return (
    <main className={frameCss.page}>
      <Bench>
        <Working
          instead={
            <Typography color="textSecondary">Runs are logged here by those who work on the car.</Typography>
          }
        >
          <RunSheetForm {...form} />
        </Working>
      </Bench>
      <Readings>
        {tabs}
        <GripAnswer table={table} runs={runs} />
        {table.length > 0 ? <GripTable table={table} /> : null}
        <RolledOut runs={runs} />
        <Handling runs={runs} />
        <SegmentChecks segment="field" side="grip" />
        <RunTable own={own} />
        <Typography variant="small" color="textSecondary">
          Sliding and first slip differ by 10 to 20 %: read them apart. A reading in the wet stands on its
          own, and the build goes on driving with the dry one.
        </Typography>
      </Readings>
    </main>
  );
}

function GripAnswer({ table, runs }: { table: readonly GripOfPair[]; runs: readonly RunRecord[] }) {
  const { document, surface, edit, closed } = useBuild();
  const { reader } = useReader();
  const now = useNow();
  const pair = table.find((one) => one.surfaceId === surface?.id && !one.wet && isOnTheCar(document, one));
  if (!surface) return <Typography variant="answer">The brief names no surface yet.</Typography>;
  if (!pair)
    return (
      <Typography variant="answer" data-testid="grip-answer">
        The friction on {surface.name.toLowerCase()} is a typical figure. Hold all wheels, pull the car on a
        scale, and five readings make it your own.
      </Typography>
    );
  const patch = takeGrip(document, pair);
  const taken = changesBetween(document, applyPatch(document, patch)).length === 0;
  const days = Math.floor((now - Date.parse(pair.lastAt)) / DAY_MS);
  const minutes = drivenSince(pair, runs);
  const told = (one: CombinedGrip) => formatWithError(one.mu, one.u, 'coefficient', reader);
  const { longitudinal, lateral, findings } = pair.found;
  return (
    <>
      <Typography variant="answer" data-testid="grip-answer">
        {pair.tyre} on {pair.surface.toLowerCase()}: {longitudinal ? `${told(longitudinal)} along` : ''}
        {longitudinal && lateral ? ', ' : ''}
        {lateral ? `${told(lateral)} across` : ''}.
      </Typography>
      {findings.map(({ why }) => (
        <Note key={why.code}>{say(why, reader)}</Note>
      ))}
      {taken ? (
        <Typography data-testid="grip-taken">The build drives with it.</Typography>
      ) : (
        <Note tone="ask">
          The build drives with a friction of{' '}
          {formatWithError(surface.mu, surface.muError, 'coefficient', reader)} for a soft rubber tyre.{' '}
          {closed ? null : (
            <Button variant="link" onClick={() => edit(patch)}>
              Take the measured one
            </Button>
          )}
        </Note>
      )}
      {days > OLD_DAYS || minutes > OLD_MINUTES ? (
        <Note data-testid="grip-old">{oldGrip(days, minutes, reader)}</Note>
      ) : null}
    </>
  );
}

function GripTable({ table }: { table: readonly GripOfPair[] }) {
  const { reader } = useReader();
  const [first, ...others] = table;
  const told = (one: CombinedGrip | undefined) =>
    one ? formatWithError(one.mu, one.u, 'coefficient', reader) : '–';
  const against = (one: GripOfPair) => {
    const [a, b] = [first!.found.longitudinal, one.found.longitudinal];
    if (one === first || !a || !b) return '';
    return gripDiffers(a, b) ? (b.mu > a.mu ? 'holds better' : 'holds less') : 'no difference shown';
  };
  return (
    <TableContainer component="section" sx={{ mt: 1.25 }} aria-label="Friction by tyre and surface">
      <Table size="small">
        <TableHead>
          <TableRow>
            <TableCell>Tyre</TableCell>
            <TableCell>Surface</TableCell>
            <TableCell align="right">Along</TableCell>
            <TableCell align="right">Across</TableCell>
            <TableCell align="right">Readings</TableCell>
            <TableCell>{others.length > 0 ? 'Against the first' : ''}</TableCell>
          </TableRow>
        </TableHead>
        <TableBody>
          {table.map((one) => (
            <TableRow key={`${one.tyre} ${one.surfaceId} ${one.wet}`}>
              <TableCell>{one.tyre}</TableCell>
              <TableCell>{one.wet ? `${one.surface}, wet` : one.surface}</TableCell>
              <TableCell align="right">{told(one.found.longitudinal)}</TableCell>
              <TableCell align="right">{told(one.found.lateral)}</TableCell>
              <TableCell align="right">{one.readings}</TableCell>
              <TableCell>{against(one)}</TableCell>
            </TableRow>
          ))}
        </TableBody>
      </Table>
    </TableContainer>
  );
}

/** The last roll-out of the build, and its drag area to take. */
function RolledOut({ runs }: { runs: readonly RunRecord[] }) {
  const { document, edit, closed } = useBuild();
  const { reader } = useReader();
  const run = runs.filter(({ kind }) => kind === 'coastDown').sort((a, b) => (a.ranAt < b.ranAt ? 1 : -1))[0];
  const sheet = run?.report?.coast;
  if (!run || !sheet) return null;
  const found = refusedOr(() => coastOf(run.document, sheet, run.conditions.extraMassG));
  if ('refused' in found || !found.value.ok) return null;
  const patch = takeDrag(found.value.value);
  const taken = changesBetween(document, applyPatch(document, patch)).length === 0;
  return (
    <Typography sx={{ mt: 1.25 }} data-testid="coast-last">
      <b>Roll-out.</b> {coastSentence(found.value.value, reader)}{' '}
      {taken ? (
        'The build drives with that drag.'
      ) : closed ? null : (
        <Button variant="link" onClick={() => edit(patch)}>
          Take the measured drag
        </Button>
      )}
    </Typography>
  );
}

/** The last straightness and circle runs of the build, the latest first. */
function Handling({ runs }: { runs: readonly RunRecord[] }) {
  const { reader } = useReader();
  const last = (kind: 'straight' | 'circle') =>
    runs.filter((run) => run.kind === kind).sort((a, b) => (a.ranAt < b.ranAt ? 1 : -1))[0];
  const [straight, circle] = [last('straight'), last('circle')];
  const surfaceOf = (run: RunRecord) =>
    run.document.brief.surfaces.find(({ id }) => id === run.conditions.surfaceId);
  const drifted =
    straight?.report?.straight &&
    refusedOr(() => straightOf(straight.document, surfaceOf(straight), straight.report!.straight!));
  const turned =
    circle?.report?.circle &&
    refusedOr(() => circleOf(circle.document, surfaceOf(circle), circle.report!.circle!));
  return (
    <>
      {drifted && 'value' in drifted && drifted.value.ok ? (
        <Typography sx={{ mt: 1.25 }} data-testid="straight-last">
          <b>Straightness.</b>{' '}
          {straightSentence(
            drifted.value.value,
            straight!.report!.straight!.distanceM ?? USUAL_STRAIGHT_M,
            reader,
          )}
        </Typography>
      ) : null}
      {turned && 'value' in turned && turned.value.ok ? (
        <Typography sx={{ mt: 1.25 }} data-testid="circle-last">
          <b>Circles.</b> {circleSentence(turned.value.value, reader)}{' '}
          <TakeCircles found={turned.value.value} surfaceId={circle!.conditions.surfaceId} />
        </Typography>
      ) : null}
    </>
  );
}

/** Whether the build steers as its circles showed, and the stiffnesses by which it would. */
function TakeCircles({ found, surfaceId }: { found: CircleResult; surfaceId: string | undefined }) {
  const { document, edit, closed } = useBuild();
  const surface = document.brief.surfaces.find(({ id }) => id === surfaceId);
  if (steersAsDriven(document, surface, found)) return <>The build steers like that.</>;
  const patch = takeUndersteer(document, surface, found);
  return closed || patch.length === 0 ? null : (
    <Button variant="link" onClick={() => edit(patch)}>
      Let the build steer like that
    </Button>
  );
}
