import { applyPatch } from '../../base/patch';
import { car } from '../../fixtures/car';
import { aidSettings, constantsText, slipSettings, yawSettings } from './aidSettings';

describe('settings of the aids', () => {
  it('are those that the build has, usual figures among them', () => {
    expect(aidSettings(car)).toEqual([]);
    const gyro = applyPatch(car, [
      { path: ['suspension', 'aids', 'yaw'], value: { gain: 0.18, servoLagMs: 25 } },
    ]);
    expect(aidSettings(gyro)).toEqual(yawSettings({ gain: 0.18, servoLagMs: 25 }));
    expect(yawSettings({ gain: 0.18 })).toContainEqual({
      name: 'gyro gain',
      value: 0.18,
      unit: 'deg per deg/s',
    });
    expect(slipSettings({}).map(({ name }) => name)).not.toContain('slip release');
    const held = (mode: 'damp' | 'hold') =>
      yawSettings({ mode, fullSteerDegPerS: 90 }).find(({ name }) => name === 'gyro rate at full steering');
    expect(held('damp')).toBeUndefined();
    expect(held('hold')?.value).toBe(90);
  });

  it('go out as constants with their units', () => {
    const text = constantsText('Hare D', [
      { name: 'gyro gain', value: 0.18, unit: 'deg per deg/s' },
      { name: 'gyro dead band', value: 4, unit: 'deg/s' },
    ]);
    expect(text.split('\n')).toEqual([
      '# Hare D',
      'GYRO_GAIN      = 0.18  # deg per deg/s',
      'GYRO_DEAD_BAND = 4  # deg/s',
      '',
    ]);
  });
});
