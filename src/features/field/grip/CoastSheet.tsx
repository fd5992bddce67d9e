import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import { useId, useState } from 'react';
import type { ChosenSurface } from '@/core/car/document/brief';
import type { CoastSheet as Measured } from '@/core/car/records/gripReport';
import type { Direction } from '@/core/physics/handling/straight';
import { refusedOr } from '@/core/base/errors';
import { unitOf } from '@/core/base/units/quantities';
import { coastOf, pastedReadings } from '@/core/worked/grip/coastOfRuns';
import { formatText } from '@/core/base/units/formatQuantity';
import { IconAct } from '@/ui/controls/IconAct';
import { Note } from '@/ui/controls/Note';
import { TextArea } from '@/ui/controls/TextInput';
import { Toggle, Toggles } from '@/ui/controls/Toggle';
import fieldsCss from '@/ui/fields.module.css';
import { useReader } from '@/ui/reader';
import { coastSentence } from '@/words/bench/gripWords';
import { counted } from '@/words/lists';
import { say } from '@/words/findings';
import '@/words/later/bringIn';
import { refusalText } from '@/words/refusals/problemOf';
import { useBuild } from '../../session/BuildContext';
import { fresh, type SheetProps } from '../sheets/Tried';

/** The car let roll from speed, out and back: drag told from rolling resistance, wind and slope. */
export function CoastSheet({ report, onChange }: SheetProps & { surface: ChosenSurface | undefined }) {
  const { document } = useBuild();
  const { reader } = useReader();
  const id = useId();
  const coast = report.coast ?? {};
  const { rolls = [] } = coast;
  const [text, setText] = useState('');
  const [direction, setDirection] = useState<Direction>('out');
  const unit = unitOf('speedMps', reader.units);
  const pasted = text.trim() === '' ? undefined : pastedReadings(text, unit.scale);
  const set = (part: Partial<Measured>) => onChange({ coast: { ...coast, ...part } });
  const found = refusedOr(() => coastOf(document, coast));
  return (
    <>
      <Note>Closed ground and room to roll out; nobody in line with the car. Local rules go first.</Note>
      <Typography>
        Bring it to speed, let the throttle go to neutral with the drag brake off, and log time and speed
        until it is slow. Roll out both ways: wind and slope then tell themselves from the car.
      </Typography>
      <Toggles label="Driven">
        {(['out', 'back'] as const).map((one) => (
          <Toggle key={one} size="small" pressed={one === direction} onPress={() => setDirection(one)}>
            {one}
          </Toggle>
        ))}
      </Toggles>
      <div>
        <Typography component="label" variant="label" htmlFor={id}>
          Time in s and speed in {unit.symbol}, a line each
        </Typography>
        <TextArea
          id={id}
          rows={5}
          maxLength={40_000}
          placeholder={'0  32.1\n0.5  30.4\n1  28.9'}
          value={text}
          onChange={(event) => setText(event.target.value)}
        />
      </div>
      {text.trim() !== '' && !pasted ? (
        <Note tone="bad" role="alert">
          Each line is a time and a speed, two lines at least: 0.5 30.4
        </Note>
      ) : null}
      <Button
        disabled={!pasted}
        onClick={() => {
          set({ rolls: [...rolls, { id: fresh('roll'), direction, readings: pasted! }] });
          setText('');
        }}
      >
        Add the roll-out
      </Button>
      {rolls.map((roll, at) => (
        <div key={roll.id} className={fieldsCss.field}>
          <span>
            {at + 1}. {roll.direction ?? 'out'}
          </span>
          <span>
            <b>
              {formatText(roll.readings[0]!.speedMps, 'speedMps', reader)} to{' '}
              {formatText(roll.readings.at(-1)!.speedMps, 'speedMps', reader)}
            </b>
            , {counted(roll.readings.length, 'reading')}{' '}
            <IconAct
              icon="takeOut"
              label={`Take roll-out ${at + 1} out`}
              onClick={() => set({ rolls: rolls.filter(({ id: one }) => one !== roll.id) })}
            />
          </span>
        </div>
      ))}
      {rolls.length === 0 ? null : 'refused' in found ? (
        <Note tone="bad" role="alert">
          The roll-outs {refusalText(found.refused, reader)}.
        </Note>
      ) : found.value.ok ? (
        <>
          <Typography data-testid="coast-found">{coastSentence(found.value.value, reader)}</Typography>
          {[...found.value.value.findings.map(({ why }) => why), ...found.value.value.notes].map((why) => (
            <Note key={`${why.code} ${JSON.stringify(why.facts)}`}>{say(why, reader)}</Note>
          ))}
        </>
      ) : null}
    </>
  );
}
