import { and, eq } from 'drizzle-orm';
import { DELETE as deleteAccount, GET as whoAmI } from '@/app/api/account/route';
import { GET as listBuilds, POST as createBuild } from '@/app/api/builds/route';
import { GET as listInvitations, POST as invite } from '@/app/api/invitations/route';
import { DELETE as takeBack } from '@/app/api/invitations/[id]/route';
import { POST as accept } from '@/app/api/invitations/accept/route';
import { POST as look } from '@/app/api/invitations/look/route';
import { DELETE as sendAway, PATCH as changeRole } from '@/app/api/members/[id]/route';
import { GET as revision } from '@/app/api/revisions/[id]/route';
import { DELETE as deleteWorkshop, GET as workshop, PATCH as rename } from '@/app/api/workshop/route';
import { GET as exportWorkshop } from '@/app/api/workshop/file/route';
import { POST as createWorkshop } from '@/app/api/workshops/route';
import { PUT as choose } from '@/app/api/workshops/current/route';
import { POST as importWorkshop } from '@/app/api/workshops/import/route';
import { database } from '@/db/client';
import { defaultWorkshop } from '@/db/queries/workshops';
import { builds, invitations, libraryItems, members, workshops } from '@/db/schema';
import { seedDemo } from '@/db/seed/demo';
import { buildPageStamp } from '@/db/stamps';
import { another, Browser, firstOwner, PASSWORD, withAccounts } from './person';
import { withOwnDatabase } from './workshop';

withOwnDatabase();
withAccounts();
let ada: Browser;
let here: string;
beforeAll(async () => {
  ada = await firstOwner();
  here = await defaultWorkshop(database());
  await seedDemo(database(), here);
}, 60_000);

const post = (body: object) => ({ method: 'POST', body });
const invitation = async (role: string): Promise<{ id: string; token: string }> =>
  (await ada.send(invite, post({ role }))).json;
const namesOf = async (browser: Browser) =>
  ((await browser.send(listBuilds)).json.builds as { id: string }[]).map(({ id }) => id).sort();
const idOf = async (browser: Browser): Promise<string> => (await browser.send(whoAmI)).json.person.id;

describe('an invitation', () => {
  it('tells whoever has its link what it invites to, takes one in, and is used up', async () => {
    const { token } = await invitation('viewer');
    expect((await new Browser().send(look, post({ token }))).json).toEqual({
      workshop: 'Workshop',
      role: 'viewer',
      invitedBy: 'Ada',
    });
    const vera = await another('Vera', token);
    expect((await vera.send(whoAmI)).json.workshops).toEqual([
      { id: here, name: 'Workshop', role: 'viewer' },
    ]);
    expect(await namesOf(vera)).toEqual(['marsh-hare', 'tin-wren']);
    expect(await new Browser().send(look, post({ token }))).toMatchObject({ status: 410 });
  });

  it('is not kept as it stands in the link, and cannot be guessed', async () => {
    const { token } = await invitation('editor');
    expect(Buffer.from(token, 'base64url')).toHaveLength(32);
    const kept = JSON.stringify(await database().select().from(invitations));
    expect(kept).not.toContain(token);
    const browser = new Browser();
    const guess = (at: number) => browser.send(look, post({ token: `${token.slice(0, -2)}${at}` }));
    for (let tries = 10; tries < 40; tries++) expect((await guess(tries)).status).toBe(410);
    expect((await guess(40)).status).toBe(429);
  });

  it('is void when it is taken back or its week is over, and is used by one of two who follow it at once', async () => {
    const [back, old, both] = [
      await invitation('editor'),
      await invitation('editor'),
      await invitation('editor'),
    ];
    await ada.send(takeBack, { method: 'DELETE', id: back.id });
    await database()
      .update(invitations)
      .set({ expiresAt: new Date(Date.now() - 1000).toISOString() })
      .where(eq(invitations.id, old.id));
    const bo = await another('Bo');
    const cy = await another('Cy');
    for (const { token } of [back, old])
      expect(await bo.send(accept, post({ token }))).toMatchObject({
        status: 410,
        json: { error: { code: 'expired' } },
      });
    const answers = await Promise.all([bo, cy].map((one) => one.send(accept, post({ token: both.token }))));
    expect(answers.map(({ status }) => status).sort()).toEqual([200, 410]);
    expect((await ada.send(listInvitations)).json.invitations).toHaveLength(1);
  });

  it('of a viewer takes no right away from an owner who follows it', async () => {
    const { token } = await invitation('viewer');
    await ada.send(accept, post({ token }));
    expect((await ada.send(workshop)).json).toMatchObject({ role: 'owner', name: 'Workshop' });
  });
});

