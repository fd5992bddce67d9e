import type { ObjectSchema } from 'joi';
import { CalcError } from '../../base/errors';
import { describeChanges } from '../labels/describe';
import { emptyDocument, migrateDocument } from './document';
import { documentSchema, parseDocument } from './document.schema';
import type { Limits } from '../fields/fieldLabel';
import { LABELS } from '../labels/labels';
import { letterAt, nextLetter } from '../../base/letters';
import { applyPatch } from '../../base/patch';
import { REQUIRED } from '../unfinished/required';
import { overallEfficiency, overallRatio, type Stage } from './drive';
import { startingCar } from '../library/startingCar';

type Described = {
  type?: string;
  flags?: { presence?: string };
  keys?: Record<string, Described>;
  items?: Described[];
  rules?: { name: string; args?: { limit?: number } }[];
};

const described = (documentSchema as ObjectSchema).describe() as Described;

/** Bounds of the schema's field behind a label's path. */
function limitsOf(path: string): Limits {
  let at = described;
  for (const key of path.split('.')) at = key === '*' ? at.items![0]! : at.keys![key]!;
  const names: Record<string, keyof Limits> = { min: 'from', max: 'to', greater: 'above', less: 'below' };
  return Object.fromEntries(
    (at.rules ?? []).flatMap(({ name, args }) => (names[name] ? [[names[name], args!.limit]] : [])),
  );
}

describe('the document', () => {
  it('is valid while it is empty', () => expect(parseDocument(emptyDocument())).toEqual(emptyDocument()));

  it('has for every number the limits on the page that the door has', () => {
    for (const [path, { quantity, limits }] of Object.entries(LABELS)) {
      if (!quantity) continue;
      const schema = limitsOf(path);
      // a share's door ends at 1 by itself, and whole numbers start at 1
      expect({ path, ...limits }).toEqual({ path, ...schema });
    }
  });

  it('takes no mass, length or share that is none', () => {
    for (const path of [
      ['chassis', 'massG'],
      ['chassis', 'wheelbaseMm'],
      ['drive', 'shaftEfficiency'],
      ['brief', 'targetMps'],
    ]) {
      expect(() => parseDocument(applyPatch(emptyDocument(), [{ path, value: 1e-300 }]))).toThrow(CalcError);
      expect(parseDocument(applyPatch(emptyDocument(), [{ path, value: 1e-6 }]))).toBeDefined();
    }
  });

  it('refuses what a newer program wrote, and what has no version', () => {
    expect(() => migrateDocument({ schemaVersion: 4 })).toThrow('knows versions up to 3');
    expect(() => migrateDocument({})).toThrow(CalcError);
  });
});

/** Owner and key of what the schema requires, the items of lists starred; of points those that one kind of corner needs too. */
function requiredBy(schema: Described, path: string): string[] {
  return Object.entries(schema.keys ?? {}).flatMap(([key, inner]) => {
    const at = path === '' ? key : `${path}.${key}`;
    const own =
      path !== '' &&
      !/^(brief|drive|power|chassis|suspension|parts|print)$/.test(path) &&
      inner.flags?.presence === 'required'
        ? [at]
        : [];
    return [
      ...own,
      ...requiredBy(inner, at),
      ...(inner.items?.[0] ? requiredBy(inner.items[0], `${at}.*`) : []),
    ];
  });
}

describe('what cannot be absent', () => {
  const known = Object.entries(REQUIRED).flatMap(([owner, keys]) => keys.map((key) => `${owner}.${key}`));

  it('is what the door requires', () =>
    expect(requiredBy(described, '').filter((path) => !known.includes(path))).toEqual([]));

  it('names nothing that the document does not have', () => {
    const holds = (path: string) =>
      path
        .split('.')
        .reduce<Described | undefined>(
          (at, key) => (key === '*' ? at?.items?.[0] : at?.keys?.[key]),
          described,
        ) !== undefined;
    expect(known.filter((path) => !holds(path))).toEqual([]);
  });

  it('was not known to documents of the first version', () => {
    const { unfinished: _, ...first } = { ...emptyDocument(), schemaVersion: 1 };
    expect(parseDocument(first)).toEqual(emptyDocument());
  });

  it('drove presets in the second version, which become starts to a speed of one’s own', () => {
    const second = (brief: object, heat: object) =>
      parseDocument({
        ...emptyDocument(),
        schemaVersion: 2,
        brief: { surfaces: [], ...brief },
        drive: { stages: [], heat },
      }).drive.heat;
    // speed passes went to the wish itself, four seconds long, forty apart
    expect(second({ targetMps: 8 }, { preset: 'speedPasses', restS: 90 })).toEqual({
      duty: 'cruise',
      cruiseMps: 8,
      cruiseS: 4,
      restS: 90,
    });
    expect(second({ targetMps: 10, meanSpeedShare: 0.5 }, { preset: 'grass' })).toMatchObject({
      cruiseMps: 5.5,
      cruiseS: 20,
      restS: 5,
    });
    expect(second({}, { preset: 'crawl' })).toEqual({ duty: 'cruise', cruiseS: 30, restS: 5 });
    expect(second({ targetMps: 8 }, { ambientC: 30 })).toEqual({ ambientC: 30 });
  });
});

