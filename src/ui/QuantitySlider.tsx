'use client';

import fieldsCss from '@/ui/fields.module.css';
import Typography from '@mui/material/Typography';
import Button from '@mui/material/Button';
import Slider from '@mui/material/Slider';
import { useId } from 'react';
import { formatText } from '@/core/base/units/formatQuantity';
import type { QuantityName } from '@/core/base/units/quantities';
import { useReader } from './reader';
import { useArrowSteps } from './useArrowSteps';

interface QuantitySliderProps {
  label: string;
  quantity: QuantityName;
  value: number;
  min: number;
  max: number;
  step: number;
  disabled?: boolean;
  /** What it does, under the slider. */
  effect?: string;
  /** A place worth knowing. */
  mark?: { value: number; label: string };
  onChange(value: number): void;
  onEnd?(): void;
}

/** A value that is explored; one drag is one step back. */
export function QuantitySlider({
  label,
  quantity,
  value,
  min,
  max,
  step,
  disabled,
  effect,
  mark,
  onChange,
  onEnd,
}: QuantitySliderProps) {
  'use memo';
  const { reader } = useReader();
  const id = useId();
  const arrowSteps = useArrowSteps(onEnd);
  return (
    <div className={fieldsCss.slider}>
      <label htmlFor={id}>{label}</label>
      <output htmlFor={id}>{formatText(value, quantity, reader)}</output>
      <Slider
        sx={{ gridColumn: '1 / -1' }}
        min={min}
        max={max}
        step={step}
        value={value}
        disabled={disabled}
        onChange={(_, next) => onChange(next as number)}
        onChangeCommitted={(event) => {
          if (!event.type.startsWith('key') && event.type !== 'change') onEnd?.();
        }}
        getAriaValueText={(shown) => `${formatText(shown, quantity, reader)}${effect ? `. ${effect}` : ''}`}
        slotProps={{ input: { id, onBlur: onEnd, onKeyDown: arrowSteps } }}
      />
      {mark ? (
        <Button
          variant="link"
          className="slidermark"
          disabled={disabled}
          onClick={() => {
            onChange(mark.value);
            onEnd?.();
          }}
        >
          {mark.label}
        </Button>
      ) : null}
      {effect ? <Typography color="textSecondary">{effect}</Typography> : null}
    </div>
  );
}