describe('a member', () => {
  it('sees the workshop that was chosen last, and a page writes to the one it stands in', async () => {
    const dee = await another('Dee');
    const own = (await dee.send(whoAmI)).json.workshops[0].id as string;
    await dee.send(accept, post({ token: (await invitation('editor')).token }));
    expect(await namesOf(dee)).toEqual(['marsh-hare', 'tin-wren']);
    await dee.send(choose, { method: 'PUT', body: { id: own } });
    expect(await namesOf(dee)).toEqual([]);
    // a tab that was opened in the other workshop
    await dee.send(createBuild, {
      ...post({ id: 'fen-stoat', revisionId: 'fen-stoat-a', name: 'Fen Stoat' }),
      headers: { 'x-workshop': here },
    });
    expect(await namesOf(dee)).toEqual([]);
    expect(await namesOf(ada)).toContain('fen-stoat');
    expect(await dee.send(revision, { id: 'fen-stoat-a' })).toMatchObject({ status: 404 });
  });

  it('of another workshop is told nothing of this one', async () => {
    const eve = await another('Eve');
    expect(await eve.send(listBuilds, { headers: { 'x-workshop': here } })).toMatchObject({ status: 404 });
    expect(await eve.send(choose, { method: 'PUT', body: { id: here } })).toMatchObject({ status: 404 });
    eve.jar.set('badger.workshop', here);
    expect(await namesOf(eve)).toEqual([]);
  });

  it('gets another role, leaves or is sent away; the last owner stays one', async () => {
    const { token } = await invitation('viewer');
    const flo = await another('Flo', token);
    const [floId, adaId] = [await idOf(flo), await idOf(ada)];
    const make = (role: string, id = floId, by = ada) =>
      by.send(changeRole, { method: 'PATCH', body: { role }, id });
    const build = (id: string) => flo.send(createBuild, post({ id, revisionId: `${id}-a`, name: id }));
    expect(await build('mire-vole')).toMatchObject({ status: 403, json: { error: { code: 'mayNot' } } });
    expect(await make('owner', floId, flo)).toMatchObject({ status: 403 });
    await make('editor');
    expect((await build('mire-vole')).status).toBe(201);
    expect(await flo.send(rename, { method: 'PATCH', body: { name: 'Mine' } })).toMatchObject({
      status: 403,
    });
    expect(await make('viewer', adaId)).toMatchObject({ status: 409, json: { error: { code: 'inUse' } } });
    await make('owner');
    expect((await make('viewer', adaId, flo)).status).toBe(200);
    expect((await make('owner', adaId, flo)).status).toBe(200);
    expect((await flo.send(sendAway, { method: 'DELETE', id: floId })).status).toBe(200);
    expect(await flo.send(listBuilds)).toMatchObject({ status: 404, json: { error: { code: 'homeless' } } });
    expect(await ada.send(sendAway, { method: 'DELETE', id: adaId })).toMatchObject({ status: 409 });
    expect((await flo.send(deleteAccount, { method: 'DELETE', body: { password: PASSWORD } })).status).toBe(
      200,
    );
    expect((await flo.send(whoAmI)).status).toBe(401);
  });

  it('who is one of two owners that leave at once, stays', async () => {
    const gus = await another('Gus', (await invitation('owner')).token);
    const ids = [await idOf(ada), await idOf(gus)];
    const answers = await Promise.all(
      [ada, gus].map((one, at) => one.send(sendAway, { method: 'DELETE', id: ids[at]! })),
    );
    expect(answers.map(({ status }) => status).sort()).toEqual([200, 409]);
    const owners = await database()
      .select()
      .from(members)
      .where(and(eq(members.workshopId, here), eq(members.role, 'owner')));
    expect(owners).toHaveLength(1);
    await database()
      .insert(members)
      .values({ workshopId: here, personId: ids[0]!, role: 'owner' })
      .onConflictDoNothing();
  });
});

