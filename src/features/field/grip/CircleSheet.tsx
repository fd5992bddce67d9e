import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import { useState } from 'react';
import type { ChosenSurface } from '@/core/car/document/brief';
import type { DrivenCircle } from '@/core/car/records/gripReport';
import { refusedOr } from '@/core/base/errors';
import { circleOf, predictedUndersteer } from '@/core/worked/grip/handlingOfRuns';
import { formatText } from '@/core/base/units/formatQuantity';
import { IconAct } from '@/ui/controls/IconAct';
import { Note } from '@/ui/controls/Note';
import fieldsCss from '@/ui/fields.module.css';
import { QuantityField } from '@/ui/QuantityField';
import { useReader } from '@/ui/reader';
import { circleSentence } from '@/words/bench/gripWords';
import { say } from '@/words/findings';
import '@/words/later/bringIn';
import { refusalText } from '@/words/refusals/problemOf';
import { useBuild } from '../../session/BuildContext';
import { fresh, type SheetProps } from '../sheets/Tried';

type Begun = Partial<Omit<DrivenCircle, 'id'>>;

/** Circles at several speeds with the steering that each took: understeer, against what was expected beforehand. */
export function CircleSheet({
  report,
  onChange,
  surface,
}: SheetProps & { surface: ChosenSurface | undefined }) {
  const { document } = useBuild();
  const { reader } = useReader();
  const circle = report.circle ?? {};
  const { circles = [] } = circle;
  const [begun, begin] = useState<Begun>({});
  const { radiusM, lapTimeS, steerDeg } = begun;
  const whole = radiusM !== undefined && lapTimeS !== undefined && steerDeg !== undefined;
  const set = (next: DrivenCircle[]) => {
    const first = next[0];
    const speed = first ? (2 * Math.PI * first.radiusM) / first.lapTimeS : undefined;
    const predicted =
      circle.predictedDegPerMps2 ??
      (speed === undefined ? undefined : predictedUndersteer(document, surface, speed));
    onChange({
      circle: { circles: next, ...(predicted === undefined ? {} : { predictedDegPerMps2: predicted }) },
    });
  };
  const found = refusedOr(() => circleOf(document, surface, circle));
  return (
    <>
      <Note>Open ground, nobody inside or near the circle. Local rules go first.</Note>
      <Typography>
        Drive the same circle slowly, then faster, and note the angle of the front wheels that each speed
        takes: read the steering off the transmitter and measure the wheels once for it.
      </Typography>
      <QuantityField
        label="Radius of the car’s middle"
        quantity="distanceM"
        limits={{ above: 0, to: 1000 }}
        example={3}
        value={radiusM}
        onChange={(next) => begin({ ...begun, radiusM: next })}
      />
      <QuantityField
        label="One lap"
        quantity="timeS"
        limits={{ above: 0, to: 3600 }}
        example={6.3}
        value={lapTimeS}
        onChange={(next) => begin({ ...begun, lapTimeS: next })}
      />
      <QuantityField
        label="Front wheels, into the turn"
        quantity="angleDeg"
        limits={{ from: -90, to: 90 }}
        example={5.8}
        value={steerDeg}
        onChange={(next) => begin({ ...begun, steerDeg: next })}
      />
      <Button
        disabled={!whole}
        onClick={() => {
          set([
            ...circles,
            { id: fresh('circle'), radiusM: radiusM!, lapTimeS: lapTimeS!, steerDeg: steerDeg! },
          ]);
          begin({ radiusM });
        }}
      >
        Add the circle
      </Button>
      {circles.map((one, at) => (
        <div key={one.id} className={fieldsCss.field}>
          <span>
            {at + 1}. {formatText(one.radiusM, 'distanceM', reader, 3)}
          </span>
          <span>
            <b>{formatText(one.lapTimeS, 'timeS', reader, 3)}</b>,{' '}
            {formatText(one.steerDeg, 'angleDeg', reader, 3)}{' '}
            <IconAct
              icon="takeOut"
              label={`Take circle ${at + 1} out`}
              onClick={() => set(circles.filter(({ id }) => id !== one.id))}
            />
          </span>
        </div>
      ))}
      {'refused' in found ? (
        <Note tone="bad" role="alert">
          {refusalText(found.refused, reader)}.
        </Note>
      ) : found.value.ok ? (
        <>
          <Typography data-testid="circle-found">{circleSentence(found.value.value, reader)}</Typography>
          {found.value.value.findings.map(({ about, why }) => (
            <Note key={about}>{say(why, reader)}</Note>
          ))}
        </>
      ) : null}
    </>
  );
}
