import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import { useState } from 'react';
import { CalcError } from '@/core/base/errors';
import type { ChosenSurface } from '@/core/car/document/brief';
import { formatText } from '@/core/base/units/formatQuantity';
import { lapTimesOf } from '@/core/worked/field/report';
import { lapOf } from '@/core/worked/place/lapOfBuild';
import { IconAct } from '@/ui/controls/IconAct';
import { Note } from '@/ui/controls/Note';
import fieldsCss from '@/ui/fields.module.css';
import { QuantityField } from '@/ui/QuantityField';
import { useReader } from '@/ui/reader';
import { lapWords } from '@/words/learn/reportWords';
import { useBuild } from '../../session/BuildContext';
import { Stopwatch } from '../Stopwatch';
import type { SheetProps } from './Tried';

/** Laps one after the other, by one button that never stops the watch. */
export function LapsSheet({
  report,
  onChange,
  surface,
}: SheetProps & { surface: ChosenSurface | undefined }) {
  const { document } = useBuild();
  const { reader } = useReader();
  const [typed, setTyped] = useState<number>();
  const laps = report.laps ?? [];
  const outliers = lapTimesOf(report)?.outliers ?? [];
  const add = (seconds: number) => {
    const lapPredictedS = predictedS(document, surface);
    onChange({ laps: [...laps, seconds], ...(lapPredictedS === undefined ? {} : { lapPredictedS }) });
  };
  return (
    <>
      <Note>Nobody stands inside a bend or at its outside edge. Local rules go first.</Note>
      <Stopwatch again="Lap" onTime={add} />
      <QuantityField
        label="Or typed"
        quantity="timeS"
        limits={{ above: 0, to: 3600 }}
        example={15.2}
        value={typed}
        onChange={setTyped}
        after={
          <Button
            disabled={typed === undefined}
            onClick={() => {
              add(typed!);
              setTyped(undefined);
            }}
          >
            Add
          </Button>
        }
      />
      {laps.map((seconds, at) => (
        <div key={at} className={fieldsCss.field}>
          <span>
            Lap {at + 1}
            {outliers.includes(at) ? ', stands out' : ''}
          </span>
          <span>
            <b>{formatText(seconds, 'timeS', reader, 4)}</b>{' '}
            <IconAct
              icon="takeOut"
              label={`Take lap ${at + 1} out`}
              onClick={() => onChange({ laps: laps.filter((_, other) => other !== at) })}
            />
          </span>
        </div>
      ))}
      <Typography variant="note" data-testid="laps-said">
        {lapWords(report, reader).filter(Boolean).join(', ')}
      </Typography>
    </>
  );
}

/** Of the build's own lap; none where it has none. */
function predictedS(...of: Parameters<typeof lapOf>): number | undefined {
  try {
    const found = lapOf(...of);
    return found.ok ? found.value.lap.lapTimeS : undefined;
  } catch (error) {
    if (error instanceof CalcError) return undefined;
    throw error;
  }
}
