import { POST as restore } from '@/app/api/[kind]/[id]/restore/route';
import { PATCH as renameBuild } from '@/app/api/builds/[id]/route';
import { POST as makeBuild } from '@/app/api/builds/route';
import { PUT as changeCopy } from '@/app/api/copies/[id]/route';
import { DELETE as deleteFailure, PUT as changeFailure } from '@/app/api/failures/[id]/route';
import { PUT as saveItem } from '@/app/api/library/route';
import { PUT as changePrint } from '@/app/api/prints/[id]/route';
import { POST as logRun } from '@/app/api/revisions/[id]/runs/route';
import { PATCH as describe_, PUT as saveRevision } from '@/app/api/revisions/[id]/route';
import { DELETE as deleteRun } from '@/app/api/runs/[id]/route';
import { PUT as saveSettings } from '@/app/api/settings/route';
import { garageCars } from '@/app/garageCars';
import { packedBuild, readBuild } from '@/app/packedBuild';
import { garageCarOrAilment } from '@/core/advice/garage';
import { database } from '@/db/client';
import { wholeBuild } from '@/db/queries/builds';
import { listLibrary } from '@/db/queries/library';
import { defaultWorkshop } from '@/db/queries/workshops';
import { seedDemo } from '@/db/seed/demo';
import { call, withOwnDatabase } from './workshop';

withOwnDatabase();
let workshopId: string;
beforeAll(async () => {
  workshopId = await defaultWorkshop(database());
  await seedDemo(database(), workshopId);
}, 30_000);

const BUILD = 'marsh-hare';
const whole = () => wholeBuild(database(), workshopId, BUILD);
const packed = () => packedBuild(database(), workshopId, BUILD);
const changed = <T extends { revisionId: string; version: number }>(
  { revisionId: _, version, ...sheet }: T,
  more: object,
) => ({ version, sheet: { ...sheet, ...more } });

it('what a page begins with is read once, and anew after anything of it was written', async () => {
  const first = await packed();
  expect(await packed()).toBe(first);
  const { revisions, runs, failures, prints, copies } = await whole();
  const open = revisions.at(-1)!;
  const { prediction: _, revisionId: __, ...run } = runs[0]!;
  const [item] = await listLibrary(database(), workshopId);
  const writes: Record<string, () => ReturnType<typeof call>> = {
    'a document saved': () =>
      call(saveRevision, {
        method: 'PUT',
        id: open.id,
        body: {
          version: open.version,
          document: { ...open.document, chassis: { ...open.document.chassis, cgHeightMm: 61 } },
        },
      }),
    'what a revision taught': () =>
      call(describe_, { method: 'PATCH', id: open.id, body: { learned: 'hold the pinion' } }),
    'a run logged': () => call(logRun, { method: 'POST', id: open.id, body: { ...run, id: 'packed-run' } }),
    'a run deleted': () => call(deleteRun, { method: 'DELETE', id: 'packed-run' }),
    'a run brought back': () => call(restore, { method: 'POST', id: 'packed-run', params: { kind: 'runs' } }),
    'a failure changed': () =>
      call(changeFailure, {
        method: 'PUT',
        id: failures[0]!.id,
        body: changed(failures[0]!, { story: 'The fence.' }),
      }),
    'a failure deleted': () => call(deleteFailure, { method: 'DELETE', id: failures[1]!.id }),
    'a print changed': () =>
      call(changePrint, { method: 'PUT', id: prints[0]!.id, body: changed(prints[0]!, { massG: 77 }) }),
    'a copy changed': () =>
      call(changeCopy, { method: 'PUT', id: copies[0]!.id, body: changed(copies[0]!, { massG: 7 }) }),
    'an item of the library': () =>
      call(saveItem, { method: 'PUT', body: { ...item!, data: { ...item!.data, name: 'Another name' } } }),
    'the margins of the workshop': () =>
      call(saveSettings, { method: 'PUT', body: { thresholds: { 'brief.mass': 1.2 } } }),
    'the build renamed': () =>
      call(renameBuild, { method: 'PATCH', id: BUILD, body: { name: 'Marsh Hare II' } }),
    'another build made': () =>
      call(makeBuild, { method: 'POST', body: { id: 'beside', revisionId: 'beside-a', name: 'Beside' } }),
  };
  let before = first.packed;
  for (const [name, write] of Object.entries(writes)) {
    expect({ name, status: (await write()).status }).toEqual({
      name,
      status: name === 'a run logged' || name === 'another build made' ? 201 : 200,
    });
    const after = await packed();
    expect({
      name,
      isAnew: after.packed !== before,
      isTrue: after.packed === (await readBuild(database(), workshopId, BUILD)).packed,
    }).toEqual({ name, isAnew: true, isTrue: true });
    before = after.packed;
  }
}, 60_000);

it('the garage works a car out once, and anew after it was written to', async () => {
  const first = await garageCars(database(), workshopId);
  const again = await garageCars(database(), workshopId);
  expect(again.map((car, at) => car === first[at])).toEqual(first.map(() => true));
  expect(first.find(({ id }) => id === BUILD)).toEqual(
    JSON.parse(JSON.stringify(garageCarOrAilment(await whole(), { 'brief.mass': 1.2 }))),
  );
  await call(renameBuild, { method: 'PATCH', id: BUILD, body: { name: 'Marsh Hare III' } });
  const after = await garageCars(database(), workshopId);
  expect(after.map(({ name }) => name)).toContain('Marsh Hare III');
  expect(after.filter((car) => !first.includes(car)).map(({ id }) => id)).toEqual([BUILD]);
}, 60_000);
