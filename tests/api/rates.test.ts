import { PUT as saveSettings } from '@/app/api/settings/route';
import { database } from '@/db/client';
import { rateLimits } from '@/db/schema';
import { withOwnDatabase } from './workshop';

withOwnDatabase();

const put = (client: string, body: object) =>
  saveSettings(
    new Request('http://localhost/api', {
      method: 'PUT',
      body: JSON.stringify(body),
      headers: { 'content-type': 'application/json', 'x-forwarded-for': client },
    }),
  );
const counted = async () =>
  Object.fromEntries(
    (await database().select().from(rateLimits)).map(({ key, count }) => [key.split(':').at(-2), count]),
  );

it('counts the writes of each client, and what was refused apart from them', async () => {
  for (let at = 0; at < 600; at++)
    expect((await put('10.0.0.7', { printAheadMinutes: -1 })).status).toBe(422);
  const last = await put('10.0.0.7', { printAheadMinutes: -1 });
  expect([last.status, last.headers.get('retry-after')]).toEqual([429, '60']);
  expect((await put('10.0.0.7', { printAheadMinutes: 30 })).status).toBe(200);
  expect((await put('10.0.0.8', { printAheadMinutes: -1 })).status).toBe(422);
  expect(await counted()).toEqual({ '10.0.0.7': 1, '10.0.0.8': 0 });

  await database().update(rateLimits).set({ count: 1200 });
  expect((await put('10.0.0.7', { printAheadMinutes: 30 })).status).toBe(429);
  expect((await put('10.0.0.9', { printAheadMinutes: 30 })).status).toBe(200);
}, 30_000);
