'use client';

import tablesCss from '@/ui/controls/tables.module.css';
import Typography from '@mui/material/Typography';
import Box from '@mui/material/Box';
import TableContainer from '@mui/material/TableContainer';
import Table from '@mui/material/Table';
import TableHead from '@mui/material/TableHead';
import TableRow from '@mui/material/TableRow';
import TableCell from '@mui/material/TableCell';
import TableBody from '@mui/material/TableBody';
import { useMemo } from 'react';
import { formatText } from '@/core/base/units/formatQuantity';
import { briefDemand, type BriefDemandInput, type BriefDemandResult } from '@/core/physics/motion/demand';
import { powerCurves } from '@/core/physics/motion/powerCurves';
import { demandInputOf } from '@/core/worked/motion/demandOfBuild';
import { LineChart } from '@/ui/charts/LineChart';
import { Figure } from '@/ui/Figure';
import { useReader, useWriter } from '@/ui/reader';
import { workingDemand } from '@/words/workings/demand';
import { Apart, Charts } from '../frame/Guarded';
import { useBuild } from '../session/BuildContext';
import { Quantity } from '@/ui/Quantity';
import { renamed } from '@/core/base/finding';
import { sayAll } from '@/words/findings';

export function Demand({ input, result }: { input: BriefDemandInput; result: BriefDemandResult }) {
  const write = useWriter();
  const { document, ghost } = useBuild();
  const { reader } = useReader();
  const { surfaces } = document.brief;
  const hardest = result.surfaces.reduce((a, b) => (b.powerAtWheelW > a.powerAtWheelW ? b : a));
  const on = nameOf(hardest.id, surfaces);
  const lost = result.surfaces.filter(({ gripHolds }) => !gripHolds);
  const before = ghost ? demandInputOf(ghost.document, ghost.document.brief.surfaces) : undefined;
  const ghostPower = before?.ok
    ? briefDemand(before.value).surfaces.find(({ id }) => id === hardest.id)?.powerAtWheelW
    : undefined;
  return (
    <Apart>
      <Typography variant="answer">
        Holding {formatText(input.targetMps, 'speedMps', reader)} on {on} takes{' '}
        <Figure title={`the power on ${on}`} steps={workingDemand(input, hardest, write)}>
          {formatText(hardest.powerAtWheelW, 'powerW', reader)}
        </Figure>{' '}
        at the wheels
        {ghostPower === undefined || ghostPower === hardest.powerAtWheelW
          ? ''
          : ` (${ghost!.label}: ${formatText(ghostPower, 'powerW', reader)})`}
        {hardest.chargeMah !== undefined && input.runTimeMinutes !== undefined ? (
          <>
            {' '}
            and{' '}
            <Figure title="the charge" steps={workingDemand(input, hardest, write)} tone="plainfig">
              {formatText(hardest.chargeMah, 'capacityMah', reader)}
            </Figure>{' '}
            for {formatText(input.runTimeMinutes, 'minutes', reader)}
          </>
        ) : null}
        .{' '}
        {lost.length > 0
          ? `Grip, not power, forbids it on ${lost.map(({ id }) => nameOf(id, surfaces)).join(' and ')}.`
          : 'The tyres can carry it.'}
      </Typography>
      <Charts>
        <PowerChart input={input} />
        <DemandTable input={input} result={result} />
      </Charts>
      {result.notes.length > 0 ? (
        <Typography variant="small" color="textSecondary" sx={{ mt: 0.75 }}>
          {sayAll(
            result.notes.map((note) => renamed(note, (id) => nameOf(id, surfaces))),
            reader,
          )}
        </Typography>
      ) : null}
    </Apart>
  );
}
export function PowerChart({ input }: { input: BriefDemandInput }) {
  const { document } = useBuild();
  const { reader } = useReader();
  const to = 1.3 * input.targetMps;
  const curves = useMemo(() => powerCurves(input, briefDemand, to), [input, to]);
  const shown = curves.slice(0, 4);
  const top = Math.max(...shown.map(({ powerW }) => powerW.at(-1)!));
  const wish = formatText(input.targetMps, 'speedMps', reader);
  return (
    <LineChart
      title="Power at the wheels"
      testId="power-chart"
      width={380}
      height={260}
      xQuantity="speedMps"
      yQuantity="powerW"
      lines={shown.map(({ id, speedMps, powerW }, index) => ({
        id,
        label: nameOf(id, document.brief.surfaces),
        style: index % 2 === 0 ? 'predicted' : 'predictedQuiet',
        xs: speedMps,
        ys: powerW,
        labelAt: 0.94,
      }))}
      uprights={[{ x: input.targetMps, label: `wish ${wish}`, wish: true }]}
      xMax={to}
      yMax={1.08 * top}
      summary={shown.map(({ id }) => nameOf(id, document.brief.surfaces)).join(', ')}
    />
  );
}
export function DemandTable({ input, result }: { input: BriefDemandInput; result: BriefDemandResult }) {
  const write = useWriter();
  const { document } = useBuild();
  const rows = result.surfaces;
  const withCharge = rows.some(({ chargeMah }) => chargeMah !== undefined);
  return (
    <Box sx={{ flex: '1 1 380px', minWidth: 0 }}>
      <Typography variant="label">What the wish demands</Typography>
      <TableContainer>
        <Table className={tablesCss.slim}>
          <TableHead>
            <TableRow>
              <TableCell>On</TableCell>
              {rows.map(({ id }) => (
                <TableCell align="right" key={id}>
                  {nameOf(id, document.brief.surfaces)}
                </TableCell>
              ))}
            </TableRow>
          </TableHead>
          <TableBody>
            <TableRow>
              <TableCell>Resistance</TableCell>
              {rows.map((row) => (
                <TableCell align="right" key={row.id}>
                  <Quantity value={row.resistanceN} quantity="forceN" />
                </TableCell>
              ))}
            </TableRow>
            <TableRow>
              <TableCell>Power at the wheels</TableCell>
              {rows.map((row) => (
                <TableCell align="right" key={row.id}>
                  <Figure
                    title={`the demand on ${nameOf(row.id, document.brief.surfaces)}`}
                    steps={workingDemand(input, row, write)}
                    tone="plainfig"
                  >
                    <Quantity value={row.powerAtWheelW} quantity="powerW" />
                  </Figure>
                </TableCell>
              ))}
            </TableRow>
            <TableRow>
              <TableCell>Grip allows up to</TableCell>
              {rows.map((row) => (
                <TableCell align="right" key={row.id}>
                  {row.gripSpeedMps === undefined ? (
                    'any speed'
                  ) : (
                    <Quantity value={row.gripSpeedMps} quantity="speedMps" />
                  )}
                </TableCell>
              ))}
            </TableRow>
            <TableRow>
              <TableCell>Best launch</TableCell>
              {rows.map((row) => (
                <TableCell align="right" key={row.id}>
                  <Quantity value={row.launchMps2} quantity="accelMps2" />
                </TableCell>
              ))}
            </TableRow>
            <TableRow>
              <TableCell>Mean power from the pack</TableCell>
              {rows.map((row) => (
                <TableCell align="right" key={row.id}>
                  <Quantity value={row.meanPowerW} quantity="powerW" />
                </TableCell>
              ))}
            </TableRow>
            {rows.some(({ energyWh }) => energyWh !== undefined) ? (
              <TableRow>
                <TableCell>Energy</TableCell>
                {rows.map((row) => (
                  <TableCell align="right" key={row.id}>
                    {row.energyWh === undefined ? '' : <Quantity value={row.energyWh} quantity="energyWh" />}
                  </TableCell>
                ))}
              </TableRow>
            ) : null}
            {withCharge ? (
              <TableRow>
                <TableCell>Charge</TableCell>
                {rows.map((row) => (
                  <TableCell align="right" key={row.id}>
                    {row.chargeMah === undefined ? (
                      ''
                    ) : (
                      <Quantity value={row.chargeMah} quantity="capacityMah" />
                    )}
                  </TableCell>
                ))}
              </TableRow>
            ) : null}
            <TableRow>
              <TableCell>Wheels turn</TableCell>
              <TableCell align="right" colSpan={rows.length}>
                <Quantity value={result.wheelRpm} quantity="rpm" />
              </TableCell>
            </TableRow>
            {result.motorRpm === undefined ? null : (
              <TableRow>
                <TableCell>Motor turns</TableCell>
                <TableCell align="right" colSpan={rows.length}>
                  <Quantity value={result.motorRpm} quantity="rpm" />
                </TableCell>
              </TableRow>
            )}
          </TableBody>
        </Table>
      </TableContainer>
    </Box>
  );
}
export const nameOf = (id: string, surfaces: readonly { id: string; name: string }[]) =>
  surfaces.find((surface) => surface.id === id)?.name.toLowerCase() ?? id;
