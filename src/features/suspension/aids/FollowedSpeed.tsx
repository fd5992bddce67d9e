import { formatText } from '@/core/base/units/formatQuantity';
import { GRAVITY } from '@/core/base/constants';
import { QuantitySlider } from '@/ui/QuantitySlider';
import { useReader } from '@/ui/reader';

const MOST_MPS2 = 20;

/** Where all wheels are driven none tells the ground's speed: by what gain the controller follows the car instead. */
export function FollowedSpeed({
  value,
  mu,
  disabled,
  onChange,
  onEnd,
}: {
  value: number;
  /** Friction of the tyres on the surface. */
  mu: number;
  disabled: boolean;
  onChange(value: number): void;
  onEnd(): void;
}) {
  const { reader } = useReader();
  const given = mu * GRAVITY;
  const said = formatText(given, 'accelMps2', reader, 2);
  return (
    <QuantitySlider
      label="Most gain of speed"
      quantity="accelMps2"
      value={value}
      min={0.5}
      max={MOST_MPS2}
      step={0.1}
      disabled={disabled}
      onChange={onChange}
      onEnd={onEnd}
      mark={{ value: Math.min(MOST_MPS2, given), label: 'what the tyres give' }}
      effect={
        value > given
          ? `Over the ${said} that the tyres give: wheels that spin go unnoticed.`
          : `No wheel runs free: the car is taken to gain what its wheels do, but no more than this. The tyres give ${said}.`
      }
    />
  );
}
