import { applyPatch } from '../../base/patch';
import { CalcError } from '../../base/errors';
import { car } from '../../fixtures/car';
import { calibrateBuild, heatOf, tryWhatIfs } from './heatOf';

const surface = car.brief.surfaces[0]!;
const peakOf = (document: typeof car) => {
  const found = heatOf(document, surface);
  if (!found.ok) throw new Error(found.missing.join());
  return found.value.pack.peakCaseC;
};
const withReadings = (...readings: readonly (readonly [number, number])[]) =>
  applyPatch(car, [
    {
      path: ['drive', 'heat', 'readings'],
      value: readings.map(([minutes, caseC], index) => ({ id: `r${index}`, minutes, caseC })),
    },
  ]);

describe('what-ifs of heat', () => {
  it('come to what the build comes to when they are taken', () => {
    const tried = tryWhatIfs(car, surface);
    expect(tried.map(({ id }) => id)).toEqual([
      'sink',
      'fan',
      'body',
      'duct',
      'slower',
      'faster',
      'cells-less',
    ]);
    for (const { patch, peakCaseC } of tried) expect(peakCaseC).toBe(peakOf(applyPatch(car, patch)));
    expect(tried[0]!.peakCaseC).toBeLessThan(peakOf(car));
  });

  it('offer a cell more only where motor and controller bear it', () => {
    const strong = applyPatch(car, [{ path: ['drive', 'motor', 'maxV'], value: 12.6 }]);
    expect(tryWhatIfs(strong, surface).map(({ is }) => is)).toContainEqual({
      what: 'cells',
      cells: 3,
      now: 2,
    });
    expect(
      tryWhatIfs(applyPatch(strong, [{ path: ['power', 'controller', 'maxV'], value: 8.5 }]), surface).map(
        ({ is }) => is,
      ),
    ).not.toContainEqual({ what: 'cells', cells: 3, now: 2 });
  });
});

describe('readings of a build', () => {
  it('move the prediction onto what was measured, and leave it there when they are used again', () => {
    const found = heatOf(car, surface);
    if (!found.ok) throw new Error(found.missing.join());
    const { series } = found.value.pack;
    const at = series.tS.findIndex((t) => t > 900);
    const hotter = withReadings([series.tS[at]! / 60, series.caseC[at]! + 12]);
    const calibrated = calibrateBuild(hotter, surface);
    if (!calibrated.ok) throw new Error(calibrated.missing.join());
    const { notes, ...calibration } = calibrated.value;
    expect(notes).toEqual([]);
    const after = applyPatch(hotter, [{ path: ['drive', 'heat', 'calibration'], value: calibration }]);
    const again = heatOf(after, surface);
    if (!again.ok) throw new Error(again.missing.join());
    const near = again.value.pack.series.tS.findIndex((t) => t > 900);
    expect(again.value.pack.series.caseC[near]!).toBeCloseTo(series.caseC[at]! + 12, 0);
    const second = calibrateBuild(after, surface);
    expect(second.ok && second.value.factor).toBeCloseTo(calibration.factor, 4);
  });

  it('are asked for where there is none', () => {
    expect(() => calibrateBuild(car, surface)).toThrow(CalcError);
  });
});
