import { marshHareA } from '@/db/seed/marshHare';
import { POST as makeBuild } from '@/app/api/builds/route';
import { call } from './workshop';

export let count = 0;

export async function newBuild(document: object = marshHareA) {
  const key = `b${++count}`;
  await call(makeBuild, {
    method: 'POST',
    body: { id: key, revisionId: `${key}-a`, name: `Build ${key}`, document },
  });
  return { build: key, revision: `${key}-a` };
}

export const sheet = (id: string, document: object = marshHareA) => ({
  id,
  kind: 'timedDistance',
  ranAt: '2026-05-01T10:00:00.000Z',
  document,
  attempts: [
    { id: `${id}-1`, timeS: 2.6 },
    { id: `${id}-2`, timeS: 2.7 },
  ],
  conditions: { surfaceId: 'mownGrass', surfaceName: 'Mown grass', distanceM: 20, runUpM: 25 },
});
