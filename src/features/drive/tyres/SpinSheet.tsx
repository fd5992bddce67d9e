'use client';

import Typography from '@mui/material/Typography';
import { Note } from '@/ui/controls/Note';
import fieldsCss from '@/ui/fields.module.css';
import Box from '@mui/material/Box';
import { Select } from '@/ui/controls/Select';
import { useState } from 'react';
import { TYRE_KINDS, type TyreKind, tyreSpin } from '@/core/physics/tyres/tyreSpin';
import { formatNumber, formatText } from '@/core/base/units/formatQuantity';
import { QuantityField } from '@/ui/QuantityField';
import { useReader } from '@/ui/reader';
import { Group } from '../../fields/fields';
import { say } from '@/words/findings';

const RINGS = TYRE_KINDS.filter((kind): kind is Exclude<TyreKind, 'own'> => kind !== 'own');

/** A wheel spun up on its own: turns and diameter in, speed and margin out. */
export function SpinSheet({
  radiusMm,
  kind: ownKind,
  rpm: ownRpm,
}: {
  radiusMm: number | undefined;
  kind: TyreKind | undefined;
  rpm: number | undefined;
}) {
  const { reader } = useReader();
  const [diameter, setDiameter] = useState<number>();
  const [rpm, setRpm] = useState<number>();
  const [kind, setKind] = useState<Exclude<TyreKind, 'own'>>();
  const ring = kind ?? (ownKind && ownKind !== 'own' ? ownKind : 'solid rubber');
  const usualDiameter = radiusMm === undefined ? 80 : 2 * radiusMm;
  const usualRpm = Math.round((ownRpm ?? 2000) / 10) * 10;
  const spin = tyreSpin({ kind: ring, radiusMm: (diameter ?? usualDiameter) / 2, rpm: rpm ?? usualRpm });
  return (
    <Box sx={{ width: 350 }}>
      <Group title="Spin sheet">
        <QuantityField
          label="Wheel turns"
          quantity="rpm"
          value={rpm}
          usual={usualRpm}
          digits={5}
          limits={{ from: 0, to: 200_000 }}
          onChange={setRpm}
        />
        <QuantityField
          label="Diameter at rest"
          quantity="lengthMm"
          value={diameter}
          usual={usualDiameter}
          limits={{ above: 0, to: 2000 }}
          onChange={setDiameter}
        />
        <div className={fieldsCss.field}>
          <label htmlFor="spin-kind">Built as</label>
          <Select
            id="spin-kind"
            value={ring}
            onChange={(event) => setKind(event.target.value as Exclude<TyreKind, 'own'>)}
          >
            {RINGS.map((one) => (
              <option key={one} value={one}>
                {one}
              </option>
            ))}
          </Select>
        </div>
        <Box component="p" sx={{ mt: 0.75 }} data-testid="spin-answer">
          {spin.runsAway ? (
            <Typography variant="strong" color="error">
              At this speed it grows without end.
            </Typography>
          ) : (
            <>
              The tread runs <b>{formatText(spin.vehicleSpeedMps!, 'speedMps', reader)}</b>, grown by{' '}
              {formatNumber(spin.growthPct!, reader.locale, 2)} %; margin{' '}
              <b>{spin.margin === undefined ? '—' : formatNumber(spin.margin, reader.locale, 3)}</b>, it{' '}
              {spin.endsBy === 'burst' ? 'bursts' : 'runs away'} at{' '}
              {formatText(Math.round(spin.limitRpm / 10) * 10, 'rpm', reader, 5)}.
            </>
          )}
        </Box>
        <Note tone={spin.caution ? 'bad' : 'caution'} {...(spin.caution ? { role: 'alert' } : {})}>
          {spin.caution
            ? say(spin.caution, reader)
            : 'Remote, behind a shield, nobody in the plane of the wheel, whatever the margin says.'}
        </Note>
      </Group>
    </Box>
  );
}
