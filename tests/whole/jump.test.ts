import { applyPatch } from '@/core/base/patch';
import { marshHareDocuments } from '@/db/seed/marshHareRevisions';
import { statesOn } from '@/core/verdict/states';
import { SEGMENTS, SIDES } from '@/core/verdict/engine/segments';
import { placesFor } from '@/features/frame/jump/placesFor';
import { placesOf } from '@/features/frame/jump/places';

const { D } = marshHareDocuments();
const REVISION = { id: 'r', buildId: 'b', letter: 'D', version: 1, createdAt: '', document: D };
const placesIn = (document: typeof D) =>
  placesOf({
    root: '/builds/b',
    build: { id: 'b', name: 'Marsh Hare', createdAt: '' },
    builds: [
      { id: 'b', name: 'Marsh Hare', createdAt: '' },
      { id: 'w', name: 'Tin Wren', createdAt: '' },
    ],
    revision: REVISION,
    revisions: [REVISION],
    document,
    checks: statesOn(D, D.brief.surfaces[0], {}),
    library: [{ id: 'm', kind: 'motor', data: { name: 'Sensored 540, 17.5 turns' } } as never],
    runs: [],
    failures: [],
    day: (at) => at,
  });
const PLACES = placesIn(D);
const first = (typed: string) => placesFor(PLACES, typed)[0];

describe('the quick jump', () => {
  it.each([
    ['bump', 'suspension'],
    ['pinion', 'drive'],
    ['camber', 'suspension'],
    ['stl', 'print'],
    ['gears', 'drive'],
    ['fail-safe', 'power'],
    ['wheelbase', 'chassis'],
    ['bumper', 'parts'],
  ])('finds %s under %s', (typed, segment) => {
    expect(placesFor(PLACES, typed).map(({ href }) => href)).toContainEqual(
      expect.stringContaining(`/builds/b/D/${segment}`),
    );
  });
  it('puts a page before what only speaks of it', () => {
    expect(first('drive')).toMatchObject({ label: 'Drive', href: '/builds/b/D/drive' });
  });
  it('finds things of the library, other builds, and nothing for nonsense', () => {
    expect(first('17.5 turns')!.href).toBe('/library?kind=motor&find=Sensored%20540%2C%2017.5%20turns');
    expect(first('wren')!.href).toBe('/builds/w');
    expect(placesFor(PLACES, 'zzzz')).toEqual([]);
  });
  it('lists a field of what comes and goes only where the car has it', () => {
    const found = (document: typeof D) => placesFor(placesIn(document), 'splitter, wide');
    expect(found(D)).toEqual([]);
    const splitter = { widthMm: 150, lengthMm: 40, xMm: 30 };
    expect(found(applyPatch(D, [{ path: ['chassis', 'air', 'splitter'], value: splitter }]))).toHaveLength(1);
  });
  it('leads only to sides that exist', () => {
    for (const { href } of PLACES) {
      const [path, search] = href.split('?');
      const view = new URLSearchParams(search).get('view');
      const segment = SEGMENTS.find((one) => path!.endsWith(`/${one}`));
      if (view && segment) expect(SIDES[segment]).toContain(view);
    }
  });
});
