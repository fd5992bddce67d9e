'use client';

import fieldsCss from '@/ui/fields.module.css';
import Box from '@mui/material/Box';
import Typography from '@mui/material/Typography';
import { Row } from '@/ui/layout/Row';
import { IconAct } from '@/ui/controls/IconAct';
import Button from '@mui/material/Button';
import { Note } from '@/ui/controls/Note';
import { Select } from '@/ui/controls/Select';
import { useState } from 'react';
import { extruded } from '@/core/physics/solid/extrude';
import { meshOf } from '@/core/physics/solid/shapes';
import { writeStl } from '@/core/physics/meshFiles/writeStl';
import { type Own, ownFigures, stripStressMpa, type StripTest } from '@/core/car/material/strips';
import { formatNumber, formatText } from '@/core/base/units/formatQuantity';
import { QuantityField } from '@/ui/QuantityField';
import { useReader } from '@/ui/reader';
import { newId } from '../api';
import { handOver } from '../session/handOver';

/** Of the strip as it is handed out, mm: long, wide, thick. */
const [LONG, WIDE, THICK, SPAN] = [90, 10, 4, 64] as const;
type Draft = Omit<StripTest, 'id' | 'breakN'> & { breakN?: number };
const START: Draft = { how: 'bent', layers: 'along', widthMm: WIDE, thicknessMm: THICK, spanMm: SPAN };

/** Strips of one material that were broken: they take the place of the typical strengths. */
export function StripLog({
  strips,
  onChange,
}: {
  strips: readonly StripTest[];
  onChange(strips: StripTest[]): void;
}) {
  const { reader } = useReader();
  const [draft, setDraft] = useState<Draft>(START);
  const own = ownFigures(strips);
  const set = (next: Partial<Draft>) => setDraft((before) => ({ ...before, ...next }));
  const { how, layers, widthMm, thicknessMm, spanMm, breakN } = draft;
  const whole = breakN !== undefined && breakN > 0 && (how === 'pulled' || spanMm !== undefined);
  const add = () => {
    if (!whole) return;
    onChange([
      ...strips,
      {
        id: `strip-${newId().slice(0, 8)}`,
        how,
        layers,
        widthMm,
        thicknessMm,
        ...(how === 'bent' ? { spanMm: spanMm! } : {}),
        breakN,
      },
    ]);
    set({ breakN: undefined });
  };
  const strip = (standing: boolean) =>
    handOver(
      `test-strip-${standing ? 'standing' : 'lying'}.stl`,
      'model/stl',
      new Uint8Array(
        writeStl(
          meshOf(
            standing
              ? extruded(
                  [
                    [0, 0],
                    [WIDE, 0],
                    [WIDE, THICK],
                    [0, THICK],
                  ],
                  [],
                  0,
                  LONG,
                )
              : extruded(
                  [
                    [0, 0],
                    [LONG, 0],
                    [LONG, WIDE],
                    [0, WIDE],
                  ],
                  [],
                  0,
                  THICK,
                ),
          ),
        ),
      ),
    );
  const mean = ({ mean: value, spread, count }: Own) =>
    `${formatText(value, 'stressMpa', reader)}${spread === undefined ? '' : ` ± ${formatNumber(spread, reader.locale, 2)}`} from ${count}`;
  return (
    <Box component="section" sx={{ mt: 1.25 }} aria-label="Test strips">
      <Typography component="p" variant="label">
        Test strips of your own
      </Typography>
      <Typography variant="small" color="textSecondary">
        Print one lying (layers along it) and one standing (layers across it), break them over two supports or
        by pulling, and note the load: weigh what hangs from it, 1 kg is 9.81 N. Glasses on: strips break
        suddenly.
      </Typography>
      <Row sx={{ m: '6px 0' }}>
        <Button onClick={() => strip(false)}>Lying strip, STL</Button>
        <Button onClick={() => strip(true)}>Standing strip, STL</Button>
      </Row>
      {strips.map((one, index) => (
        <Row key={one.id} className={fieldsCss.supplyitem} sx={{ flexWrap: 'nowrap' }}>
          <Box component="span" sx={{ flex: 1 }}>
            {one.how} {one.layers} its layers, {formatNumber(one.widthMm, reader.locale, 3)} ×{' '}
            {formatText(one.thicknessMm, 'lengthMm', reader)}: {formatText(one.breakN, 'forceN', reader)},{' '}
            {formatText(stripStressMpa(one)!, 'stressMpa', reader)}
          </Box>
          <IconAct
            icon="takeOut"
            label={`Take strip ${index + 1} out`}
            onClick={() => onChange(strips.filter(({ id }) => id !== one.id))}
          />
        </Row>
      ))}
      {own.along || own.across ? (
        <Note tone="ok" data-testid="own-figures">
          {own.along ? `Along the layers ${mean(own.along)}. ` : ''}
          {own.across ? `Between them ${mean(own.across)}. ` : ''}Builds take these in place of the typical
          figures.
        </Note>
      ) : null}
      <div className={fieldsCss.field}>
        <label htmlFor="strip-how">Broken by</label>
        <Select
          id="strip-how"
          value={how}
          onChange={(event) =>
            set(
              event.target.value === 'bent'
                ? { how: 'bent', spanMm: SPAN }
                : { how: 'pulled', spanMm: undefined },
            )
          }
        >
          <option value="bent">bending over two supports</option>
          <option value="pulled">pulling</option>
        </Select>
      </div>
      <div className={fieldsCss.field}>
        <label htmlFor="strip-layers">Layers</label>
        <Select
          id="strip-layers"
          value={layers}
          onChange={(event) => set({ layers: event.target.value as StripTest['layers'] })}
        >
          <option value="along">along it (lying)</option>
          <option value="across">across it (standing)</option>
        </Select>
      </div>
      <QuantityField
        label="Strip width"
        quantity="lengthMm"
        limits={{ above: 0, to: 500 }}
        value={widthMm}
        onChange={(value) => set({ widthMm: value ?? WIDE })}
      />
      <QuantityField
        label="Strip thickness"
        quantity="lengthMm"
        limits={{ above: 0, to: 500 }}
        value={thicknessMm}
        onChange={(value) => set({ thicknessMm: value ?? THICK })}
      />
      {how === 'bent' ? (
        <QuantityField
          label="Between the supports"
          quantity="lengthMm"
          limits={{ above: 0, to: 2000 }}
          value={spanMm}
          onChange={(value) => set({ spanMm: value })}
        />
      ) : null}
      <QuantityField
        label="Load at break"
        quantity="forceN"
        limits={{ above: 0, to: 1e6 }}
        value={breakN}
        onChange={(value) => set({ breakN: value })}
      />
      <Button disabled={!whole} onClick={add}>
        Note the strip
      </Button>
    </Box>
  );
}
