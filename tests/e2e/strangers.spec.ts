import { createHash } from 'node:crypto';
import { existsSync, readdirSync, readFileSync, statSync } from 'node:fs';
import { request as ask } from 'node:http';
import { expect, freshName, readyBuild, test } from './page';

const MANIFEST = 'app-path-routes-manifest.json';
/** The folder of the build that is served. */
const buildFolder = (): string =>
  ['.next', '.next-test']
    .filter((folder) => existsSync(`${folder}/${MANIFEST}`))
    .sort((a, b) => statSync(`${b}/${MANIFEST}`).mtimeMs - statSync(`${a}/${MANIFEST}`).mtimeMs)[0]!;

/** Every route of it, with words in place of its parameters. */
function routes(): string[] {
  const listed = Object.values(
    JSON.parse(readFileSync(`${buildFolder()}/${MANIFEST}`, 'utf8')) as Record<string, string>,
  );
  return listed.filter((path) => !path.startsWith('/_')).map((path) => path.replace(/\[\w+\]/g, 'x'));
}

interface Answer {
  status: number;
  headers: Record<string, string | string[] | undefined>;
  body: string;
}

const sent = (base: string, path: string, method: string, headers: Record<string, string>, body?: string) =>
  new Promise<Answer>((resolve, reject) => {
    const { hostname, port } = new URL(base);
    const out = ask(
      {
        hostname,
        port,
        path,
        method,
        headers: { ...headers, ...(body ? { 'content-length': Buffer.byteLength(body) } : {}) },
      },
      (answer) => {
        const chunks: Buffer[] = [];
        answer.on('data', (chunk: Buffer) => chunks.push(chunk));
        answer.on('end', () =>
          resolve({
            status: answer.statusCode!,
            headers: answer.headers,
            body: Buffer.concat(chunks).toString('utf8'),
          }),
        );
      },
    );
    out.on('error', reject);
    out.end(body);
  });

/** What takes files is not known at all by the ways that it does not go. */
const takesFiles = (path: string, method: string) =>
  method !== 'POST' && /^\/api\/(tracks|photos|meshes|builds\/import|workshops\/import)$/.test(path);

test('no route answers a page of another site, nor a foreign name for this machine', async ({ baseURL }) => {
  const { host } = new URL(baseURL!);
  const all = routes();
  expect(all.length).toBeGreaterThan(25);
  for (const path of all) {
    for (const method of ['GET', 'POST', 'PUT', 'PATCH', 'DELETE']) {
      const body = method === 'GET' ? undefined : '{}';
      const json = { 'content-type': 'application/json' };
      const status = takesFiles(path, method) ? 405 : 403;
      expect({
        path,
        method,
        ...(await sent(baseURL!, path, method, { ...json, host, origin: 'http://evil.example' }, body)),
      }).toMatchObject({ path, method, status });
      expect({
        path,
        method,
        ...(await sent(baseURL!, path, method, { ...json, host: 'evil.example' }, body)),
      }).toMatchObject({ path, method, status });
      if (body)
        expect({
          path,
          method,
          ...(await sent(
            baseURL!,
            path,
            method,
            { 'content-type': 'text/plain', host, 'sec-fetch-site': 'cross-site' },
            body,
          )),
        }).toMatchObject({ path, method, status });
    }
  }
});

test('an address that is not well written is told so, and opens the page that says there is none', async ({
  page,
  baseURL,
  allow,
}) => {
  allow.statuses.push(404);
  const { host } = new URL(baseURL!);
  for (const path of ['/api/builds/%00', '/api/builds/%zz', '/api/library?q=%00']) {
    const { status, body } = await sent(baseURL!, path, 'GET', { host });
    expect({ path, status, ...(JSON.parse(body) as object) }).toMatchObject({
      path,
      status: 400,
      error: { code: 'malformed', remedy: expect.any(String) },
    });
  }
  for (const path of ['/builds/%00', '/builds/%C3/D/drive']) {
    expect((await page.goto(path))!.status()).toBe(404);
    await expect(page.getByRole('heading', { level: 1 })).toBeVisible();
  }
});

test('every page, script and JSON says what it may load, who may frame it, and what is told onward', async ({
  page,
  baseURL,
  allow,
}) => {
  allow.words = /Content Security Policy/;
  const root = new URL(await readyBuild(page, freshName('Policy'))).pathname;
  const { host } = new URL(baseURL!);
  for (const path of [
    '/',
    '/library',
    `${root}/drive`,
    '/api/builds',
    '/api/builds/none',
    '/manifest.webmanifest',
    '/service-worker.js',
    '/nowhere',
  ]) {
    const { headers } = await sent(baseURL!, path, 'GET', { host });
    expect({ path, ...headers }).toMatchObject({
      path,
      'x-content-type-options': 'nosniff',
      'x-frame-options': 'DENY',
      'referrer-policy': 'same-origin',
      'content-security-policy': expect.stringContaining("frame-ancestors 'none'"),
    });
  }
  const { headers, body } = await sent(baseURL!, `${root}/drive`, 'GET', { host });
  const [, nonce] = /script-src 'self' 'nonce-([^']+)'/.exec(String(headers['content-security-policy']))!;
  const inline = [...body.matchAll(/<script(?![^>]*\bsrc=)([^>]*)>/g)].map(([, attributes]) => attributes!);
  expect(inline.length).toBeGreaterThan(1);
  for (const attributes of inline) expect(attributes).toContain(`nonce="${nonce}"`);
  expect(
    (await sent(baseURL!, `${root}/drive`, 'GET', { host })).headers['content-security-policy'],
  ).not.toContain(nonce);
  // what is written into a page from elsewhere does not run
  await page
    .evaluate(() => {
      const script = document.createElement('script');
      script.textContent = 'window.ran = true';
      document.body.append(script);
    })
    .catch(() => undefined);
  expect(await page.evaluate(() => (window as { ran?: boolean }).ran)).toBeUndefined();
});

test('a large file arrives whole', async ({ request }) => {
  const track = Buffer.alloc(12 * 1024 * 1024, 'x');
  const answer = await request.post('/api/tracks', {
    data: track,
    headers: { 'content-type': 'application/octet-stream' },
  });
  expect(await answer.json()).toEqual({ hash: createHash('sha256').update(track).digest('hex') });
  expect(answer.headers()).toMatchObject({
    'x-content-type-options': 'nosniff',
    'content-security-policy': expect.stringContaining("default-src 'none'"),
  });
});

test('what a browser is handed holds nothing of the server: no setting, no secret, no way into the database', () => {
  const folder = `${buildFolder()}/static`;
  const scripts = readdirSync(folder, { recursive: true, encoding: 'utf8' }).filter((name) =>
    /\.js$/.test(name),
  );
  expect(scripts.length).toBeGreaterThan(30);
  const OF_THE_SERVER =
    /BETTER_AUTH_SECRET|DATABASE_URL|postgres(?:ql)?:\/\/|token_hash|createHash\(|pg_notify|scrypt/;
  expect(scripts.filter((name) => OF_THE_SERVER.test(readFileSync(`${folder}/${name}`, 'utf8')))).toEqual([]);
  // what may be handed out is named so; nothing is
  expect(Object.keys(process.env).filter((name) => name.startsWith('NEXT_PUBLIC_'))).toEqual([]);
});
