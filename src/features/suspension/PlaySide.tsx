'use client';

import { StillNeeds } from '@/features/fields/StillNeeds';
import { Note } from '@/ui/controls/Note';
import chartsCss from '@/ui/charts/charts.module.css';
import tablesCss from '@/ui/controls/tables.module.css';
import Typography from '@mui/material/Typography';
import Box from '@mui/material/Box';
import TableContainer from '@mui/material/TableContainer';
import Table from '@mui/material/Table';
import TableHead from '@mui/material/TableHead';
import TableRow from '@mui/material/TableRow';
import TableCell from '@mui/material/TableCell';
import TableBody from '@mui/material/TableBody';
import { Tick } from '@/ui/controls/Tick';
import { useMemo } from 'react';
import { MOST_PLAY_SHARE } from '@/core/verdict/suspension/play/play.check';
import { benchList, cornerMark } from '@/core/worked/suspension/benchList';
import { type PlayOfBuild, playOf } from '@/core/worked/suspension/playOfBuild';
import { formatNumber, formatText } from '@/core/base/units/formatQuantity';
import { useReader } from '@/ui/reader';
import { useNarrow } from '@/ui/useNarrow';
import { When } from '@/ui/When';
import { useBuild } from '../session/BuildContext';
import { CheckFigure } from '../frame/CheckFigure';
import { DocumentField, Group } from '../fields/fields';
import { Bench, Readings } from '../frame/Guarded';
import type { SideProps } from './side';
import { sound } from '../frame/sound';
import { BENCH_WORDS } from '@/words/labels/corner';

/** How much the rim of a wheel wobbles, and whether its joints bind: looked at on the bench, ticked with the day. */
export function PlaySide({ end, tabs, foot }: SideProps) {
  const { document } = useBuild();
  const { reader } = useReader();
  const found = useMemo(() => sound(() => playOf(document, end)), [document, end]);
  const path = (key: string) => ['suspension', end, 'play', key];
  const deg = (value: number) => `${formatNumber(value, reader.locale, 2)}°`;
  return (
    <>
      <Bench>
        <Group title={`Bearings of a ${end} wheel`}>
          <DocumentField path={path('bearingSpacingMm')} label="Apart" example={10} />
          <DocumentField path={path('inboardMm')} label="Play, inboard" example={0.05} />
          <DocumentField path={path('outboardMm')} label="Play, outboard" example={0.05} />
          <Typography variant="small" color="textSecondary">
            The whole diametral play between axle and carrier: the bearing’s own, its seat’s and the axle’s.
          </Typography>
        </Group>
        <Group title="Joints">
          {document.suspension[end]?.corner?.tieInner ? (
            <DocumentField path={path('tieMm')} label="Along the tie rod" usual={0} />
          ) : null}
          <DocumentField path={path('upperMm')} label="Upper outer joint" usual={0} />
          <Typography variant="small" color="textSecondary">
            Push and pull with a caliper’s depth rod against it: from stop to stop.
          </Typography>
        </Group>
      </Bench>
      <Readings>
        {tabs}
        {found.ok ? (
          <Typography variant="answer">
            A {end} rim wobbles{' '}
            <CheckFigure
              check="fit.play"
              title="free play"
              tone={found.value.rimPlayMm > MOST_PLAY_SHARE * found.value.radiusMm ? 'over' : ''}
            >
              {formatText(found.value.rimPlayMm, 'lengthMm', reader, 2)}
            </CheckFigure>{' '}
            from stop to stop: the bearings tilt it by ±{deg(found.value.bearingTiltDeg)}, the tie rod lets it
            toe by ±{deg(found.value.toeDeg)}.
          </Typography>
        ) : (
          <StillNeeds missing={found.missing} />
        )}
        {found.ok ? <PlayBars found={found.value} /> : null}
        <BindingList end={end} />
        {foot}
      </Readings>
    </>
  );
}

const BAR_HEIGHT = 84;

