import { dimmedWhen } from '@/ui/layout/dimmedWhen';
import clsx from 'clsx';
import figuresCss from '@/ui/Figure.module.css';
import tablesCss from '@/ui/controls/tables.module.css';
import learnCss from '@/features/learn/learn.module.css';
import Box from '@mui/material/Box';
import Typography from '@mui/material/Typography';
import { Row } from '@/ui/layout/Row';
import TableContainer from '@mui/material/TableContainer';
import { Select } from '@/ui/controls/Select';
import { Note } from '@/ui/controls/Note';
import Table from '@mui/material/Table';
import TableHead from '@mui/material/TableHead';
import TableRow from '@mui/material/TableRow';
import TableCell from '@mui/material/TableCell';
import TableBody from '@mui/material/TableBody';
import { describeExchange } from '@/words/labels/describe';
import { checkTitle } from '@/words/checks/names';
import type { ChangeEffect, Moved, MovedCheck } from '@/core/advice/effects/effects';
import { measuresOver } from '@/core/advice/learn/overRevisions';
import type { RevisionRecord } from '@/core/car/records/records';
import { formatText, type Reader } from '@/core/base/units/formatQuantity';
import { numberFormat } from '@/core/base/units/numberFormat';
import { inSentence } from '@/core/base/units/words';
import { useReader } from '@/ui/reader';
import { StateMark } from '@/ui/StateMark';
import { STATE_WORDS } from '@/words/states';
import { useBuild } from '../session/BuildContext';
import { useWorked } from '../session/useWorked';
import { workerOf } from '@/workers/clients';
import { problemOf } from '@/words/refusals/problemOf';
import { MEASURE_TITLES } from '@/words/learn/measures';

const FIGURE_WORDS: Readonly<Record<Moved['id'], string>> = {
  'drive.speed': 'top speed',
  'drive.heat': 'motor case',
  'brief.charge': 'minutes per pack',
  'brief.mass': 'mass',
};
const FIRST_SHOWN = 14;
/** Larger margins say no more than clear. */
const ENOUGH = 99;

export const movedText = ({ id, quantity, before, after }: Moved, reader: Reader): string =>
  `${FIGURE_WORDS[id]} ${before === undefined ? 'not known' : formatText(before, quantity, reader)} → ${after === undefined ? 'not known' : formatText(after, quantity, reader)}`;