describe('the archive of a workshop', () => {
  const exported = async (browser: Browser) => {
    const answer = await browser.ask(exportWorkshop);
    expect(answer.status).toBe(200);
    return {
      bytes: Buffer.from(await answer.arrayBuffer()),
      stamp: answer.headers.get('etag')!.slice(1, -1),
    };
  };
  const bring = (browser: Browser, bytes: Buffer) =>
    browser.send(importWorkshop, { method: 'POST', bytes, type: 'application/zip' });

  it('brought in as a new one and exported again is the same, byte for byte', async () => {
    const { bytes } = await exported(ada);
    const hal = await another('Hal');
    const brought = await bring(hal, bytes);
    expect(brought.status).toBe(201);
    expect(await namesOf(hal)).toEqual(await namesOf(ada));
    expect((await exported(hal)).bytes.equals(bytes)).toBe(true);
    expect((await ada.send(whoAmI)).json.workshops).not.toContainEqual(
      expect.objectContaining({ id: brought.json.id }),
    );
  }, 60_000);

  it('that is damaged, cut off or no archive leaves nothing behind', async () => {
    const { bytes } = await exported(ada);
    const ivo = await another('Ivo');
    const before = await database().select({ id: workshops.id }).from(workshops);
    const spoilt = Buffer.from(bytes);
    // in the middle of the content of some file
    spoilt.fill(0xff, Math.floor(bytes.length / 2), Math.floor(bytes.length / 2) + 2000);
    for (const given of [spoilt, bytes.subarray(0, bytes.length - 3000), Buffer.from('PK')])
      expect(await bring(ivo, given)).toMatchObject({
        status: expect.any(Number),
        json: { error: expect.anything() },
      });
    expect(await database().select({ id: workshops.id }).from(workshops)).toEqual(before);
  }, 60_000);

  it('must be of the state that is deleted with it', async () => {
    await ada.send(createWorkshop, post({ name: 'Shed' }));
    const gone = (await ada.send(workshop)).json.id as string;
    const remove = (body: object) => ada.send(deleteWorkshop, { method: 'DELETE', body });
    const early = (await exported(ada)).stamp;
    await ada.send(createBuild, post({ id: 'bog-otter', revisionId: 'bog-otter-a', name: 'Bog Otter' }));
    const { stamp } = await exported(ada);
    expect(await remove({ name: 'Shed', exported: early })).toMatchObject({
      status: 409,
      json: { error: { path: 'exported' } },
    });
    expect(await remove({ name: 'shed', exported: stamp })).toMatchObject({
      status: 409,
      json: { error: { path: 'name' } },
    });
    expect((await remove({ name: 'Shed', exported: stamp })).status).toBe(200);
    expect(await database().select().from(libraryItems).where(eq(libraryItems.workshopId, gone))).toEqual([]);
    expect((await ada.send(whoAmI)).json.workshops).toEqual([expect.objectContaining({ id: here })]);
    expect(await namesOf(ada)).toContain('marsh-hare');
  }, 60_000);
});

it('two workshops with the same builds, all rows written at once as by a restore, are told apart', async () => {
  const db = database();
  const [one, other] = ['one twin', 'other twin'];
  await db.transaction(async (tx) => {
    for (const workshopId of [one, other]) {
      await tx.insert(workshops).values({ id: workshopId, name: 'Twin' });
      await tx.insert(builds).values({ workshopId, id: 'twins', name: 'Twins', createdAt: '2026-05-01' });
    }
  });
  expect(await buildPageStamp(db, one, 'twins')).not.toBe(await buildPageStamp(db, other, 'twins'));
});
