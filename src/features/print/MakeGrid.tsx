'use client';

import type { Source } from '@/core/car/document/print';
import type { MakeLine } from '@/core/worked/print/makeList';
import type { LongColumn } from '@/ui/longTable/column';
import { LongTable } from '@/ui/longTable/LongTable';
import { GROUPS } from './MakeTable';

const COLUMNS: readonly LongColumn<MakeLine>[] = [
  { field: 'name', name: 'What', width: 180, grows: true, value: ({ name }) => name },
  { field: 'of', name: 'Kind', width: 120, value: ({ of }) => GROUPS.find(([id]) => id === of)![1] },
  { field: 'source', name: 'Source', width: 100, value: ({ source }): Source => source },
  { field: 'quantity', name: 'Number', width: 80, quantity: 'count', value: ({ quantity }) => quantity },
  { field: 'mass', name: 'Mass of one', width: 100, quantity: 'massG', value: ({ massG }) => massG },
  { field: 'price', name: 'Price of one', width: 100, quantity: 'price', value: ({ price }) => price },
  {
    field: 'together',
    name: 'Together',
    width: 100,
    quantity: 'price',
    value: ({ price, quantity }) => (price === undefined ? undefined : price * quantity),
  },
  { field: 'lead', name: 'Lead time', width: 100, quantity: 'days', value: ({ leadDays }) => leadDays },
  { field: 'spares', name: 'Spares', width: 80, quantity: 'count', value: ({ onHand }) => onHand },
];

/** The list to look through: dearest first, what takes longest, what is still to be bought. */
export const MakeGrid = ({ lines }: { lines: readonly MakeLine[] }) => (
  <LongTable
    label="Make or buy"
    testId="make-grid"
    rows={lines}
    columns={COLUMNS}
    latest="together"
    page={100}
  />
);
