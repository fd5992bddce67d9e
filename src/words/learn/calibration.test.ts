import type { CalibrateResult, FittedFigure } from '@/core/worked/field/calibrate';
import { askedRunWords, bandSources, calibrationNotes, figureName } from './calibration';

const metric = { locale: 'en-GB', units: 'metric' } as const;
const plainly = (text: string) => text.replace(/\s/g, ' ');
const figure = (more: Partial<FittedFigure>): FittedFigure => ({
  knob: 'grip',
  factor: 0.9,
  error: 0.05,
  beforeError: 0.1,
  ...more,
});
const result = (more: Partial<CalibrateResult>): CalibrateResult => ({
  figures: [figure({})],
  untold: [],
  correlations: [],
  runs: [{ id: 'r', measuredS: 2, measuredErrorS: 0.1, beforeS: 2, afterS: 2 }],
  rmsBefore: 1,
  rmsAfter: 0.5,
  scatter: 1,
  ...more,
});
const names = (id: string) => ({ grass: 'Mown grass' })[id];

describe('words of a calibration', () => {
  it('name a figure by its surface where there are several', () => {
    expect(figureName({ knob: 'grip', surfaceId: 'grass' }, names)).toBe('grip of the tyres on mown grass');
    expect(figureName({ knob: 'grip', surfaceId: 'grass' }, () => undefined)).toBe('grip of the tyres');
  });

  it('say what stays as it is known, what moves together and what scatters', () => {
    const notes = calibrationNotes(
      result({
        figures: [figure({}), figure({ knob: 'motor' })],
        untold: [figure({ knob: 'drag', factor: 1, beforeError: 0.1 })],
        correlations: [{ a: 0, b: 1, correlation: -0.8 }],
        scatter: 2,
      }),
      () => undefined,
      metric,
    ).map(plainly);
    expect(notes).toEqual([
      'Not told by these runs, and left as it is: the drag area (±10 %).',
      'The grip of the tyres and the motor constant move against each other in these runs (-0.8): their errors are larger than if the other were known.',
      'The runs scatter more than their own errors say, so the errors here are taken that much larger.',
    ]);
    expect(calibrationNotes(result({ runs: [], figures: [] }), () => undefined, metric)[0]).toMatch(
      /^One timed run/,
    );
    expect(calibrationNotes(result({ figures: [] }), () => undefined, metric)[0]).toMatch(
      /tell no figure better/,
    );
  });

  it('ask for a run in the reader’s units', () => {
    const asked = { run: 'shortLaunch', of: { knob: 'grip' }, error: 0.043 } as const;
    expect(plainly(askedRunWords(asked, () => undefined, metric))).toBe(
      'To know the grip of the tyres better, drive a launch from rest over 5 m, three times: it would then be known to ±4.3 %.',
    );
    expect(plainly(askedRunWords(asked, () => undefined, { locale: 'en-US', units: 'imperial' }))).toContain(
      '16.4 ft',
    );
  });

  it('name what makes most of two bands, once where it is the same', () => {
    expect(bandSources('motor', 'grip')).toHaveLength(2);
    expect(bandSources('motor', 'motor')).toEqual(['its spread comes most from the motor constant']);
    expect(bandSources(undefined, undefined)).toEqual([]);
  });
});
