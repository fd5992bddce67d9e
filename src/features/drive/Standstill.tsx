'use client';

import Typography from '@mui/material/Typography';
import { formatText } from '@/core/base/units/formatQuantity';
import type { StandstillOfBuild } from '@/core/worked/heat/heldOfBuild';
import { LineChart } from '@/ui/charts/LineChart';
import { dimmedWhen } from '@/ui/layout/dimmedWhen';
import { useReader } from '@/ui/reader';
import { FORCE_WORDS, heldSentence, remedyWords, standstillSentence } from '@/words/driving/standstill';
import { workerOf } from '@/workers/clients';
import { Charts } from '../frame/Guarded';
import { useBuild } from '../session/BuildContext';
import { useWorked } from '../session/useWorked';
import standstillCss from './standstill.module.css';
import { Refusal } from '../fields/Refusal';

/** Longer nobody holds a motor, s. */
const LONGEST_S = 60;
/** A moment in which one notices, s. */
const NOTICED_S = 5;

/** Pull against need against grip at rest, and how long the motor lasts when it is held. */
export function Standstill() {
  const { document, surface } = useBuild();
  const { reader } = useReader();
  const found = useWorked(surface ? () => workerOf('drive').standstill(document, surface) : undefined, [
    document,
    surface,
  ]);
  if (!found.value?.ok) return <Refusal of={found} />;
  const { value } = found.value;
  const { standing, held } = value;
  const remedies = remedyWords(value, reader);
  const shown = held.flatMap(({ throttle, lastsS }) => (lastsS === undefined ? [] : [{ throttle, lastsS }]));
  return (
    <section aria-label="From a standstill">
      <Typography variant="heading" sx={{ mt: 2 }}>
        From a standstill
      </Typography>
      <Typography data-testid="standstill">{standstillSentence(value, reader)}</Typography>
      {remedies.length > 0 ? (
        <Typography data-testid="standstill-remedies">
          Each of these alone would move it: {remedies.join(', ')}.
        </Typography>
      ) : null}
      <Charts sx={{ ...dimmedWhen(found.stale), mt: 1 }}>
        <ForceBars standing={standing} />
        {shown.length > 1 ? (
          <LineChart
            title="A motor that is held"
            testId="held-chart"
            width={448}
            height={220}
            xQuantity="share"
            xName="throttle"
            yQuantity="timeS"
            yName="lasts"
            xMax={Math.max(...held.map(({ throttle }) => throttle))}
            yMax={Math.min(LONGEST_S, 1.1 * shown[0]!.lastsS)}
            floor={{ y: NOTICED_S, label: 'too short to notice' }}
            lines={[
              {
                id: 'lasts',
                label: 'until it is too hot',
                style: 'predicted',
                xs: shown.map(({ throttle }) => throttle),
                ys: shown.map(({ lastsS }) => lastsS),
                labelAt: 0.5,
              },
            ]}
            uprights={
              standing.safeThrottle === undefined
                ? []
                : [
                    {
                      x: standing.safeThrottle,
                      label: `${formatText(standing.safeThrottle, 'share', reader, 2)}, for ever`,
                    },
                  ]
            }
            summary={heldSentence(value, reader)}
          />
        ) : null}
      </Charts>
      <Typography variant="note">{heldSentence(value, reader)}</Typography>
    </section>
  );
}

/** Three forces at the tread to one scale. */
function ForceBars({ standing }: Pick<StandstillOfBuild, 'standing'>) {
  const { reader } = useReader();
  const forces = [
    { key: 'needed', value: Math.max(0, standing.neededN) },
    { key: 'drive', value: Math.max(0, standing.driveN) },
    { key: 'grip', value: Math.max(0, standing.gripN) },
  ] as const;
  const most = Math.max(...forces.map(({ value }) => value), 1e-9);
  return (
    <div className={standstillCss.bars} data-outcome={standing.outcome}>
      {forces.map(({ key, value }) => (
        <div key={key} className={standstillCss.row}>
          <span>{FORCE_WORDS[key]}</span>
          <span className={standstillCss.track}>
            <span
              className={standstillCss.bar}
              data-short={key !== 'needed' && value <= standing.neededN}
              data-of={key}
              style={{ width: `${(100 * value) / most}%` }}
            />
            <span className={standstillCss.need} style={{ left: `${(100 * forces[0].value) / most}%` }} />
          </span>
          <b>{formatText(value, 'forceN', reader, 3)}</b>
        </div>
      ))}
    </div>
  );
}
