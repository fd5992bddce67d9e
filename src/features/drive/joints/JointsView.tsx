'use client';

import { dimmedWhen } from '@/ui/layout/dimmedWhen';
import checksCss from '@/ui/checks.module.css';
import Typography from '@mui/material/Typography';
import Box from '@mui/material/Box';
import TableContainer from '@mui/material/TableContainer';
import Table from '@mui/material/Table';
import TableHead from '@mui/material/TableHead';
import TableRow from '@mui/material/TableRow';
import TableCell from '@mui/material/TableCell';
import TableBody from '@mui/material/TableBody';
import Button from '@mui/material/Button';
import { needNames } from '@/words/needs';
import type { JointsOnSurface } from '@/core/verdict/drive/gearLife';
import { JOINT_NAMES } from '@/words/labels/heatWords';
import type { HeldBy } from '@/core/worked/drive/jointOfBuild';
import { TORQUE_BY } from '@/words/terms';
import type { ShaftFound } from '@/core/worked/drive/shaftOfBuild';
import { formatNumber, formatText } from '@/core/base/units/formatQuantity';
import { useReader } from '@/ui/reader';
import { WorkingPanel } from '@/ui/working';
import { useBuild } from '../../session/BuildContext';
import { CheckFigure } from '../../frame/CheckFigure';
import { SegmentChecks } from '../../frame/SegmentChecks';
import { SurfaceSwitch } from '../../frame/SurfaceSwitch';
import { useWorked } from '../../session/useWorked';
import { workerOf } from '@/workers/clients';
import { Apart } from '../../frame/Guarded';
import { Ask } from '../../frame/Ask';
import { problemOf } from '@/words/refusals/problemOf';

/** What holds the pinion and the wheel, side by side where it is hot, and how the shafts fare. */
export function JointsView() {
  const { reader } = useReader();
  const { document, surface } = useBuild();
  const found = useWorked(surface ? () => workerOf('drive').joints(document, surface) : undefined, [
    document,
    surface,
  ]);
  if (!found.value)
    return (
      <Typography variant="answer" color="textSecondary">
        {found.refused ? problemOf(found.refused, reader).message : 'Working out what holds…'}
      </Typography>
    );
  const { pinion, wheel, shafts } = found.value;
  return (
    <Apart>
      <Ask>
        <JointAnswer found={found.value} />
        <SurfaceSwitch />
      </Ask>
      <Box sx={dimmedWhen(found.stale)} aria-busy={found.stale}>
        {pinion.held ? (
          <SideBySide
            held={pinion.held}
            askedNm={pinion.asked!.torqueNm}
            temperatureC={pinion.temperatureC!}
          />
        ) : null}
        {'result' in wheel ? <HexRow wheel={wheel} /> : null}
        {shafts.length > 0 ? <Shafts shafts={shafts} /> : null}
      </Box>
      <SegmentChecks segment="drive" side="joints" />
      <WorkingPanel />
    </Apart>
  );
}

function JointAnswer({ found: { pinion } }: { found: JointsOnSurface }) {
  const { document } = useBuild();
  const { reader } = useReader();
  const kind = document.drive.heat?.pinionJoint;
  if (!pinion.held)
    return (
      <Typography variant="answer">
        What holds the pinion is not worked out yet: it needs {needNames(pinion.missing!)}.
      </Typography>
    );
  const load = (
    <>
      {TORQUE_BY[pinion.asked!.by]} puts {formatText(pinion.asked!.torqueNm, 'torqueNm', reader)} on the
      motor&rsquo;s shaft, at {formatText(pinion.temperatureC!, 'temperatureC', reader)}
    </>
  );
  const own = pinion.held.find((one) => one.kind === kind);
  if (!kind || !own) return <Typography variant="answer">Say what holds the pinion: {load}.</Typography>;
  if ('needs' in own)
    return (
      <Typography variant="answer">
        The {JOINT_NAMES[kind]} needs its {own.needs}: {load}.
      </Typography>
    );
  const { torqueNm, margin = Infinity, splits } = own.result;
  const tone = splits || margin < 1 ? 'over' : margin < 1.5 ? 'tight' : '';
  return (
    <Typography variant="answer">
      The pinion, held by {JOINT_NAMES[kind]}, carries{' '}
      <CheckFigure check="joint.pinion" title="the pinion on its shaft" tone={tone}>
        <span data-testid="pinion-carries">{formatText(torqueNm, 'torqueNm', reader)}</span>
      </CheckFigure>
      ; {load}.
    </Typography>
  );
}

