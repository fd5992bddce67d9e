import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import { useState } from 'react';
import { Controller } from 'react-hook-form';
import type { PrintRecord } from '@/core/car/records/prints';
import { SheetForm } from '@/ui/controls/SheetForm';
import { TextInput } from '@/ui/controls/TextInput';
import fieldsCss from '@/ui/fields.module.css';
import { Row } from '@/ui/layout/Row';
import { QuantityField } from '@/ui/QuantityField';
import { useSheet } from '../fields/useSheet';

const S_PER_MIN = 60;
const MS_PER_MIN = 60_000;

interface Typed {
  minutes?: number | undefined;
  massG?: number | undefined;
  why: string;
}

/** How a print ended: the copies come from it, and its time corrects the next estimate. */
export function PrintEnd({ print, onDone }: { print: PrintRecord; onDone(print: PrintRecord): void }) {
  const [now] = useState(() => Date.now());
  const elapsed = print.startedAt
    ? Math.max(1, Math.round((now - Date.parse(print.startedAt)) / MS_PER_MIN))
    : undefined;
  const ended = ({ minutes, massG, why }: Typed): PrintRecord => ({
    ...print,
    state: 'finished',
    endedAt: new Date().toISOString(),
    ...(minutes === undefined ? {} : { actualS: minutes * S_PER_MIN }),
    ...(massG === undefined ? {} : { massG }),
    ...(why.trim() === '' ? {} : { why: why.trim() }),
  });
  const { control, handleSubmit, watch, forget } = useSheet<Typed>({
    schema: () =>
      import('@/core/car/records/log.schema').then(({ printRecordSchema }) => printRecordSchema.unknown()),
    empty: { why: '' },
    toSend: ended,
    keptAs: `print:${print.id}`,
  });
  const send = (state: 'finished' | 'failed') =>
    handleSubmit((typed) => {
      forget();
      const { why: _, massG: __, ...whole } = ended(typed);
      onDone(
        state === 'failed'
          ? { ...whole, state, why: typed.why.trim() }
          : { ...whole, ...(typed.massG === undefined ? {} : { massG: typed.massG }) },
      );
    });
  return (
    <SheetForm label="How the print ended" maxWidth={520} onSubmit={(event) => void send('finished')(event)}>
      <Controller
        name="minutes"
        control={control}
        render={({ field }) => (
          <QuantityField
            label="It took"
            quantity="minutes"
            limits={{ above: 0, to: 20_000 }}
            value={field.value}
            {...(elapsed === undefined ? {} : { example: elapsed })}
            onChange={field.onChange}
          />
        )}
      />
      <Controller
        name="massG"
        control={control}
        render={({ field }) => (
          <QuantityField
            label="The plate weighs"
            quantity="massG"
            limits={{ above: 0, to: 100_000 }}
            value={field.value}
            onChange={field.onChange}
          />
        )}
      />
      <Row sx={{ mt: 0.75 }}>
        <Button variant="contained" type="submit">
          Finished: {print.items.length === 1 ? 'one copy' : `${print.items.length} copies`}
        </Button>
      </Row>
      <Box className={fieldsCss.textField} sx={{ mt: 1 }}>
        <label htmlFor="why-failed">Why it failed</label>
        <Controller
          name="why"
          control={control}
          render={({ field }) => (
            <TextInput id="why-failed" {...field} maxLength={500} placeholder="e.g. came off the bed" />
          )}
        />
      </Box>
      <Row sx={{ mt: 0.75 }}>
        <Button disabled={watch('why').trim() === ''} onClick={() => void send('failed')()}>
          It failed
        </Button>
      </Row>
    </SheetForm>
  );
}
