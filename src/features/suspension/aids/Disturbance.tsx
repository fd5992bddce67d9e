import type { YawScenario } from '@/core/physics/aids/yawDefinition';
import { Toggle, Toggles } from '@/ui/controls/Toggle';
import { QuantitySlider } from '@/ui/QuantitySlider';
import { Group } from '../../fields/fields';

type Kind = YawScenario['kind'];

/** What upsets the car, each kind with its own size. */
export interface Upset {
  kind: Kind;
  kickDegPerS: number;
  stepDeg: number;
  /** A little where not given. */
  slideDeg?: number;
  rearGripShare: number;
}

export const USUAL_UPSET: Upset = {
  kind: 'kick',
  kickDegPerS: 90,
  stepDeg: 4,
  rearGripShare: 0.6,
};

const NAMES: Readonly<Record<Kind, string>> = {
  kick: 'a kick',
  step: 'a turn of the wheel',
  slide: 'a slide',
};
const KINDS = Object.keys(NAMES) as Kind[];
const SLIDE_S = 4;
const USUAL_SLIDE_DEG = 2;

/** What is tried; a slide with a little steering, where none is given. */
export function scenarioOf({
  kind,
  kickDegPerS,
  stepDeg,
  slideDeg = USUAL_SLIDE_DEG,
  rearGripShare,
}: Upset): {
  scenario: YawScenario;
  durationS?: number;
} {
  if (kind === 'kick') return { scenario: { kind, yawRateDegPerS: kickDegPerS } };
  if (kind === 'step') return { scenario: { kind, steerDeg: stepDeg } };
  return { scenario: { kind, steerDeg: slideDeg, rearGripShare }, durationS: SLIDE_S };
}

export function Disturbance({
  upset,
  speedMps,
  top,
  onUpset,
  onSpeed,
  onEnd,
}: {
  upset: Upset;
  speedMps: number;
  top: number;
  onUpset(upset: Upset): void;
  onSpeed(speedMps: number): void;
  onEnd(): void;
}) {
  const slider = (
    key: Exclude<keyof Upset, 'kind'>,
    label: string,
    quantity: 'rateDegPerS' | 'angleDeg' | 'share',
    [min, max, step]: readonly [number, number, number],
  ) => (
    <QuantitySlider
      key={key}
      label={label}
      quantity={quantity}
      value={upset[key] ?? USUAL_SLIDE_DEG}
      min={min}
      max={max}
      step={step}
      onChange={(value) => onUpset({ ...upset, [key]: value })}
      onEnd={onEnd}
    />
  );
  return (
    <Group
      title="What upsets it"
      aside={
        <Toggles label="Disturbance">
          {KINDS.map((kind) => (
            <Toggle
              key={kind}
              size="small"
              pressed={upset.kind === kind}
              onPress={() => onUpset({ ...upset, kind })}
            >
              {NAMES[kind]}
            </Toggle>
          ))}
        </Toggles>
      }
    >
      <QuantitySlider
        label="Speed"
        quantity="speedMps"
        value={speedMps}
        min={1}
        max={Math.ceil(1.3 * top)}
        step={0.1}
        onChange={onSpeed}
        onEnd={onEnd}
        mark={{ value: top, label: 'top speed' }}
      />
      {upset.kind === 'kick' ? slider('kickDegPerS', 'Kicked round by', 'rateDegPerS', [10, 360, 10]) : null}
      {upset.kind === 'step' ? slider('stepDeg', 'Turned by', 'angleDeg', [0.5, 20, 0.5]) : null}
      {upset.kind === 'slide' ? (
        <>
          {slider('slideDeg', 'Driver steers', 'angleDeg', [0.5, 30, 0.5])}
          {slider('rearGripShare', 'Grip left behind', 'share', [0.1, 1, 0.05])}
        </>
      ) : null}
    </Group>
  );
}