const [BAR_WIDTH, BAR_SCALE] = [180, 3];

/** Each way to hold it as a bar against what is asked; a bar ends at three times that. */
function SideBySide({
  held,
  askedNm,
  temperatureC,
}: {
  held: readonly HeldBy[];
  askedNm: number;
  temperatureC: number;
}) {
  const { document, edit, closed } = useBuild();
  const { reader } = useReader();
  const chosen = document.drive.heat?.pinionJoint;
  const order = [...held].sort((a, b) => carried(b) - carried(a));
  return (
    <TableContainer component="section" sx={{ mt: 1.5 }} aria-label="Ways to hold the pinion">
      <Table size="small">
        <TableHead>
          <TableRow>
            <TableCell>Held by</TableCell>
            <TableCell align="right">Carries at {formatText(temperatureC, 'temperatureC', reader)}</TableCell>
            <TableCell>against what is asked</TableCell>
            <TableCell align="right">Margin</TableCell>
            <TableCell align="right">Holds up to</TableCell>
            <TableCell />
          </TableRow>
        </TableHead>
        <TableBody>
          {order.map((one) => {
            const result = 'result' in one ? one.result : undefined;
            const over = result && (result.splits || (result.margin ?? 0) < 1);
            return (
              <TableRow key={one.kind} data-joint={one.kind}>
                <TableCell>{one.kind === chosen ? <b>{plain(one)}</b> : plain(one)}</TableCell>
                <TableCell align="right">
                  {result ? formatText(result.torqueNm, 'torqueNm', reader) : '—'}
                </TableCell>
                <TableCell>
                  {result ? (
                    <Bar share={result.splits ? 0 : result.torqueNm / askedNm} over={Boolean(over)} />
                  ) : (
                    <Typography component="span" color="textSecondary">
                      needs {'needs' in one ? one.needs : ''}
                    </Typography>
                  )}
                </TableCell>
                <TableCell align="right" data-tone={over ? 'fails' : undefined}>
                  {result?.splits
                    ? 'splits'
                    : result?.margin === undefined
                      ? ''
                      : formatNumber(result.margin, reader.locale, 2)}
                </TableCell>
                <TableCell align="right">
                  {result?.softensAtC === undefined
                    ? ''
                    : formatText(result.softensAtC, 'temperatureC', reader)}
                </TableCell>
                <TableCell>
                  {one.kind === chosen ? (
                    <Typography component="span" color="textSecondary">
                      as it is
                    </Typography>
                  ) : (
                    <span className={checksCss.remedy}>
                      <Button
                        color="success"
                        disabled={closed}
                        aria-label={`Hold it by ${plain(one)}`}
                        onClick={() => edit([{ path: ['drive', 'heat', 'pinionJoint'], value: one.kind }])}
                      >
                        take
                      </Button>
                    </span>
                  )}
                </TableCell>
              </TableRow>
            );
          })}
        </TableBody>
      </Table>
    </TableContainer>
  );
}

function HexRow({
  wheel: { asked, temperatureC, result },
}: {
  wheel: Extract<JointsOnSurface['wheel'], { result: object }>;
}) {
  const { reader } = useReader();
  const over = (result.margin ?? Infinity) < 1;
  return (
    <Box component="p" sx={{ mt: 1 }} data-testid="hex">
      <b>Wheel on its hex</b> carries {formatText(result.torqueNm, 'torqueNm', reader)} at{' '}
      {formatText(temperatureC, 'temperatureC', reader)}{' '}
      <Box component="span" sx={{ display: 'inline-block', verticalAlign: 'middle' }}>
        <Bar share={result.torqueNm / asked.torqueNm} over={over} />
      </Box>{' '}
      {TORQUE_BY[asked.by]} puts {formatText(asked.torqueNm, 'torqueNm', reader)} on it.
    </Box>
  );
}

