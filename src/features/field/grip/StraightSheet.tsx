import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import { useState } from 'react';
import type { ChosenSurface } from '@/core/car/document/brief';
import { type StraightSheet as Measured, USUAL_STRAIGHT_M } from '@/core/car/records/gripReport';
import type { Direction } from '@/core/physics/handling/straight';
import { refusedOr } from '@/core/base/errors';
import { straightOf } from '@/core/worked/grip/handlingOfRuns';
import { formatText } from '@/core/base/units/formatQuantity';
import { IconAct } from '@/ui/controls/IconAct';
import { Note } from '@/ui/controls/Note';
import { Toggle, Toggles } from '@/ui/controls/Toggle';
import fieldsCss from '@/ui/fields.module.css';
import { QuantityField } from '@/ui/QuantityField';
import { useReader } from '@/ui/reader';
import { straightSentence } from '@/words/bench/gripWords';
import '@/words/later/bringIn';
import { refusalText } from '@/words/refusals/problemOf';
import { useBuild } from '../../session/BuildContext';
import { fresh, type SheetProps } from '../sheets/Tried';

/** How far the car drifts off a line, the steering left alone, out and back. */
export function StraightSheet({
  report,
  onChange,
  surface,
}: SheetProps & { surface: ChosenSurface | undefined }) {
  const { document } = useBuild();
  const { reader } = useReader();
  const straight = report.straight ?? {};
  const { distanceM = USUAL_STRAIGHT_M, drifts = [] } = straight;
  const [driftM, setDrift] = useState<number>();
  const [direction, setDirection] = useState<Direction>('out');
  const set = (part: Partial<Measured>) => onChange({ straight: { ...straight, ...part } });
  const found = refusedOr(() => straightOf(document, surface, straight));
  return (
    <>
      <Note>
        Closed ground, somebody at its end who catches the car, nobody beside its line. Half the speed first.
        Local rules go first.
      </Note>
      <Typography>
        Aim along a line, leave the steering alone, and measure how far beside the line it passes the end.
        Drive it back the same way: slope and wind then tell themselves from the car.
      </Typography>
      <QuantityField
        label="Along the line"
        quantity="distanceM"
        limits={{ above: 0, to: 10_000 }}
        usual={USUAL_STRAIGHT_M}
        value={straight.distanceM}
        onChange={(next) => set({ distanceM: next })}
      />
      <QuantityField
        label="Driven at"
        quantity="speedMps"
        limits={{ from: 0, to: 150 }}
        example={5}
        value={straight.speedMps}
        onChange={(speedMps) => set({ speedMps })}
      />
      <Toggles label="Driven">
        {(['out', 'back'] as const).map((one) => (
          <Toggle key={one} size="small" pressed={one === direction} onPress={() => setDirection(one)}>
            {one}
          </Toggle>
        ))}
      </Toggles>
      <QuantityField
        label="Drift, to the car’s left positive"
        quantity="distanceM"
        limits={{ from: -1000, to: 1000 }}
        example={-0.3}
        value={driftM}
        onChange={setDrift}
      />
      <Button
        disabled={driftM === undefined}
        onClick={() => {
          set({ drifts: [...drifts, { id: fresh('drift'), driftM: driftM!, direction }] });
          setDrift(undefined);
        }}
      >
        Add the drift
      </Button>
      {drifts.map((one, at) => (
        <div key={one.id} className={fieldsCss.field}>
          <span>
            {at + 1}. {one.direction ?? 'out'}
          </span>
          <span>
            <b>{formatText(Math.abs(one.driftM), 'distanceM', reader, 2)}</b>{' '}
            {one.driftM < 0 ? 'right' : 'left'}{' '}
            <IconAct
              icon="takeOut"
              label={`Take drift ${at + 1} out`}
              onClick={() => set({ drifts: drifts.filter(({ id }) => id !== one.id) })}
            />
          </span>
        </div>
      ))}
      {'refused' in found ? (
        <Note tone="bad" role="alert">
          {refusalText(found.refused, reader)}.
        </Note>
      ) : found.value.ok ? (
        <Typography data-testid="straight-found">
          {straightSentence(found.value.value, distanceM, reader)}
        </Typography>
      ) : null}
    </>
  );
}
