import { parse } from '../../base/schema/parse';
import { failureSheetSchema } from '../../car/records/records.schema';
import type { DamagedPart } from '../../car/records/benchReport';
import type { MakeLine } from '../print/makeList';
import { failuresOfCrash, packQuarantine, untilItRuns } from './crash';

const part = (name: string, came: DamagedPart['came']): DamagedPart => ({
  partId: name.toLowerCase(),
  name,
  mode: 'crack',
  came,
});

describe('a crash', () => {
  it('is noted with its first cause before what followed, each failure once however often it is entered', () => {
    const run = {
      id: 'run-1',
      ranAt: '2026-05-01T10:00:00.000Z',
      report: {
        hit: 'a post',
        speedMps: 7,
        crash: { damaged: [part('Link', 'after'), part('Bumper', 'first'), part('Arm', 'after')] },
      },
    };
    const told = failuresOfCrash(run, (one, first) => `${one.name} of ${first.join()}`);
    expect(told.map(({ partName, story }) => [partName, story])).toEqual([
      ['Bumper', 'Bumper of Bumper'],
      ['Link', 'Link of Bumper'],
      ['Arm', 'Arm of Bumper'],
    ]);
    const times = told.map(({ occurredAt }) => occurredAt);
    expect([...times].sort()).toEqual(times);
    expect(new Set(told.map(({ id }) => id)).size).toBe(3);
    for (const one of told) {
      expect(one).toMatchObject({ runId: 'run-1', ledger: { impactMps: 7 } });
      expect(() => parse(failureSheetSchema, one)).not.toThrow();
    }
    expect(failuresOfCrash(run, () => '').map(({ id }) => id)).toEqual(told.map(({ id }) => id));
    expect(failuresOfCrash({ ...run, report: { hit: 'a post' } }, () => '')).toEqual([]);
  });

  it('takes what is not lying ready: hours of printing and money', () => {
    const line = (partId: string, more: Partial<MakeLine>): MakeLine => ({
      id: `part.${partId}`,
      of: 'part',
      partId,
      name: partId,
      source: 'printed',
      quantity: 1,
      onHand: 0,
      said: { id: `part.${partId}` },
      ...more,
    });
    const lines = [
      line('bumper', { printS: 3600, price: 0.8 }),
      line('arm', { printS: 5400, price: 1.2, onHand: 1 }),
      line('link', { source: 'bought', price: 4 }),
    ];
    // the arm lies there; of the knuckle nothing is known
    const damaged = [
      part('Bumper', 'first'),
      part('Arm', 'after'),
      part('Link', 'after'),
      part('Knuckle', 'after'),
    ];
    expect(untilItRuns(damaged, lines)).toEqual({
      short: 3,
      toPrint: ['bumper'],
      printS: 3600,
      price: 4.8,
      untimed: 2,
      unpriced: 1,
    });
  });

  it('keeps a pack that took the blow outside for a day from the last time that it did', () => {
    const at = (ranAt: string, packHit: boolean) => ({ ranAt, report: { crash: { packHit } } });
    const runs = [
      at('2026-05-01T10:00:00.000Z', true),
      at('2026-05-01T20:00:00.000Z', true),
      at('2026-05-02T08:00:00.000Z', false),
    ];
    expect(packQuarantine(runs, Date.parse('2026-05-02T19:59:00.000Z'))?.toISOString()).toBe(
      '2026-05-02T20:00:00.000Z',
    );
    expect(packQuarantine(runs, Date.parse('2026-05-02T20:00:00.000Z'))).toBeUndefined();
  });
});
