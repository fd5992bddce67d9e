import type { LogRole } from '@/core/physics/logs/roles';
import { LOG_ROLE_NAMES, LOG_ROLE_QUANTITIES } from '@/words/bench/logWords';
import type { ChartLine } from '@/ui/charts/chartProps';
import { LineChart } from '@/ui/charts/LineChart';
import type { SlipOfLog } from '@/core/worked/logs/slipOfLog';
import type { LaidOn, LogAnswer } from '@/workers/logs';
import { Charts } from '../../frame/Guarded';

const ORDER: readonly LogRole[] = [
  'speed',
  'rpm',
  'motorCurrent',
  'batteryCurrent',
  'voltage',
  'motorTemperature',
  'controllerTemperature',
  'throttle',
  'yawRate',
];
const ROOM = 1.12;

/** Each thing that was logged over what was predicted of it, one under the other on the same clock. */
export function LogLines({
  answer: { seen, beside, slip },
  laid,
}: {
  answer: LogAnswer;
  laid: LaidOn | undefined;
}) {
  const end = seen.summary.durationS;
  const start = seen.launchS ?? 0;
  const stands = seen.standsS ?? end;
  const shown = ORDER.flatMap((role) => seen.lines.find((line) => line.role === role) ?? []);
  return (
    <Charts>
      {shown.map(({ role, tS, values }) => {
        const predicted = beside.flatMap(({ of, lines }) =>
          lines
            .filter((line) => line.role === role)
            .map((line): ChartLine => {
              const kept = line.tS.map((t) => t + (of === 'run' ? start : 0));
              const to = kept.findIndex((t) => t > (of === 'run' ? stands : end));
              const n = to < 0 ? kept.length : to;
              return {
                id: `${role} predicted`,
                label: 'predicted',
                style: 'predicted',
                xs: kept.slice(0, n),
                ys: line.values.slice(0, n),
                labelAt: 0.9,
              };
            }),
        );
        const offset = laid?.sync?.offsetS ?? 0;
        const second = laid?.sync ? laid.second?.lines.find((line) => line.role === role) : undefined;
        const lines: ChartLine[] = [
          { id: role, label: 'logged', style: 'measured', xs: tS, ys: values, labelAt: 0.5 },
          ...(second
            ? [
                {
                  id: `${role} second`,
                  label: 'laid over it',
                  style: 'earlier' as const,
                  xs: second.tS.map((t) => t + offset),
                  ys: second.values,
                  labelAt: 0.7,
                },
              ]
            : []),
          ...predicted.filter(({ xs }) => xs.length > 1),
        ];
        const ys = lines.flatMap((line) => line.ys);
        const [low, high] = [ys.reduce((a, b) => Math.min(a, b), 0), ys.reduce((a, b) => Math.max(a, b), 0)];
        return (
          <LineChart
            key={role}
            title={LOG_ROLE_NAMES[role]}
            testId={`log-${role}`}
            width={760}
            height={150}
            xQuantity="timeS"
            yQuantity={LOG_ROLE_QUANTITIES[role]}
            lines={lines}
            xMax={end}
            yMin={role === 'voltage' ? Math.min(...ys) * 0.95 : ROOM * low}
            yMax={high > low ? ROOM * high : 1}
            summary={`${LOG_ROLE_NAMES[role]} over the time of the log${predicted.length > 0 ? ', with what is predicted' : ''}.`}
          />
        );
      })}
      {slip ? <SlipLines slip={slip} startS={start} endS={end} /> : null}
    </Charts>
  );
}

const MOST_SLIP_PCT = 100;

/** How much the driven wheels turned over the road, over what the slip simulator makes of a start. */
function SlipLines({
  slip: { logged, simulated },
  startS,
  endS,
}: {
  slip: SlipOfLog;
  startS: number;
  endS: number;
}) {
  const held = (values: readonly number[]) =>
    values.map((value) => Math.max(-MOST_SLIP_PCT / 4, Math.min(MOST_SLIP_PCT, value)));
  const lines: ChartLine[] = [
    { id: 'slip', label: 'logged', style: 'measured', xs: logged.tS, ys: held(logged.slipPct), labelAt: 0.6 },
    ...(simulated
      ? [
          {
            id: 'slip simulated',
            label: 'slip simulator, from rest at full throttle',
            style: 'predicted' as const,
            xs: simulated.tS.map((t) => t + startS),
            ys: held(simulated.slipPct),
            labelAt: 0.9,
          },
        ]
      : []),
  ];
  const ys = lines.flatMap((line) => line.ys);
  return (
    <LineChart
      title="Slip of the driven wheels"
      testId="log-slip"
      width={760}
      height={150}
      xQuantity="timeS"
      yQuantity="percent"
      lines={lines}
      xMax={endS}
      yMin={ROOM * ys.reduce((a, b) => Math.min(a, b), 0)}
      yMax={ROOM * ys.reduce((a, b) => Math.max(a, b), 5)}
      summary={`Slip over the time of the log${simulated ? ', with that of the slip simulator' : ''}.`}
    />
  );
}
