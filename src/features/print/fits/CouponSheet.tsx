import fieldsCss from '@/ui/fields.module.css';
import Box from '@mui/material/Box';
import Typography from '@mui/material/Typography';
import { Select } from '@/ui/controls/Select';
import { Note } from '@/ui/controls/Note';
import { type KeyboardEvent, useEffect, useRef, useState } from 'react';
import type { CouponReading, ReadCoupon } from '@/core/car/library/kinds/coupon';
import type { LibraryItem } from '@/core/car/library/kinds';
import { formatNumber } from '@/core/base/units/formatQuantity';
import { QuantityField } from '@/ui/QuantityField';
import { useReader } from '@/ui/reader';
import { Charts } from '../../frame/Guarded';

const NAMES = { hole: 'Holes, inside jaws', peg: 'Pegs, outside jaws' } as const;
const SAVE_MS = 500;
/** A reading that is further off than this is a slip of the finger, mm. */
const PLAUSIBLE_MM = 1.5;

/** A sheet for a caliper and a keyboard: one field after the other by Enter, and for the gaps whether the disc turns. */
export function CouponSheet({
  coupon,
  onChange,
}: {
  coupon: LibraryItem<'coupon'>;
  onChange(data: ReadCoupon): void;
}) {
  const { reader } = useReader();
  const [data, setData] = useState(coupon.data);
  const form = useRef<HTMLDivElement>(null);
  const send = useRef(onChange);
  useEffect(() => {
    send.current = onChange;
  });
  const first = useRef(data);
  useEffect(() => {
    if (data === first.current) return;
    const timer = setTimeout(() => send.current(data), SAVE_MS);
    return () => clearTimeout(timer);
  }, [data]);
  const onward = (event: KeyboardEvent) => {
    if (event.key !== 'Enter') return;
    event.preventDefault();
    const fields = [...(form.current?.querySelectorAll<HTMLElement>('input, [data-stop]') ?? [])];
    fields[fields.indexOf(event.target as HTMLElement) + 1]?.focus();
  };
  const read = (id: string, measuredMm: number | undefined) =>
    setData((all) => ({
      ...all,
      samples: all.samples.map((one) => (one.id === id ? { ...one, measuredMm } : one)),
    }));
  const freed = (id: string, value: boolean | undefined) =>
    setData((all) => ({
      ...all,
      gaps: all.gaps.map((one) => (one.id === id ? { ...one, freed: value } : one)),
    }));
  const odd = data.samples.filter(
    ({ nominalMm, measuredMm }) =>
      measuredMm !== undefined && Math.abs(measuredMm - nominalMm) > PLAUSIBLE_MM,
  );
  const number = (value: number) => formatNumber(value, reader.locale, 3);
  const column = (kind: CouponReading['kind']) => (
    <Box component="section" sx={{ flex: '1 1 200px', maxWidth: 250 }} aria-label={NAMES[kind]}>
      <Typography component="p" variant="label">
        <span>{NAMES[kind]}</span>
      </Typography>
      {data.samples
        .filter((one) => one.kind === kind)
        .map(({ id, nominalMm, measuredMm }) => (
          <QuantityField
            key={id}
            label={`drawn ${number(nominalMm)}`}
            quantity="lengthMm"
            limits={{ above: 0, to: 500 }}
            value={measuredMm}
            onChange={(value) => read(id, value)}
          />
        ))}
    </Box>
  );
  return (
    <Box sx={{ mt: 2 }} ref={form} onKeyDown={onward} role="group" aria-label="Reading sheet">
      <Typography component="p" variant="heading">
        What the caliper shows
      </Typography>
      <Charts sx={{ mt: 4 }}>
        {column('hole')}
        {column('peg')}
        <Box component="section" sx={{ flex: '1 1 220px', maxWidth: 270 }} aria-label="Captive discs">
          <Typography component="p" variant="label">
            <span>Captive discs: does it turn with a key?</span>
          </Typography>
          {data.gaps.map(({ id, gapMm, freed: state }) => (
            <div key={id} className={fieldsCss.field}>
              <label htmlFor={id}>gap {number(gapMm)} mm</label>
              <Select
                id={id}
                data-stop
                value={state === undefined ? '' : state ? 'yes' : 'no'}
                onChange={(event) =>
                  freed(id, event.target.value === '' ? undefined : event.target.value === 'yes')
                }
              >
                <option value="">not tried</option>
                <option value="yes">turns</option>
                <option value="no">fused</option>
              </Select>
            </div>
          ))}
        </Box>
      </Charts>
      {odd.length > 0 ? (
        <Note role="status">
          {odd
            .map(
              ({ kind, nominalMm, measuredMm }) =>
                `The ${kind} drawn ${number(nominalMm)} reads ${number(measuredMm!)}`,
            )
            .join('; ')}
          : more than {PLAUSIBLE_MM} mm off, read it again.
        </Note>
      ) : null}
    </Box>
  );
}
