'use client';

import fieldsCss from '@/ui/fields.module.css';
import { AdapterDayjs } from '@mui/x-date-pickers/AdapterDayjs';
import { DateTimePicker } from '@mui/x-date-pickers/DateTimePicker';
import { LocalizationProvider } from '@mui/x-date-pickers/LocalizationProvider';
import dayjs from 'dayjs';

interface RanAtFieldProps {
  /** ISO 8601; left open it is the moment at which the run is saved. */
  value: string | undefined;
  onChange(value: string | undefined): void;
}

/** When a run was driven, where it is written down later. */
export function RanAtField({ value, onChange }: RanAtFieldProps) {
  return (
    <div className={fieldsCss.field}>
      <LocalizationProvider dateAdapter={AdapterDayjs}>
        <DateTimePicker
          label="Driven at, if not now"
          ampm={false}
          disableFuture
          format="YYYY-MM-DD HH:mm"
          value={value === undefined ? null : dayjs(value)}
          onChange={(moment) => {
            if (!moment) onChange(undefined);
            else if (moment.isValid()) onChange(moment.toISOString());
          }}
          slotProps={{ field: { clearable: true }, textField: { size: 'small', fullWidth: true } }}
        />
      </LocalizationProvider>
    </div>
  );
}
