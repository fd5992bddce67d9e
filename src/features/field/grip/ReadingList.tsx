import Button from '@mui/material/Button';
import { type ReactNode, useState } from 'react';
import type { QuantityName } from '@/core/base/units/quantities';
import type { Reading } from '@/core/car/records/gripReport';
import { formatText } from '@/core/base/units/formatQuantity';
import { IconAct } from '@/ui/controls/IconAct';
import fieldsCss from '@/ui/fields.module.css';
import { QuantityField } from '@/ui/QuantityField';
import { useReader } from '@/ui/reader';
import { fresh } from '../sheets/Tried';

interface ReadingListProps {
  label: string;
  quantity: QuantityName;
  example: number;
  readings: readonly Reading[];
  onChange(readings: Reading[]): void;
  /** What else can give the reading, beside its field. */
  take?: (onTake: (value: number) => void) => ReactNode;
}

/** The same read several times: each is added and can be taken out again. */
export function ReadingList({ label, quantity, example, readings, onChange, take }: ReadingListProps) {
  const { reader } = useReader();
  const [value, setValue] = useState<number>();
  return (
    <>
      <QuantityField
        label={label}
        quantity={quantity}
        limits={{ above: 0, to: 10_000 }}
        example={example}
        value={value}
        onChange={setValue}
      />
      {take?.(setValue)}
      <Button
        disabled={value === undefined}
        onClick={() => {
          onChange([...readings, { id: fresh('reading'), value: value! }]);
          setValue(undefined);
        }}
      >
        Add the reading
      </Button>
      {readings.map((one, at) => (
        <div key={one.id} className={fieldsCss.field}>
          <span>Reading {at + 1}</span>
          <span>
            <b>{formatText(one.value, quantity, reader, 3)}</b>{' '}
            <IconAct
              icon="takeOut"
              label={`Take reading ${at + 1} out`}
              onClick={() => onChange(readings.filter(({ id }) => id !== one.id))}
            />
          </span>
        </div>
      ))}
    </>
  );
}