const carried = (one: HeldBy) => ('result' in one ? (one.result.splits ? 0 : one.result.torqueNm) : -1);
const plain = ({ kind }: HeldBy) => JOINT_NAMES[kind];

function Bar({ share, over }: { share: number; over: boolean }) {
  const length = Math.min(1, share / BAR_SCALE) * BAR_WIDTH;
  return (
    <svg width={BAR_WIDTH + 2} height={14} aria-hidden="true">
      <rect x={0} y={3} width={length} height={8} fill={over ? 'var(--rust)' : 'var(--moss)'} />
      {share > BAR_SCALE ? (
        <path d={`M${BAR_WIDTH - 7} 1 l-4 12 m6 -12 l-4 12`} stroke="var(--paper)" strokeWidth={2} />
      ) : null}
      <line
        x1={BAR_WIDTH / BAR_SCALE}
        x2={BAR_WIDTH / BAR_SCALE}
        y1={0}
        y2={14}
        stroke="var(--ink)"
        strokeWidth={2}
      />
    </svg>
  );
}

function Shafts({ shafts }: { shafts: readonly ShaftFound[] }) {
  const { reader } = useReader();
  const text = (value: number | undefined, quantity: 'rpm' | 'forceN' | 'torqueNm') =>
    value === undefined || value === 0 ? '—' : formatText(value, quantity, reader);
  return (
    <TableContainer component="section" sx={{ mt: 1.5 }} aria-label="Shafts">
      <Table size="small">
        <TableHead>
          <TableRow>
            <TableCell>Shaft</TableCell>
            <TableCell align="right">Twisted by</TableCell>
            <TableCell align="right">Bent by</TableCell>
            <TableCell align="right">Strength margin</TableCell>
            <TableCell align="right">Turns</TableCell>
            <TableCell align="right">Whips at</TableCell>
            <TableCell>One long shaft or two halves</TableCell>
          </TableRow>
        </TableHead>
        <TableBody>
          {shafts.map(({ shaft, torque, forceN, bentBy, result, maxRpm, other }) => (
            <TableRow key={shaft.id} data-shaft={shaft.id}>
              <TableCell>
                <b>{shaft.kind === 'axle' ? 'Wheel axle' : 'Long shaft'}</b>{' '}
                <Typography component="span" color="textSecondary">
                  {formatText(shaft.diameterMm!, 'lengthMm', reader)}, {shaft.material!.name.toLowerCase()}
                </Typography>
              </TableCell>
              <TableCell align="right">{text(torque.torqueNm, 'torqueNm')}</TableCell>
              <TableCell align="right">
                {text(forceN, 'forceN')}
                {bentBy ? (
                  <Typography component="span" color="textSecondary">
                    {' '}
                    {bentBy}
                  </Typography>
                ) : null}
              </TableCell>
              <TableCell align="right">
                {result.margin === undefined ? '—' : formatNumber(result.margin, reader.locale, 3)}
              </TableCell>
              <TableCell align="right">{text(maxRpm, 'rpm')}</TableCell>
              <TableCell align="right">{text(result.whirlRpm, 'rpm')}</TableCell>
              <TableCell data-tone="quiet">
                {other
                  ? `${other.halves ? 'one: ' : 'two halves: '}margin ${formatNumber(result.whirlMargin!, reader.locale, 2)}; ${other.halves ? 'two halves' : 'one'}: ${formatNumber(other.whirlMargin, reader.locale, 2)}`
                  : ''}
              </TableCell>
            </TableRow>
          ))}
        </TableBody>
      </Table>
    </TableContainer>
  );
}
