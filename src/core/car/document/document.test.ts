import type { ObjectSchema } from 'joi';
import { CalcError } from '../../base/errors';
import { emptyDocument, migrateDocument } from './document';
import { documentSchema, parseDocument } from './document.schema';
import { letterAt, nextLetter } from '../../base/letters';
import { applyPatch } from '../../base/patch';
import { REQUIRED } from '../unfinished/required';
import { overallEfficiency, overallRatio } from './drive';
import type { Stage } from '../stages/stage';
import { startingCar } from '../library/startingCar';

type Described = {
  type?: string;
  flags?: { presence?: string };
  keys?: Record<string, Described>;
  items?: Described[];
  rules?: { name: string; args?: { limit?: number } }[];
};

const described = (documentSchema as ObjectSchema).describe() as Described;

describe('the document', () => {
  it('is valid while it is empty', () => expect(parseDocument(emptyDocument())).toEqual(emptyDocument()));

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
    expect(() => migrateDocument({ schemaVersion: 5 })).toThrow(
      'document.newer {"version":5,"schemaVersion":4}',
    );
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

  it('held tyres by a bead’s stretch or by glue in the third version', () => {
    const third = (tyreHold: object, ring?: string) =>
      parseDocument({
        ...emptyDocument(),
        schemaVersion: 3,
        drive: {
          stages: [],
          tyreHold,
          tyre: { name: 't', compound: 'c', radiusMm: 40, massG: 50, hardFactor: 1, looseFactor: 1, ring },
        },
      }).drive.tyreHold;
    // a bead of 28 mm stretched by 5 % is 2.8 mm tight on its diameter
    expect(third({ by: 'bead', rimRadiusMm: 28, beadStretch: 0.05 })).toEqual({
      by: 'friction',
      rimRadiusMm: 28,
      interferenceMm: expect.closeTo(2.8, 9),
    });
    expect(third({ by: 'glue', rimRadiusMm: 28, peelNPerMm: 6 }, 'belted')).toEqual({
      by: 'beads',
      rimRadiusMm: 28,
      bondShearMpa: 1.5,
    });
    expect(third({ by: 'glue' }, 'foam')).toEqual({ by: 'bonded' });
    expect(third({ rimRadiusMm: 20 })).toEqual({ rimRadiusMm: 20 });
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
