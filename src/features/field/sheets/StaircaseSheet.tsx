import fieldsCss from '@/ui/fields.module.css';
import sheetsCss from '@/features/field/sheets/sheets.module.css';
import Box from '@mui/material/Box';
import Typography from '@mui/material/Typography';
import { Row } from '@/ui/layout/Row';
import { IconAct } from '@/ui/controls/IconAct';
import { Note } from '@/ui/controls/Note';
import { Tick } from '@/ui/controls/Tick';
import { TextInput } from '@/ui/controls/TextInput';
import { Toggle, Toggles } from '@/ui/controls/Toggle';
import Button from '@mui/material/Button';
import { useState } from 'react';
import { blowEnergyJ } from '@/core/physics/bench/blow';
import {
  BLOW_WAYS,
  type ClampedBlow,
  type ClampedVariant,
  type MeasuredBlows,
} from '@/core/car/records/benchReport';
import { blowOf, clampedBlows, settingFor } from '@/core/worked/bench/clampedBlows';
import { formatText } from '@/core/base/units/formatQuantity';
import { QuantityField } from '@/ui/QuantityField';
import { useReader } from '@/ui/reader';
import { BLOW_WAY_WORDS } from '@/words/bench/blowWords';
import { useBuild } from '../../session/BuildContext';
import { Instruments, TakeReading } from '../instruments/Instruments';
import { fresh, type SheetProps } from './Tried';

const FIRST_J = 1;
const SETTINGS = {
  drop: { label: 'Falls from', quantity: 'lengthMm', to: 100_000 },
  swing: { label: 'Swings from, off hanging', quantity: 'angleDeg', to: 180 },
  energy: { label: 'Energy of the blow', quantity: 'energyJ', to: 1e6 },
} as const;

const inGrams = (kg: number | undefined) => (kg === undefined ? undefined : 1000 * kg);
const inKilograms = (g: number | undefined) => (g === undefined ? undefined : g / 1000);

/** Clamped copies hit up and down: the next blow is said, its outcome tapped. */
export function StaircaseSheet({ report, onChange }: SheetProps) {
  const { document } = useBuild();
  const blows = report.blows ?? {};
  const { way = 'drop', variants = [] } = blows;
  const [chosen, choose] = useState<string>();
  const active = variants.find(({ id }) => id === chosen) ?? variants.at(-1);
  const set = (change: Partial<MeasuredBlows>) =>
    onChange({
      blows: Object.fromEntries(
        Object.entries({ ...blows, ...change }).filter(([, value]) => value !== undefined),
      ),
    });
  const change = (next: ClampedVariant) =>
    set({ variants: variants.map((one) => (one.id === next.id ? next : one)) });
  return (
    <>
      <Note>
        Glasses on, fingers away: a part that comes loose flies, and a swung hammer comes back. Clamp it as it
        sits on the car.
      </Note>
      <Toggles label="How it is hit">
        {BLOW_WAYS.map((one) => (
          <Toggle key={one} pressed={one === way} onPress={() => set({ way: one })}>
            {BLOW_WAY_WORDS[one]}
          </Toggle>
        ))}
      </Toggles>
      {way === 'drop' ? (
        <QuantityField
          label="Falling mass"
          quantity="massG"
          limits={{ above: 0, to: 1_000_000 }}
          example={500}
          value={inGrams(blows.dropMassKg)}
          onChange={(massG) => set({ dropMassKg: inKilograms(massG) })}
        />
      ) : null}
      {way === 'swing' ? (
        <>
          <QuantityField
            label="Hammer, weighed"
            quantity="massG"
            limits={{ above: 0, to: 1_000_000 }}
            example={300}
            value={inGrams(blows.hammerKg)}
            onChange={(massG) => set({ hammerKg: inKilograms(massG) })}
          />
          <QuantityField
            label="Pivot to its centre of mass"
            quantity="lengthMm"
            limits={{ above: 0, to: 10_000 }}
            example={250}
            value={blows.armMm}
            onChange={(armMm) => set({ armMm })}
          />
        </>
      ) : null}
      {way === 'energy' ? null : (
        <Instruments kind="scale">
          {(device) => (
            <TakeReading
              device={device}
              field="g"
              onTake={(massG) =>
                set(way === 'swing' ? { hammerKg: massG / 1000 } : { dropMassKg: massG / 1000 })
              }
            />
          )}
        </Instruments>
      )}
      {variants.length > 1 ? (
        <Toggles label="What is clamped">
          {variants.map(({ id, name }) => (
            <Toggle key={id} pressed={id === active?.id} onPress={() => choose(id)}>
              {name}
            </Toggle>
          ))}
        </Toggles>
      ) : null}
      {active ? <Hit key={active.id} blows={blows} variant={active} onChange={change} /> : null}
      <NewVariant
        parts={document.parts.items}
        taken={variants.map(({ name }) => name)}
        onClamp={(variant) => {
          choose(variant.id);
          set({ variants: [...variants, variant] });
        }}
      />
      <QuantityField
        label="Share of the car behind the part"
        quantity="share"
        limits={{ above: 0, to: 1 }}
        value={blows.massShare}
        usual={1}
        onChange={(massShare) => set({ massShare })}
      />
    </>
  );
}

