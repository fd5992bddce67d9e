import Box from '@mui/material/Box';
import { Row } from '@/ui/layout/Row';
import Typography from '@mui/material/Typography';
import Button from '@mui/material/Button';
import type { BrakeInput } from '@/core/physics/aids/brakeAssist';
import type { TractionInput } from '@/core/physics/aids/slipDefinition';
import { type Study, STUDY_SEEDS, STUDY_TARGETS } from '@/core/physics/aids/slipStudy';
import { formatText } from '@/core/base/units/formatQuantity';
import { LineChart } from '@/ui/charts/LineChart';
import { useReader } from '@/ui/reader';
import { workerOf } from '@/workers/clients';
import { useStudy } from './useStudy';
import { OFF_PCT } from './SlipReadings';

/** A sensor so fine that its edges cost nothing. */
const FINE_MAGNETS = 400;

/** Every target over several seeds: the best band, and what the sensor costs. */
export function SlipStudy({
  input,
  brakes,
  targetPct,
}: {
  input: TractionInput | BrakeInput;
  brakes: boolean;
  targetPct: number;
}) {
  const { reader } = useReader();
  const study = useStudy<{ own: Study; fine: Study }>();
  const of = STUDY_TARGETS.length * STUDY_SEEDS;
  const quantity = brakes ? 'distanceM' : 'timeS';
  const run = (
    given: TractionInput | BrakeInput,
    report: (done: number) => Promise<void>,
  ): Promise<Study | undefined> =>
    brakes
      ? workerOf('aids').brakeStudy(given as BrakeInput, report)
      : workerOf('aids').study(given as TractionInput, report);
  const start = () =>
    study.start(async (report) => {
      const own = await run(input, report);
      const fine =
        own &&
        (await run(
          { ...input, sensor: { ...input.sensor, magnets: FINE_MAGNETS, falsePulseRate: 0 } },
          report,
        ));
      return own && fine ? { own, fine } : undefined;
    });
  const found = study.found;
  const rows = found?.own.rows.filter(({ mean }) => mean !== undefined) ?? [];
  const cost = found?.own.best && found.fine.best ? found.own.best.mean! - found.fine.best.mean! : undefined;
  return (
    <Box sx={{ width: 424 }}>
      <Row>
        {study.done === undefined ? (
          <Button onClick={start}>Sweep the target</Button>
        ) : (
          <>
            <Button onClick={study.cancel}>Cancel</Button>
            <Typography color="textSecondary" role="status">
              {study.done} of {of} runs
            </Typography>
          </>
        )}
      </Row>
      {found?.own.best ? (
        <>
          <Box component="p" sx={{ m: '6px 0' }} data-testid="band">
            Best from {formatText(found.own.band!.from, 'percent', reader)} to{' '}
            {formatText(found.own.band!.to, 'percent', reader)}:{' '}
            {formatText(found.own.best.mean!, quantity, reader)}.
            {cost === undefined
              ? ''
              : cost > 0.005 * found.own.best.mean!
                ? ` The sensor’s coarse edges cost ${formatText(cost, quantity, reader, 2)} of that.`
                : ' A finer sensor would win nothing.'}
          </Box>
          <LineChart
            title={brakes ? 'Way to stand over the target' : 'Time over the target'}
            testId="slip-study"
            width={424}
            height={180}
            xQuantity="percent"
            xName="slip aimed at"
            yQuantity={quantity}
            xMax={OFF_PCT}
            yMin={0.97 * Math.min(...rows.map(({ mean }) => mean!))}
            yMax={1.03 * Math.max(...rows.map(({ mean, sd }) => mean! + sd))}
            lines={[
              {
                id: 'study',
                label: '',
                style: 'predicted',
                xs: rows.map((row) => row.targetSlipPct),
                ys: rows.map(({ mean }) => mean!),
              },
            ]}
            points={rows.map(({ targetSlipPct, mean }) => ({ x: targetSlipPct, y: mean!, measured: false }))}
            uprights={[{ x: targetPct, label: 'yours', wish: true }]}
            summary={`Best at ${found.own.best.targetSlipPct} per cent.`}
          />
        </>
      ) : (
        <Typography variant="note" color="textSecondary" sx={{ mt: 0.75 }}>
          Tries {STUDY_TARGETS.length} targets, each with {STUDY_SEEDS} seeds of the sensor’s false pulses,
          and again with a sensor without faults.
        </Typography>
      )}
    </Box>
  );
}
