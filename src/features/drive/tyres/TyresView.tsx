'use client';

import Table from '@mui/material/Table';
import TableBody from '@mui/material/TableBody';
import TableCell from '@mui/material/TableCell';
import TableContainer from '@mui/material/TableContainer';
import TableHead from '@mui/material/TableHead';
import TableRow from '@mui/material/TableRow';
import Typography from '@mui/material/Typography';
import { needNames } from '@/words/needs';
import { SPIN_ENDS_WORDS } from '@/words/labels/tyres';
import { useMemo } from 'react';
import { tyresOfBuild, type TyresOfBuild, type TyreTurns } from '@/core/worked/drive/tyresOfBuild';
import { KNOWN_TYRE_KINDS, type TyreMake } from '@/core/physics/tyres/tyreKinds';
import { tyreSpin } from '@/core/physics/tyres/tyreSpin';
import { formatNumber, formatText } from '@/core/base/units/formatQuantity';
import type { ChartLine } from '@/ui/charts/chartProps';
import { LineChart } from '@/ui/charts/LineChart';
import { useReader } from '@/ui/reader';
import { WorkingPanel } from '@/ui/working';
import { useBuild } from '../../session/BuildContext';
import { CheckFigure } from '../../frame/CheckFigure';
import { SegmentChecks } from '../../frame/SegmentChecks';
import { Apart, Charts } from '../../frame/Guarded';
import { BalanceSheet } from './BalanceSheet';
import type { DriveView } from '../useDriveView';

const LEAST_MARGIN = 1.3;
const SAFE_MARGIN = 2;

/** How the tyres grow with speed, what that does to the car, what lets go first; and a wheel on its own. */
export function TyresView({ view }: { view: DriveView }) {
  const { document } = useBuild();
  const { tyre } = document.drive;
  const found = useMemo(
    () => (view.input ? tyresOfBuild(document, view.input) : undefined),
    [document, view.input],
  );
  const tyres = found?.ok ? found.value : undefined;
  const worst = tyres?.turns[0];
  const missing = found && !found.ok ? found.missing : view.missing;
  return (
    <Apart>
      {tyres && worst ? (
        <TyreAnswer tyres={tyres} worst={worst} />
      ) : (
        <Typography variant="answer">
          {missing.length > 0
            ? `How fast the tyre turns is not worked out yet: it needs ${needNames(missing)}.`
            : 'The car does not move, so its tyres turn nowhere.'}
        </Typography>
      )}
      {tyres && worst ? <TurnsTable turns={tyres.turns} /> : null}
      {worst ? <GrowthChart make={worst.make} rpm={worst.rpm} limitRpm={worst.limitRpm} /> : null}
      <SegmentChecks segment="drive" side="tyres" />
      <Charts>
        <BalanceSheet massG={tyre?.massG} radiusMm={document.drive.tyreHold?.rimRadiusMm} rpm={worst?.rpm} />
      </Charts>
      <WorkingPanel />
    </Apart>
  );
}

const toneOf = (margin: number) => (margin < LEAST_MARGIN ? 'over' : margin < SAFE_MARGIN ? 'tight' : '');
const round = (rpm: number) => Math.round(rpm / 10) * 10;

function TyreAnswer({ tyres: { top, turns }, worst }: { tyres: TyresOfBuild; worst: TyreTurns }) {
  const { reader } = useReader();
  const speed = (mps: number) => formatText(mps, 'speedMps', reader);
  const rpm = (value: number) => formatText(round(value), 'rpm', reader, 5);
  const onRoad = turns.find(({ use }) => use === 'road')?.spin.growthPct;
  return (
    <Typography variant="answer">
      {top && onRoad !== undefined
        ? `At top speed the tyre grows by ${formatNumber(onRoad, reader.locale, 2)} %, which makes ${speed(top.stiffMps)} into ${speed(top.grownMps)}. `
        : ''}
      {worst.use === 'bench' ? 'In the air' : 'On the road'} it turns {rpm(worst.rpm)}
      {worst.proven ? '; such ones held ' : `, and ${SPIN_ENDS_WORDS[worst.spin.endsBy]} at `}
      <CheckFigure check="tyre.burst" title="the tyre at its fastest" tone={toneOf(worst.margin)}>
        <span data-testid="burst-rpm">{rpm(worst.limitRpm)}</span>
      </CheckFigure>
      {worst.proven ? ' on the bench' : ''}.
    </Typography>
  );
}

