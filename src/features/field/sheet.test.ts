import { parse } from '@/core/base/schema/parse';
import { runSheetSchema } from '@/core/car/records/records.schema';
import { emptyDocument } from '@/core/car/document/document';
import { timingSpeed } from '@/core/physics/timing/timingSpeed';
import { attemptOf, conditionsOf, emptySheet, type Method, missingOf, sheetOfRun } from './sheet';

const surface = { id: 'grass', name: 'Grass' };

describe('a run sheet', () => {
  it('has no conditions until surface and distance are there', () => {
    expect(conditionsOf(emptySheet('s'), undefined)).toBeUndefined();
    expect(conditionsOf({ ...emptySheet('s'), distanceM: undefined }, surface)).toBeUndefined();
  });

  it('sends what is filled in, and a run-up for a timed distance only', () => {
    const sheet = { ...emptySheet('s'), ambientC: 14, packVBefore: 8.3 };
    expect(conditionsOf(sheet, surface)).toEqual({
      surfaceId: 'grass',
      surfaceName: 'Grass',
      distanceM: 20,
      distanceErrorM: 0.02,
      runUpM: 25,
      ambientC: 14,
      packVBefore: 8.3,
    });
    expect(conditionsOf({ ...sheet, kind: 'launch' }, surface)).not.toHaveProperty('runUpM');
  });

  it('sends gates of a slalom or of a series through some, and waits for both of their figures', () => {
    const sheet = { ...emptySheet('s'), kind: 'slalom', gateSpacingM: 2, gateOffsetM: 0.25 } as const;
    const gates = { spacingM: 2, offsetM: 0.25 };
    expect(conditionsOf(sheet, surface)).toMatchObject({ gates });
    expect(conditionsOf({ ...sheet, kind: 'series' }, surface)).toMatchObject({ gates });
    expect(conditionsOf({ ...sheet, kind: 'timedDistance' }, surface)).not.toHaveProperty('gates');
    expect(missingOf({ ...sheet, gateOffsetM: undefined }, surface)).toBe('gates');
    expect(missingOf(sheet, surface)).toBe('attempt');
  });

  it.each<[Method, number, number]>([
    ['watch', 2, 2],
    ['frames', 480, 2],
    ['clip', 16, 2],
  ])('by %s makes an attempt that the timing understands', (method, reading, seconds) => {
    const attempt = attemptOf('a', { ...emptySheet('s'), method }, reading)!;
    const { id: _, ...timing } = attempt;
    expect(timingSpeed({ distanceM: 20, ...timing }).timeS).toBe(seconds);
  });

  it('waits for the frame rate or the slowdown', () => {
    expect(
      attemptOf('a', { ...emptySheet('s'), method: 'frames', captureFps: undefined }, 100),
    ).toBeUndefined();
    expect(attemptOf('a', { ...emptySheet('s'), method: 'clip', slowdown: undefined }, 10)).toBeUndefined();
  });

  it('of a run that was entered asks for the same again', () => {
    const sheet = {
      ...emptySheet('s'),
      surfaceId: 'grass',
      ambientC: 14,
      packVAfter: 7.9,
      extraMassG: 200,
      settings: [{ name: 'front toe', value: 2 }],
      attempts: [{ id: 'a', timeS: 2.4 }],
      note: 'dry',
      drivenMinutes: 6,
      copies: ['c'],
    };
    const { id, kind, attempts, note, drivenMinutes, copies } = sheet;
    const run = {
      id,
      kind,
      attempts,
      note,
      drivenMinutes,
      copies,
      conditions: conditionsOf(sheet, surface)!,
      ranAt: '2026-05-01T10:00:00.000Z',
      document: emptyDocument(),
    };
    expect(sheetOfRun(run)).toEqual({ ...sheet, ranAt: run.ranAt });
    const drop = {
      id: 'd',
      kind: 'drop' as const,
      attempts: [],
      conditions: {},
      report: { drops: [] },
      ranAt: run.ranAt,
      document: run.document,
    };
    expect(conditionsOf(sheetOfRun(drop), surface)).toEqual({});
    expect(sheetOfRun(drop).copies).toEqual([]);
  });

  it('passes the door as it is sent', () => {
    const sheet = emptySheet('s');
    const sent = {
      id: 's',
      kind: sheet.kind,
      attempts: [attemptOf('a', sheet, 2)],
      conditions: conditionsOf(sheet, surface),
      ranAt: '2026-05-01T10:00:00.000Z',
      document: emptyDocument(),
    };
    expect(parse(runSheetSchema, sent)).toEqual(sent);
  });
});
