import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import { GYRO_MODES, type GyroMode, USUAL_HOLD, USUAL_YAW_AID, type YawAid } from '@/core/car/document/aids';
import { Toggle, Toggles } from '@/ui/controls/Toggle';
import { QuantitySlider } from '@/ui/QuantitySlider';
import { Group } from '../../fields/fields';
import type { Aid } from './aid';

const MODE_NAMES: Readonly<Record<GyroMode, string>> = { damp: 'damps', hold: 'holds a slide' };
const MODE_NOTES: Readonly<Record<GyroMode, string>> = {
  damp: 'It steers against every turn that was not asked for.',
  hold: 'The steering asks for a yaw rate, and the gyro steers whatever it takes, out of the turn too: for slides on purpose.',
};

/** A slide is held by steering out of the turn, which takes the lock twice; a correction that was chosen stays. */
const SLIDE_CORRECTION_DEG = 45;
const correctionFor = (mode: GyroMode, now: number): number => {
  const { maxCorrectionDeg: usual } = USUAL_YAW_AID;
  if (mode === 'hold') return now === usual ? SLIDE_CORRECTION_DEG : now;
  return now === SLIDE_CORRECTION_DEG ? usual : now;
};

/** What the gyro does and how it is set. */
export function GyroSliders({ aid, inBuild, closed, set, end, putIn, takeOut }: Aid<YawAid>) {
  const slide = (key: keyof YawAid) => (value: number) => set({ [key]: value });
  const shared = { disabled: inBuild && closed, onEnd: end };
  const mode = aid.mode ?? 'damp';
  return (
    <Group
      title="Gyro"
      aside={
        closed ? undefined : inBuild ? (
          <Button variant="link" onClick={takeOut}>
            remove of the build
          </Button>
        ) : (
          <Button variant="link" onClick={putIn}>
            put into the build
          </Button>
        )
      }
    >
      <Toggles label="What the gyro does">
        {GYRO_MODES.map((one) => (
          <Toggle
            key={one}
            size="small"
            pressed={mode === one}
            disabled={shared.disabled}
            onPress={() => {
              set({ mode: one, maxCorrectionDeg: correctionFor(one, aid.maxCorrectionDeg!) });
              end();
            }}
          >
            {MODE_NAMES[one]}
          </Toggle>
        ))}
      </Toggles>
      <Typography variant="small" color="textSecondary">
        {MODE_NOTES[mode]}
      </Typography>
      <QuantitySlider
        label="Gain"
        quantity="coefficient"
        value={aid.gain!}
        min={0}
        max={0.6}
        step={0.005}
        onChange={slide('gain')}
        {...shared}
      />
      {mode === 'hold' ? (
        <>
          <QuantitySlider
            label="Yaw rate at full steering"
            quantity="rateDegPerS"
            value={aid.fullSteerDegPerS ?? USUAL_HOLD.fullSteerDegPerS}
            min={20}
            max={600}
            step={10}
            onChange={slide('fullSteerDegPerS')}
            {...shared}
          />
          <QuantitySlider
            label="Catches up in"
            quantity="millis"
            value={aid.catchUpMs ?? USUAL_HOLD.catchUpMs}
            min={20}
            max={2000}
            step={20}
            onChange={slide('catchUpMs')}
            {...shared}
          />
        </>
      ) : null}
      <QuantitySlider
        label="Dead band"
        quantity="rateDegPerS"
        value={aid.deadbandDegPerS!}
        min={0}
        max={60}
        step={1}
        onChange={slide('deadbandDegPerS')}
        {...shared}
      />
      <QuantitySlider
        label="Most correction"
        quantity="angleDeg"
        value={aid.maxCorrectionDeg!}
        min={0}
        max={mode === 'hold' ? 90 : 30}
        step={1}
        onChange={slide('maxCorrectionDeg')}
        {...shared}
      />
      <QuantitySlider
        label="Filter"
        quantity="millis"
        value={aid.lowpassMs!}
        min={0}
        max={60}
        step={1}
        onChange={slide('lowpassMs')}
        {...shared}
      />
    </Group>
  );
}