/** What adds up at the rim, against what the eye and the tyre forgive. */
function PlayBars({ found: { bearingRimMm, toeRimMm, camberRimMm, radiusMm } }: { found: PlayOfBuild }) {
  const { reader } = useReader();
  const [barWidth, labelWidth] = useNarrow() ? [358, 104] : [620, 150];
  const limit = MOST_PLAY_SHARE * radiusMm;
  const most = 1.15 * Math.max(limit, toeRimMm, camberRimMm);
  const x = (mm: number) => labelWidth + (mm / most) * (barWidth - labelWidth - 10);
  const rows = [
    { label: 'Fore and aft', whole: toeRimMm, more: 'tie rod' },
    { label: 'Over and under', whole: camberRimMm, more: 'upper joint' },
  ];
  return (
    <Box
      component="figure"
      className={chartsCss.chart}
      style={{ width: `min(100%, ${barWidth}px)` }}
      sx={{ mt: 1.25 }}
      data-testid="play-bars"
    >
      <figcaption>
        <span>Play at the rim, bearings first, then joints</span>
      </figcaption>
      <svg
        viewBox={`0 0 ${barWidth} ${BAR_HEIGHT + 20}`}
        width={barWidth}
        height={BAR_HEIGHT + 20}
        role="img"
        aria-label={`Fore and aft ${formatText(toeRimMm, 'lengthMm', reader)}, over and under ${formatText(camberRimMm, 'lengthMm', reader)}, limit ${formatText(limit, 'lengthMm', reader)}`}
      >
        <defs>
          <pattern
            id="playlimit"
            width="6"
            height="6"
            patternUnits="userSpaceOnUse"
            patternTransform="rotate(45)"
          >
            <path d="M0,0v6" stroke="var(--rust)" strokeWidth="2" />
          </pattern>
        </defs>
        {rows.map(({ label, whole, more }, index) => {
          const top = 8 + index * 38;
          return (
            <g key={label}>
              <text x={labelWidth - 10} y={top + 18} textAnchor="end" className={chartsCss.strong}>
                {label}
              </text>
              <rect
                x={labelWidth}
                y={top}
                width={x(bearingRimMm) - labelWidth}
                height={26}
                fill="var(--wash)"
                stroke="var(--ink)"
              />
              <rect
                x={x(bearingRimMm)}
                y={top}
                width={Math.max(0, x(whole) - x(bearingRimMm))}
                height={26}
                fill="var(--sheet)"
                stroke="var(--ink)"
                strokeDasharray="4 3"
              />
              <text x={labelWidth + 6} y={top + 17}>
                bearings
              </text>
              <text x={x(whole) + 6} y={top + 17}>
                {whole - bearingRimMm > 0.005 && barWidth > 400 ? `with the ${more} ` : ''}
                {formatText(whole, 'lengthMm', reader, 2)}
              </text>
            </g>
          );
        })}
        <rect x={x(limit)} y={0} width={8} height={BAR_HEIGHT} fill="url(#playlimit)" />
        <line x1={x(limit)} x2={x(limit)} y1={0} y2={BAR_HEIGHT} stroke="var(--rust)" strokeWidth={1.6} />
        <text x={x(limit) + 8} y={BAR_HEIGHT + 14} textAnchor="end" fill="var(--rust)">
          {formatText(limit, 'lengthMm', reader, 2)}, 1.5 % of the radius
        </text>
      </svg>
    </Box>
  );
}

/** Joint for joint, from the arm that falls to the one that does not. */
function BindingList({ end }: { end: 'front' | 'rear' }) {
  const { document, edit, closed } = useBuild();
  const { suspension } = document;
  const list = benchList(suspension, end);
  const set = (id: string, passed: boolean) =>
    edit([
      {
        path: ['suspension', 'bench'],
        value: [
          ...(suspension.bench ?? []).filter((tick) => tick.id !== id),
          ...(passed ? [{ id, at: new Date().toISOString(), of: cornerMark(suspension, end) }] : []),
        ],
      },
    ]);
  const open = list.filter(({ state }) => state !== 'passed').length;
  return (
    <Box component="section" sx={{ mt: 1.75 }} aria-label="Does it bind?">
      <Note tone={open === 0 ? 'ok' : 'caution'}>
        {open === 0
          ? `Every joint of the ${end} was found free.`
          : 'A joint that binds shows when an arm does not fall under its own weight.'}{' '}
        Pack unplugged before hands go between the arms.
      </Note>
      <TableContainer>
        <Table size="small" className={tablesCss.stacked}>
          <TableHead>
            <TableRow>
              <TableCell>Does it bind?</TableCell>
              <TableCell>How to look</TableCell>
              <TableCell>If not</TableCell>
              <TableCell>Free</TableCell>
            </TableRow>
          </TableHead>
          <TableBody>
            {list.map(({ id, item, state, at }) => (
              <TableRow key={id} data-bench={id} data-state={state}>
                <TableCell sx={{ minWidth: 190 }}>
                  <Typography component="label" variant="strong">
                    <Tick
                      checked={state === 'passed'}
                      disabled={closed}
                      onChange={(event) => set(id, event.target.checked)}
                    />{' '}
                    {BENCH_WORDS[item].what}
                  </Typography>
                </TableCell>
                <TableCell data-tone="quiet">{BENCH_WORDS[item].how}</TableCell>
                <TableCell data-tone="quiet">{BENCH_WORDS[item].mend}</TableCell>
                <TableCell sx={{ minWidth: 110 }}>
                  {state === 'open' ? (
                    <Typography component="span" color="textSecondary">
                      not yet
                    </Typography>
                  ) : state === 'passed' ? (
                    <When at={at!} />
                  ) : (
                    <Typography component="span" color="error">
                      <When at={at!} />, undone: a point moved
                    </Typography>
                  )}
                </TableCell>
              </TableRow>
            ))}
          </TableBody>
        </Table>
      </TableContainer>
    </Box>
  );
}