/** Two revisions: what differs in words, what each difference does by itself, what all of them do, and what was measured. */
export function SideBySide({
  before,
  after,
  onAgainst,
}: {
  before: RevisionRecord;
  after: RevisionRecord;
  onAgainst(id: string): void;
}) {
  const { revisions, revision, document, runs, thresholds } = useBuild();
  const { reader } = useReader();
  const live = (one: RevisionRecord) => (one.id === revision.id ? document : one.document);
  const [was, is] = [live(before), live(after)];
  const worked = useWorked(() => workerOf('learn').effects(was, is, thresholds), [was, is, thresholds]);
  const effects = worked.value;
  const speed = effects?.together.figures.find(({ id }) => id === 'drive.speed');
  const measured = measuresOver([before, after], runs).filter(({ points }) => points.length === 2);
  const timed = measured.find(({ id }) => id === 'speed');
  const figure = (value: number) => formatText(value, 'speedMps', reader);
  const count = effects?.each.length;
  return (
    <Box
      component="section"
      sx={dimmedWhen(worked.stale && effects !== undefined)}
      aria-label="Side by side"
      data-testid="side-by-side"
    >
      <Typography variant="answer">
        {before.letter} to {after.letter}:{' '}
        {count === undefined ? (
          'being worked out.'
        ) : count === 0 ? (
          'nothing that acts on the car differs.'
        ) : (
          <>
            {speed?.after !== undefined && speed.before !== undefined ? (
              <>
                top speed {figure(speed.before)} →{' '}
                <span className={clsx(figuresCss.figure, figuresCss.plainfig)}>{figure(speed.after)}</span>{' '}
                predicted
              </>
            ) : (
              'the predicted top speed stays'
            )}
            {timed ? (
              <>
                ,{' '}
                <span className={clsx(figuresCss.figure, figuresCss.measured)}>
                  {figure(timed.points[0]!.mean)} → {figure(timed.points[1]!.mean)}
                </span>{' '}
                measured over a distance
              </>
            ) : (
              <>, not measured on both yet</>
            )}
            ; {count === 1 ? 'one thing changed' : <b>{count} things changed at once</b>}.
          </>
        )}
      </Typography>
      <Row sx={{ m: '6px 0 10px' }}>
        <Typography component="label" color="textSecondary" htmlFor="against">
          against
        </Typography>
        <Select id="against" value={before.id} onChange={(event) => onAgainst(event.target.value)}>
          {revisions
            .filter(({ id }) => id !== after.id)
            .map(({ id, letter }) => (
              <option key={id} value={id}>
                revision {letter}
              </option>
            ))}
        </Select>
        {count !== undefined && count > 1 ? (
          <Typography component="span" color="textSecondary" data-testid="at-once">
            What was measured belongs to all {count} together; what each does alone is predicted.
          </Typography>
        ) : null}
      </Row>
      {worked.refused ? (
        <Note tone="bad" role="alert">
          {problemOf(worked.refused, reader).message}
        </Note>
      ) : null}
      {effects && effects.each.length > 0 ? (
        <TableContainer>
          <Table size="small" className={tablesCss.stacked} data-testid="effects">
            <TableHead>
              <TableRow>
                <TableCell sx={{ width: '40%' }}>What changed</TableCell>
                <TableCell>By itself it should do</TableCell>
                <TableCell>Checks that it moves most</TableCell>
              </TableRow>
            </TableHead>
            <TableBody>
              {effects.each.slice(0, FIRST_SHOWN).map((one) => (
                <EffectRow key={one.thing} effect={one} />
              ))}
              <TableRow className={learnCss.total}>
                <TableCell>
                  <b>All together, predicted</b>
                </TableCell>
                <TableCell>
                  <Figures figures={effects.together.figures} />
                </TableCell>
                <TableCell>
                  <Checks checks={effects.together.checks} />
                </TableCell>
              </TableRow>
              <TableRow className={learnCss.total}>
                <TableCell>
                  <Typography variant="strong" color="info">
                    All together, measured
                  </Typography>
                </TableCell>
                <TableCell data-tone="measured" colSpan={2}>
                  {measured.length === 0 ? (
                    <Typography component="span" color="textSecondary">
                      Nothing was measured on both.
                    </Typography>
                  ) : (
                    measured
                      .map(
                        ({ id, quantity, points }) =>
                          `${inSentence(MEASURE_TITLES[id])} ${formatText(points[0]!.mean, quantity, reader)} → ${formatText(points[1]!.mean, quantity, reader)}${points[1]!.error === undefined ? '' : ` ± ${formatText(points[1]!.error, quantity, reader, 2)}`}${id === 'speed' ? ` (${points[0]!.n} and ${points[1]!.n} runs)` : ''}`,
                      )
                      .join('; ')
                  )}
                </TableCell>
              </TableRow>
            </TableBody>
          </Table>
        </TableContainer>
      ) : null}
      {effects && effects.each.length > FIRST_SHOWN ? (
        <Typography color="textSecondary">
          {effects.each.length - FIRST_SHOWN} more things differ: the change log has them all.
        </Typography>
      ) : null}
      {effects && effects.silent.length > 0 ? (
        <Typography variant="note" color="textSecondary">
          Also changed, acting on nothing that is worked out:{' '}
          {effects.silent
            .slice(0, 4)
            .map((one) => describeExchange(one, reader))
            .map(({ label, before: a, after: b }) => `${inSentence(label)} ${a} → ${b}`)
            .join('; ')}
          {effects.silent.length > 4 ? ` and ${effects.silent.length - 4} more` : ''}.
        </Typography>
      ) : null}
    </Box>
  );
}

function EffectRow({ effect: { changes, figures, checks } }: { effect: ChangeEffect }) {
  const { reader } = useReader();
  return (
    <TableRow>
      <TableCell>
        {changes
          .map((one) => describeExchange(one, reader))
          .map(({ path, label, before, after }) => (
            <div key={path.join('.')}>
              {label}:{' '}
              <Typography component="span" color="textSecondary">
                {before}
              </Typography>{' '}
              → <b>{after}</b>
            </div>
          ))}
      </TableCell>
      <TableCell>
        <Figures figures={figures} />
      </TableCell>
      <TableCell>
        <Checks checks={checks} />
      </TableCell>
    </TableRow>
  );
}

function Figures({ figures }: { figures: readonly Moved[] }) {
  const { reader } = useReader();
  return figures.length === 0 ? (
    <Typography component="span" color="textSecondary">
      no figure moves
    </Typography>
  ) : (
    <>
      {figures.map((one) => (
        <div key={one.id}>{movedText(one, reader)}</div>
      ))}
    </>
  );
}

/** Checks with their state and margin on either side. */
export function Checks({ checks }: { checks: readonly MovedCheck[] }) {
  const { reader } = useReader();
  const margins = numberFormat(reader.locale, { minimumFractionDigits: 2, maximumFractionDigits: 2 });
  const sideText = ({ state, margin }: MovedCheck['before']) =>
    margin === undefined || !Number.isFinite(margin) || margin > ENOUGH
      ? STATE_WORDS[state]
      : `${STATE_WORDS[state]} ${margins.format(margin)}`;
  return checks.length === 0 ? (
    <Typography component="span" color="textSecondary">
      none
    </Typography>
  ) : (
    <>
      {checks.map(({ id, named, before, after }) => (
        <Box sx={{ display: 'flex', gap: 0.75, alignItems: 'baseline' }} key={id}>
          <StateMark state={after.state} />
          <span>
            {checkTitle({ id, ...(named ? { named } : {}) })}{' '}
            <Typography component="span" color="textSecondary">
              {sideText(before)}
            </Typography>{' '}
            → {sideText(after)}
          </span>
        </Box>
      ))}
    </>
  );
}