/** Each axle's tyres, wheels in the air and on the road. */
function TurnsTable({ turns }: { turns: readonly TyreTurns[] }) {
  const { reader } = useReader();
  const rpm = (value: number) => formatText(round(value), 'rpm', reader, 5);
  return (
    <TableContainer component="section" sx={{ my: 1.5 }} aria-label="Tyres at their fastest">
      <Table size="small">
        <TableHead>
          <TableRow>
            <TableCell>Tyres</TableCell>
            <TableCell align="right">Turn</TableCell>
            <TableCell align="right">Grown by</TableCell>
            <TableCell align="right">Grip left</TableCell>
            <TableCell>Fails first</TableCell>
            <TableCell align="right">at</TableCell>
            <TableCell align="right">Margin</TableCell>
            <TableCell align="right">Would fly</TableCell>
          </TableRow>
        </TableHead>
        <TableBody>
          {turns.map(({ axles, use, spin, rpm: turning, limitRpm, proven, margin }) => (
            <TableRow key={`${axles.join()} ${use}`}>
              <TableCell>
                {axles.length > 1 ? 'all' : axles[0]}, {use === 'bench' ? 'in the air' : 'at top speed'}
              </TableCell>
              <TableCell align="right">{rpm(turning)}</TableCell>
              <TableCell align="right">
                {spin.growthPct === undefined
                  ? 'without end'
                  : formatText(spin.growthPct, 'percent', reader, 2)}
              </TableCell>
              <TableCell align="right">
                {use === 'bench' || spin.gripShare === undefined
                  ? ''
                  : formatText(spin.gripShare, 'share', reader, 2)}
              </TableCell>
              <TableCell>{proven ? 'held on the bench' : SPIN_ENDS_WORDS[spin.endsBy]}</TableCell>
              <TableCell align="right">{rpm(limitRpm)}</TableCell>
              <TableCell align="right" data-tone={margin < LEAST_MARGIN ? 'fails' : undefined}>
                {formatNumber(margin, reader.locale, 2)}
              </TableCell>
              <TableCell align="right">{formatText(spin.releasedEnergyJ!, 'energyJ', reader, 2)}</TableCell>
            </TableRow>
          ))}
        </TableBody>
      </Table>
    </TableContainer>
  );
}

const MOST_GROWTH_PCT = 25;

/** Growth over the turns for every kind on this rim, the build's own in ink. */
function GrowthChart({ make, rpm, limitRpm }: { make: TyreMake; rpm: number; limitRpm: number }) {
  const { reader } = useReader();
  const most = 1.15 * Math.max(rpm, limitRpm);
  const { kind, radiusMm, rimRadiusMm, widthMm } = make;
  const lines = KNOWN_TYRE_KINDS.map((one, index): ChartLine => {
    const own = one === kind ? make : { kind: one, radiusMm, rimRadiusMm, widthMm };
    const points = tyreSpin({ ...own, rpm }).curve!.filter(({ growthPct }) => growthPct <= MOST_GROWTH_PCT);
    return {
      id: one,
      label: one,
      style: one === kind ? 'predicted' : 'predictedQuiet',
      xs: points.map((point) => point.rpm),
      ys: points.map(({ growthPct }) => growthPct),
      labelAt: 0.95 - 0.12 * index,
    };
  });
  return (
    <Charts>
      <LineChart
        title="Growth with the turns of the wheel, each kind to where it fails"
        testId="growth-chart"
        width={720}
        height={230}
        xQuantity="rpm"
        yQuantity="percent"
        yName="growth"
        lines={lines}
        xMax={most}
        yMax={MOST_GROWTH_PCT}
        uprights={[{ x: rpm, label: `at its fastest, ${formatText(round(rpm), 'rpm', reader, 5)}` }]}
        summary={`Growth in per cent of a tyre of ${formatText(radiusMm, 'lengthMm', reader)} radius for ${KNOWN_TYRE_KINDS.join(', ')}.`}
      />
    </Charts>
  );
}
