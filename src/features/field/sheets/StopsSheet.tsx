import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import { useState } from 'react';
import type { ChosenSurface } from '@/core/car/document/brief';
import { formatText } from '@/core/base/units/formatQuantity';
import { stopFrom } from '@/core/worked/place/placeOfBuild';
import { IconAct } from '@/ui/controls/IconAct';
import { Note } from '@/ui/controls/Note';
import fieldsCss from '@/ui/fields.module.css';
import { QuantityField } from '@/ui/QuantityField';
import { useReader } from '@/ui/reader';
import { stopWords } from '@/words/learn/reportWords';
import { useBuild } from '../../session/BuildContext';
import { fresh, type SheetProps } from './Tried';

/** Stops from a speed: the way from where the brake was called for to where it stands. */
export function StopsSheet({
  report,
  onChange,
  surface,
}: SheetProps & { surface: ChosenSurface | undefined }) {
  const { document } = useBuild();
  const { reader } = useReader();
  const [fromMps, setFrom] = useState<number>();
  const [distanceM, setDistance] = useState<number>();
  const stops = report.stops ?? [];
  const predictedM = fromMps === undefined ? undefined : stopFrom(document, surface, fromMps);
  const m = (value: number) => formatText(value, 'distanceM', reader, 3);
  return (
    <>
      <Note>Open ground, nobody in line with the car. Try half the speed first. Local rules go first.</Note>
      <QuantityField
        label="Braked from"
        quantity="speedMps"
        limits={{ above: 0, to: 150 }}
        example={6}
        value={fromMps}
        onChange={setFrom}
      />
      <QuantityField
        label="Stood after"
        quantity="distanceM"
        limits={{ above: 0, to: 10_000 }}
        example={6.5}
        value={distanceM}
        onChange={setDistance}
      />
      {predictedM === undefined ? null : <Typography variant="note">Predicted {m(predictedM)}.</Typography>}
      <Button
        disabled={fromMps === undefined || distanceM === undefined}
        onClick={() => {
          onChange({
            stops: [
              ...stops,
              {
                id: fresh('stop'),
                fromMps: fromMps!,
                distanceM: distanceM!,
                ...(predictedM === undefined ? {} : { predictedM }),
              },
            ],
          });
          setDistance(undefined);
        }}
      >
        Add the stop
      </Button>
      {stops.map((stop, at) => (
        <div key={stop.id} className={fieldsCss.field}>
          <span>From {formatText(stop.fromMps, 'speedMps', reader, 3)}</span>
          <span>
            <b>{m(stop.distanceM)}</b>
            {stop.predictedM === undefined ? '' : `, predicted ${m(stop.predictedM)}`}{' '}
            <IconAct
              icon="takeOut"
              label={`Take stop ${at + 1} out`}
              onClick={() => onChange({ stops: stops.filter(({ id }) => id !== stop.id) })}
            />
          </span>
        </div>
      ))}
      <Typography variant="note" data-testid="stops-said">
        {stopWords(report, reader).filter(Boolean).join(', ')}
      </Typography>
    </>
  );
}
