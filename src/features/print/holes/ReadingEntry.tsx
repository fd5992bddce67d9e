'use client';

import { Row } from '@/ui/layout/Row';
import Box from '@mui/material/Box';
import Typography from '@mui/material/Typography';
import { SheetForm } from '@/ui/controls/SheetForm';
import { Select } from '@/ui/controls/Select';
import Button from '@mui/material/Button';
import { useEffect, useRef, useState } from 'react';
import type { HolePattern } from '@/core/car/document/print';
import { READING_KINDS, type ReadingKind } from '@/core/physics/printing/holes/definition';
import type { NextReading } from '@/core/physics/printing/holes/pattern';
import { formatText } from '@/core/base/units/formatQuantity';
import { QuantityField } from '@/ui/QuantityField';
import { useReader } from '@/ui/reader';
import { newId } from '../../api';
import { useBuild } from '../../session/BuildContext';

export const JAWS: Readonly<Record<ReadingKind, string>> = {
  outside: 'outside, over both holes’ far edges',
  inside: 'inside, between their near edges',
  centres: 'between centres',
};

/** One reading after the other, by keyboard alone: the next pair is chosen, the field is ready, Enter notes it. */
export function ReadingEntry({
  pattern: { id, holes, readings },
  next,
  foretold,
}: {
  pattern: HolePattern;
  next: { from: string; to: string } | undefined;
  foretold: NextReading | undefined;
}) {
  const { edit } = useBuild();
  const { reader } = useReader();
  // the pair that is proposed stands until a figure is typed for it
  const [pair, setPair] = useState<{ from: string; to: string }>();
  const { from, to } = pair ?? next ?? { from: holes[0]!.id, to: holes[1]!.id };
  const [kind, setKind] = useState<ReadingKind>(readings.at(-1)?.kind ?? 'outside');
  const [valueMm, setValue] = useState<number>();
  const form = useRef<HTMLFormElement>(null);
  const fresh = readings.length > 0;
  useEffect(() => {
    if (fresh) form.current?.querySelector<HTMLInputElement>('input')?.focus();
  }, [fresh]);
  const ready = valueMm !== undefined && from !== to;
  const note = () => {
    if (ready)
      edit([
        {
          path: ['print', 'patterns', id, 'readings'],
          value: [...readings, { id: `read-${newId().slice(0, 8)}`, from, to, kind, valueMm }],
        },
      ]);
  };
  const holeSelect = (label: string, value: string, set: (value: string) => void) => (
    <Select aria-label={label} value={value} onChange={(event) => set(event.target.value)}>
      {holes.map((hole) => (
        <option key={hole.id}>{hole.id}</option>
      ))}
    </Select>
  );
  return (
    <SheetForm label="Next reading" maxWidth={640} ref={form} onSubmit={() => note()}>
      <Row>
        From {holeSelect('From hole', from, (hole) => setPair({ from: hole, to }))} to{' '}
        {holeSelect('To hole', to, (hole) => setPair({ from, to: hole }))}
        <Select
          aria-label="Jaws"
          value={kind}
          onChange={(event) => setKind(event.target.value as ReadingKind)}
        >
          {READING_KINDS.map((one) => (
            <option key={one} value={one}>
              {JAWS[one]}
            </option>
          ))}
        </Select>
      </Row>
      <Row sx={{ flexWrap: 'nowrap' }}>
        <Box sx={{ flex: 1 }}>
          <QuantityField
            label={`${from} to ${to} reads`}
            quantity="lengthMm"
            limits={{ above: 0, to: 5000 }}
            value={valueMm}
            digits={5}
            onChange={(value) => {
              setPair({ from, to });
              setValue(value);
            }}
          />
        </Box>
        <Button variant="contained" type="submit" disabled={!ready}>
          Note it
        </Button>
      </Row>
      {foretold ? (
        <Typography variant="small" color="textSecondary" data-testid="next-reading">
          {foretold.from} to {foretold.to} would help most:{' '}
          {foretold.looseLeft !== undefined
            ? foretold.looseLeft === 0
              ? 'nothing would be loose any more'
              : `${foretold.looseLeft} would still be loose`
            : `every hole known to ±${formatText(foretold.largestErrorMm!, 'lengthMm', reader, 2)}`}
          .
        </Typography>
      ) : null}
    </SheetForm>
  );
}
