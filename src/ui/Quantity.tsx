'use client';

import Typography from '@mui/material/Typography';
import { formatQuantity } from '@/core/base/units/formatQuantity';
import type { QuantityName } from '@/core/base/units/quantities';
import { useReader } from './reader';

/** A value in the reader's units, the unit thin-spaced in quiet ink. */
export function Quantity({
  value,
  quantity,
  digits,
}: {
  value: number;
  quantity: QuantityName;
  digits?: number;
}) {
  const { reader } = useReader();
  const { number, unit } = formatQuantity(value, quantity, reader, digits);
  return (
    <>
      {number}
      {unit === '' ? null : <Typography variant="unit">{unit}</Typography>}
    </>
  );
}