function Hit({
  blows,
  variant,
  onChange,
}: {
  blows: MeasuredBlows;
  variant: ClampedVariant;
  onChange(variant: ClampedVariant): void;
}) {
  const { document, surface } = useBuild();
  const { reader } = useReader();
  const { way = 'drop' } = blows;
  const { label, quantity, to } = SETTINGS[way];
  const told = clampedBlows(document, surface, [
    { id: 'sheet', report: { blows: { ...blows, variants: [variant] } } },
  ]);
  const nextJ = told?.ok ? told.result.variants[0]!.nextJ : FIRST_J;
  const usual = settingFor(blows, nextJ);
  const [setting, setSetting] = useState<number>();
  const [bentMm, setBent] = useState<number>();
  const [again, setAgain] = useState(false);
  const last = variant.blows.at(-1);
  const at = setting ?? usual;
  const next = at === undefined ? undefined : blowOf(blows, at);
  const note = (broke: boolean) => {
    if (!next) return;
    const part = again && last && !last.broke ? last.part : `copy ${copiesIn(variant) + 1}`;
    onChange({
      ...variant,
      blows: [
        ...variant.blows,
        { id: fresh('blow'), ...next, broke, part, ...(bentMm === undefined ? {} : { bentMm }) },
      ],
    });
    setSetting(undefined);
    setBent(undefined);
    setAgain(false);
  };
  return (
    <Box component="section" sx={{ mt: 1 }} aria-label={variant.name}>
      <b>{variant.name}</b>
      {variant.blows.map((blow) => (
        <div key={blow.id} className={fieldsCss.field}>
          <span>
            {formatText(blowEnergyJ(blow, 'blow'), 'energyJ', reader, 3)}, {blow.part}
          </span>
          <Typography variant="reading">
            {blow.broke ? 'broke' : 'held'}
            {blow.bentMm ? `, bent ${formatText(blow.bentMm, 'lengthMm', reader, 2)}` : ''}{' '}
            <IconAct
              icon="takeOut"
              label="Take this blow out"
              onClick={() =>
                onChange({ ...variant, blows: variant.blows.filter(({ id }) => id !== blow.id) })
              }
            />
          </Typography>
        </div>
      ))}
      <Typography data-testid="next-blow">
        Next: <b>{formatText(nextJ, 'energyJ', reader, 3)}</b>
        {usual === undefined || way === 'energy'
          ? ''
          : `, ${label.toLowerCase()} ${formatText(usual, quantity, reader, 3)}`}
        .
      </Typography>
      <QuantityField
        key={variant.blows.length}
        label={label}
        quantity={quantity}
        limits={{ above: 0, to }}
        value={setting}
        {...(usual === undefined ? {} : { usual: Number(usual.toPrecision(3)) })}
        onChange={setSetting}
      />
      <QuantityField
        label="Bent for good by"
        quantity="lengthMm"
        limits={{ from: 0, to: 1000 }}
        value={bentMm}
        onChange={setBent}
      />
      {last && !last.broke ? (
        <Row as="label">
          <Tick checked={again} onChange={(event) => setAgain(event.target.checked)} /> on the same copy again
        </Row>
      ) : null}
      <Box className={sheetsCss.counter} sx={{ mt: 1 }}>
        <Button variant="go" disabled={!next} onClick={() => note(false)}>
          It held
        </Button>
        <Button variant="stop" disabled={!next} onClick={() => note(true)}>
          It broke
        </Button>
      </Box>
      {next ? null : (
        <Typography variant="small" color="textSecondary">
          {way === 'drop'
            ? 'Weigh the falling mass first.'
            : 'Weigh the hammer and measure its arm first; no swing gives more than straight up.'}
        </Typography>
      )}
    </Box>
  );
}

const copiesIn = ({ blows }: { blows: readonly ClampedBlow[] }): number =>
  new Set(blows.map(({ part }) => part)).size;

function NewVariant({
  parts,
  taken,
  onClamp,
}: {
  parts: readonly { id: string; name: string }[];
  taken: readonly string[];
  onClamp(variant: ClampedVariant): void;
}) {
  const [name, setName] = useState('');
  const called = name.trim();
  const part = parts.find((one) => one.name === called);
  return (
    <Row
      as="form"
      sx={{ mt: 1, flexWrap: 'nowrap' }}
      onSubmit={(event) => {
        event.preventDefault();
        if (called === '' || taken.includes(called)) return;
        onClamp({ id: fresh('variant'), name: called, ...(part ? { partId: part.id } : {}), blows: [] });
        setName('');
      }}
    >
      <TextInput
        boxed
        sx={{ flex: 1, minWidth: 0 }}
        aria-label="Part or variant to clamp"
        list="clamped-parts"
        placeholder="a part, or a variant of it"
        maxLength={80}
        value={name}
        onChange={(event) => setName(event.target.value)}
      />
      <datalist id="clamped-parts">
        {parts.map((one) => (
          <option key={one.id} value={one.name} />
        ))}
      </datalist>
      <Button type="submit" disabled={called === '' || taken.includes(called)}>
        Clamp it
      </Button>
    </Row>
  );
}
