import { createHash } from 'node:crypto';
import { GET as readMesh } from '@/app/api/meshes/[id]/route';
import { POST as keepMesh } from '@/app/api/meshes/route';
import { withOwnDatabase } from './workshop';

withOwnDatabase();

const send = (body: BodyInit, headers: Record<string, string> = {}) =>
  keepMesh(
    new Request('http://localhost/api/meshes', {
      method: 'POST',
      body,
      headers: { 'content-type': 'application/octet-stream', ...headers },
    }),
    { params: Promise.resolve(undefined) },
  );
const read = (id: string) =>
  readMesh(new Request('http://localhost/api/meshes/x'), { params: Promise.resolve({ id }) });

it('keeps a file under what it holds, twice the same, and gives it back to the byte', async () => {
  const bytes = Uint8Array.from({ length: 5000 }, (_, at) => (at * 37) % 256);
  const [first, second] = [await (await send(bytes)).json(), await (await send(bytes)).json()];
  expect(first).toEqual({ hash: createHash('sha256').update(bytes).digest('hex') });
  expect(second).toEqual(first);
  expect(new Uint8Array(await (await read(first.hash)).arrayBuffer())).toEqual(bytes);
});

it('refuses what is empty, over 50 MB or not there', async () => {
  expect(await (await send('')).json()).toMatchObject({
    error: { code: 'malformed', message: 'The file is empty.' },
  });
  const large = await send('x', { 'content-length': String(51 * 1024 * 1024) });
  expect(large.status).toBe(413);
  expect(await large.json()).toMatchObject({
    error: { code: 'tooLarge', message: 'The request is larger than 50 MB.' },
  });
  const missing = await read('0'.repeat(64));
  expect(missing.status).toBe(404);
});
