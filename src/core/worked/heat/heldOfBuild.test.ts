import { applyPatch } from '../../base/patch';
import { car } from '../../fixtures/car';
import { evaluateBuild } from '../../verdict/evaluate';
import { standstillOfBuild } from './heldOfBuild';

const asphalt = car.brief.surfaces[0]!;

describe('a car at rest', () => {
  it('lasts the shorter the more throttle, at the most as the check says, and for ever under the safe one', () => {
    const found = standstillOfBuild(car, asphalt);
    if (!found.ok) throw new Error(found.missing.join());
    const { held, standing } = found.value;
    const seconds = held.map(({ lastsS = Infinity }) => lastsS);
    expect(seconds).toEqual([...seconds].sort((a, b) => b - a));
    const check = evaluateBuild(car).find(({ id }) => id === 'drive.hold')!;
    expect(seconds.at(-1)).toBeCloseTo(check.value!, 9);
    for (const { throttle, lastsS } of held)
      if (throttle <= standing.safeThrottle!) expect(lastsS).toBeUndefined();
      else expect(lastsS).toBeGreaterThan(0);
  });

  it('goes no further than the throttle that the driver may give, on the slope that is wished', () => {
    const tamed = applyPatch(car, [
      { path: ['drive', 'throttleLimit'], value: 0.5 },
      { path: ['brief', 'gradePct'], value: 10 },
    ]);
    const found = standstillOfBuild(tamed, asphalt);
    expect(found.ok && found.value.held.at(-1)!.throttle).toBeCloseTo(0.5, 12);
    const angle = Math.atan(0.1);
    expect(found.ok && found.value.standing.neededN).toBeCloseTo(
      1.9 * 9.81 * (asphalt.rollingResistance * Math.cos(angle) + Math.sin(angle)),
      9,
    );
  });

  it('waits for a motor, and for air under the limits', () => {
    const none = applyPatch(car, [{ path: ['drive', 'motor'], value: undefined }]);
    expect(standstillOfBuild(none, asphalt)).toEqual({ ok: false, missing: ['drive.motor'] });
    const oven = applyPatch(car, [{ path: ['drive', 'heat'], value: { ambientC: 120 } }]);
    expect(standstillOfBuild(oven, asphalt)).toEqual({
      ok: false,
      missing: ['drive.heat.pinionJoint:underLimit'],
    });
  });
});
