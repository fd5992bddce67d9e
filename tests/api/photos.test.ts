import sharp from 'sharp';
import { GET as readFile } from '@/app/api/files/[id]/route';
import { POST as keepPhoto } from '@/app/api/photos/route';
import { POST as keepTrack } from '@/app/api/tracks/route';
import { withOwnDatabase } from './workshop';

withOwnDatabase();

const post = (handler: (request: Request) => Promise<Response>, body: Uint8Array<ArrayBuffer> | string) =>
  handler(
    new Request('http://localhost/api', {
      method: 'POST',
      body,
      headers: { 'content-type': 'application/octet-stream' },
    }),
  );
const read = (id: string) =>
  readFile(new Request('http://localhost/api'), { params: Promise.resolve({ id }) });

it('keeps a photograph small and upright, the same twice under one name', async () => {
  const large = new Uint8Array(
    await sharp({ create: { width: 3200, height: 1200, channels: 3, background: '#A3412A' } })
      .withExif({ IFD0: { Orientation: '6', Copyright: 'me' } })
      .jpeg()
      .toBuffer(),
  );
  const [first, second] = [
    await (await post(keepPhoto, large)).json(),
    await (await post(keepPhoto, large)).json(),
  ];
  expect(second).toEqual(first);
  const kept = await read(first.hash);
  expect(kept.headers.get('content-type')).toBe('image/jpeg');
  const { width, height, exif } = await sharp(Buffer.from(await kept.arrayBuffer())).metadata();
  expect(Math.max(width!, height!)).toBe(1600);
  expect(exif).toBeUndefined();
});

it('refuses what is no photograph, what is too large, and an empty track, in words', async () => {
  for (const none of [
    'this is no picture',
    '',
    '<svg xmlns="http://www.w3.org/2000/svg" width="9" height="9"><script>alert(1)</script></svg>',
  ]) {
    const no = await post(keepPhoto, none);
    expect(no.status).toBe(400);
    expect((await no.json()).error).toMatchObject({
      path: 'content',
      message: 'The file is no photograph that can be read here.',
    });
  }
  expect((await post(keepPhoto, new Uint8Array(8 * 1024 * 1024 + 1))).status).toBe(413);
  expect((await post(keepTrack, '')).status).toBe(400);
  expect((await read('f'.repeat(64))).status).toBe(404);
});

it('gives a track back as it was', async () => {
  const { hash } = await (await post(keepTrack, 'time,lat,lon\n0,1,2\n')).json();
  const kept = await read(hash);
  expect(await kept.text()).toBe('time,lat,lon\n0,1,2\n');
  expect(kept.headers.get('content-type')).toMatch(/^text\/plain/);
});