describe('gearing', () => {
  const stage = (
    kind: Stage['kind'],
    pinionTeeth?: number,
    wheelTeeth?: number,
    efficiency = 0.9,
  ): Stage => ({
    id: kind,
    kind,
    efficiency,
    ...(pinionTeeth ? { pinionTeeth } : {}),
    ...(wheelTeeth ? { wheelTeeth } : {}),
  });

  it('multiplies its stages; a planetary stage with held ring gives 1 + ring/sun', () => {
    expect(
      overallRatio({ stages: [stage('spur', 13, 65), stage('planetary', 12, 60), stage('direct')] }),
    ).toBeCloseTo(5 * 6, 12);
    expect(
      overallEfficiency({ stages: [stage('spur', 13, 65, 0.95), stage('bevel', 15, 39, 0.93)] }),
    ).toBeCloseTo(0.95 * 0.93 * 0.97, 12);
  });

  it('has no ratio while teeth are missing', () => {
    expect(overallRatio({ stages: [stage('spur', 13)] })).toBeUndefined();
    expect(overallRatio({ stages: [] })).toBeUndefined();
  });
});

describe('letters', () => {
  it('run A to Z, then AA', () =>
    expect([0, 25, 26, 27, 51, 52, 702].map(letterAt)).toEqual(['A', 'Z', 'AA', 'AB', 'AZ', 'BA', 'AAA']));
  it('skip what is taken', () => expect(nextLetter(['A', 'B', 'C', 'E'])).toBe('F'));
});

describe('a usual car of a size class', () => {
  it('fills in what is not typed and leaves the rest', () => {
    const document = {
      ...emptyDocument(),
      brief: { surfaces: [], sizeClass: { name: '1:10', massBudgetG: 2000 } },
      chassis: { wheelbaseMm: 300 },
    };
    const filled = applyPatch(document, startingCar(document));
    expect(filled.chassis).toMatchObject({
      wheelbaseMm: 300,
      trackFrontMm: 205,
      massG: 1700,
      frontLoadShare: 0.48,
    });
    expect(parseDocument(filled)).toEqual(filled);
    expect(startingCar(filled)).toEqual([]);
  });

  it('keeps out of a class that names no scale', () => {
    expect(
      startingCar({
        ...emptyDocument(),
        brief: { surfaces: [], sizeClass: { name: 'Pocket', massBudgetG: 90 } },
      }),
    ).toEqual([]);
  });
});

describe('a difference in words', () => {
  const reader = { locale: 'en-GB', units: 'metric' as const };

  it('says what, from and to in the units of the reader', () => {
    const before = applyPatch(emptyDocument(), [
      {
        path: ['drive', 'stages', 's'],
        value: { id: 's', kind: 'spur', pinionTeeth: 13, wheelTeeth: 71, efficiency: 0.95 },
      },
    ]);
    const after = applyPatch(before, [
      { path: ['drive', 'stages', 's', 'pinionTeeth'], value: 17 },
      { path: ['brief', 'targetMps'], value: 10 },
      { path: ['parts', 'items', 'g'], value: { id: 'g', name: 'Main gear', kind: 'gear' } },
    ]);
    expect(
      describeChanges(before, after, reader).map(
        ({ label, before: was, after: is }) => `${label}: ${was} > ${is}`,
      ),
    ).toEqual([
      'Wished speed: none > 36\u00a0km/h',
      'Stage 1: pinion teeth: 13 > 17',
      'Part: none > Main gear',
    ]);
    expect(describeChanges(before, after, { locale: 'en-US', units: 'imperial' })[0]!.after).toBe(
      '22.37\u00a0mph',
    );
  });

  it('says a thing exchanged for another of its name field by field, and rails by their names', () => {
    const load = { id: 'sv', name: 'Servo', kind: 'servo', rail: 'battery', libraryId: 'a', peakA: 1 };
    const before = applyPatch(emptyDocument(), [
      {
        path: ['power', 'rails'],
        value: [{ id: 'own', name: 'Regulator', from: 'battery', kind: 'linear' }],
      },
      { path: ['power', 'loads'], value: [load] },
      { path: ['suspension', 'bench'], value: [{ id: 'front-loose', at: '', of: '' }] },
    ]);
    const after = applyPatch(before, [
      { path: ['power', 'loads', 'sv'], value: { ...load, libraryId: 'b', peakA: 3, rail: 'own' } },
      { path: ['suspension', 'bench'], value: undefined },
    ]);
    expect(
      describeChanges(before, after, reader).map(({ label, before: was, after: is }) =>
        `${label}: ${was} > ${is}`.replace(/\s/g, ' '),
      ),
    ).toEqual([
      'Servo: fed by: the pack > Regulator',
      'Servo: draws at the peak: 1 A > 3 A',
      'Bench list: 1 look passed > none',
    ]);
  });

  it('says a new bag field by field, words as the page has them', () => {
    const before = emptyDocument();
    const after = applyPatch(before, [
      {
        path: ['drive', 'heat'],
        value: {
          pinionJoint: 'epoxy',
          ambientC: 24,
          readings: [{ id: 'r', minutes: 5, caseC: 50 }],
          calibration: { diameterMm: 36, lengthMm: 52, factor: 1.25, residualC: 1 },
        },
      },
      { path: ['drive', 'reversed'], value: true },
    ]);
    expect(
      describeChanges(before, after, { locale: 'en-GB', units: 'metric' })
        .map(({ label, after: is }) => `${label}: ${is.replace(/\s/g, ' ')}`)
        .sort(),
    ).toEqual([
      'Air: 24 °C',
      'Calibrated cooling: 1.25 of the first guess',
      'Motor leads swapped: yes',
      'Pinion held by: epoxy, 90 °C',
      'Temperature readings: 1 reading',
    ]);
  });
});
