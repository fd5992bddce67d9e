import type { ObjectSchema } from 'joi';
import { emptyDocument } from '@/core/car/document/document';
import { documentSchema } from '@/core/car/document/document.schema';
import type { Limits } from '@/core/car/fields/fieldLabel';
import { applyPatch } from '@/core/base/patch';
import { describeChanges } from './describe';
import { LABELS } from './labels';

type Described = {
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

describe('labels', () => {
  it('has for every number the limits on the page that the door has', () => {
    for (const [path, { quantity, limits }] of Object.entries(LABELS)) {
      if (!quantity) continue;
      const schema = limitsOf(path);
      // a share's door ends at 1 by itself, and whole numbers start at 1
      expect({ path, ...limits }).toEqual({ path, ...schema });
    }
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

  it('says where a glue softens, but not of a press fit, which does as its pinion', () => {
    const held = (pinionJoint: string) =>
      applyPatch(emptyDocument(), [{ path: ['drive', 'heat', 'pinionJoint'], value: pinionJoint }]);
    const [change] = describeChanges(held('cyanoacrylate'), held('printed'), reader);
    expect([change!.before, change!.after].map((text) => text.replace(/\s/g, ' '))).toEqual([
      'instant glue, 80 °C',
      'press fit',
    ]);
  });
});
