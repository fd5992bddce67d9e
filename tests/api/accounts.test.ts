import { eq } from 'drizzle-orm';
import { DELETE as deleteAccount, GET as whoAmI } from '@/app/api/account/route';
import { POST as claim } from '@/app/api/account/first/route';
import { PUT as changePassword } from '@/app/api/account/password/route';
import { POST as reset } from '@/app/api/account/reset/route';
import { POST as signIn } from '@/app/api/account/sign-in/route';
import { POST as signOut } from '@/app/api/account/sign-out/route';
import { POST as signOutEverywhere } from '@/app/api/account/sign-out-everywhere/route';
import { POST as signUp } from '@/app/api/account/sign-up/route';
import { GET as listBuilds } from '@/app/api/builds/route';
import { resetTokenFor } from '@/app/accounts/accounts';
import { database } from '@/db/client';
import { codeForFirstOwner } from '@/db/queries/firstOwner';
import { defaultWorkshop } from '@/db/queries/workshops';
import { credentials, people, sessions } from '@/db/schema';
import { another, Browser, firstOwner, PASSWORD, withAccounts } from './person';
import { withOwnDatabase } from './workshop';

withOwnDatabase();
withAccounts();

const ada = { email: 'ada@cars.example', password: PASSWORD };
const post = (body: object) => ({ method: 'POST', body });
const cookieOf = (browser: Browser) => browser.jar.get('badger.session_token');

describe('the first owner', () => {
  const claimed = (code: string) => new Browser().send(claim, post({ code, name: 'Ada', ...ada }));

  it('is nobody who has not read the console, and nobody signs up before there is one', async () => {
    await codeForFirstOwner(database());
    expect(await claimed('AAAA-BBBB-CCCC-DDDD')).toMatchObject({
      status: 401,
      json: { error: { code: 'credentials', path: 'code' } },
    });
    expect(
      await new Browser().send(signUp, post({ name: 'Eve', email: 'eve@cars.example', password: PASSWORD })),
    ).toMatchObject({ status: 409, json: { error: { code: 'locked' } } });
    expect(await database().select().from(people)).toEqual([]);
  });

  it('is made with the code as it is typed, once, and takes the workshop over that is there', async () => {
    const code = await codeForFirstOwner(database());
    const browser = new Browser();
    const typed = code.toLowerCase().replaceAll('-', ' ');
    expect(await browser.send(claim, post({ code: typed, name: 'Ada', ...ada }))).toMatchObject({
      status: 201,
    });
    expect((await browser.send(whoAmI)).json).toEqual({
      person: { id: expect.any(String), name: 'Ada', email: ada.email },
      workshops: [{ id: await defaultWorkshop(database()), name: 'Workshop', role: 'owner' }],
    });
    expect(await claimed(code)).toMatchObject({ status: 401 });
  });

  it('loses no code over a password that is too short', async () => {
    const code = await codeForFirstOwner(database());
    const short = await new Browser().send(
      claim,
      post({ code, name: 'Bo', email: 'bo@cars.example', password: 'short' }),
    );
    expect(short).toMatchObject({ status: 422, json: { error: { path: 'password' } } });
    const taken = await new Browser().send(claim, post({ code, name: 'Bo', ...ada }));
    expect(taken).toMatchObject({ status: 409, json: { error: { code: 'exists', path: 'email' } } });
    await database().delete(people).where(eq(people.email, ada.email));
    expect(await claimed(code)).toMatchObject({ status: 201 });
  });
});

describe('signing in', () => {
  it('begins a session of its own each time, which cookies keep from scripts and other sites', async () => {
    const browser = new Browser();
    const first = await browser.send(signIn, post({ ...ada, email: 'Ada@Cars.example' }));
    expect(first.status).toBe(200);
    const cookie = first.headers.getSetCookie().find((one) => one.startsWith('badger.session_token='))!;
    expect(cookie).toMatch(/HttpOnly/i);
    expect(cookie).toMatch(/SameSite=Lax/i);
    const before = cookieOf(browser);
    await browser.send(signIn, post(ada));
    expect(cookieOf(browser)).not.toBe(before);
    // the session before it is over, also for whoever copied its cookie
    const thief = new Browser();
    thief.jar.set('badger.session_token', before!);
    expect((await thief.send(whoAmI)).status).toBe(401);
  });

  it('takes no session that somebody made up or planted', async () => {
    const planted = new Browser();
    planted.jar.set('badger.session_token', 'planted.signature');
    expect((await planted.send(whoAmI)).status).toBe(401);
    await planted.send(signIn, post(ada));
    expect(cookieOf(planted)).not.toBe('planted.signature');
    expect((await planted.send(whoAmI)).status).toBe(200);
  });

  it('says the same of a wrong password and of an email that nobody has', async () => {
    const wrong = await new Browser().send(signIn, post({ ...ada, password: 'not the one it is' }));
    const nobody = await new Browser().send(signIn, post({ ...ada, email: 'nobody@cars.example' }));
    expect(wrong.status).toBe(401);
    expect(nobody.json).toEqual(wrong.json);
  });

  it('is refused after twenty tries at one name, from wherever they come, the right one too', async () => {
    const guess = (password: string) => new Browser().send(signIn, post({ ...ada, password }));
    for (let tries = 0; tries < 20; tries++) expect((await guess(`guess number ${tries}`)).status).toBe(401);
    expect(await guess(PASSWORD)).toMatchObject({ status: 429, json: { error: { code: 'tooMany' } } });
  });

  it('is refused after thirty tries of one client at many names', async () => {
    const browser = new Browser();
    const guess = (at: number) =>
      browser.send(signIn, post({ email: `n${at}@cars.example`, password: PASSWORD }));
    for (let tries = 0; tries < 30; tries++) expect((await guess(tries)).status).toBe(401);
    expect((await guess(30)).status).toBe(429);
  });

  it('keeps no password that can be read', async () => {
    const kept = await database().select({ password: credentials.password }).from(credentials);
    expect(kept).toHaveLength(1);
    expect(kept[0]!.password).not.toContain(PASSWORD);
    expect(kept[0]!.password!.length).toBeGreaterThan(64);
  });
});

describe('a session', () => {
  it('ends on this device, or on all of them', async () => {
    const [desk, phone] = [new Browser(), new Browser()];
    for (const browser of [desk, phone]) await browser.send(signIn, post(ada));
    const kept = cookieOf(desk)!;
    expect(await desk.send(signOut, { method: 'POST' })).toMatchObject({ status: 200 });
    expect([cookieOf(desk), (await phone.send(whoAmI)).status]).toEqual([undefined, 200]);
    desk.jar.set('badger.session_token', kept);
    expect((await desk.send(listBuilds)).status).toBe(401);
    await desk.send(signIn, post(ada));
    await phone.send(signOutEverywhere, { method: 'POST' });
    expect([(await desk.send(whoAmI)).status, await database().select().from(sessions)]).toEqual([401, []]);
  });

  it('is over when its time has come', async () => {
    const browser = new Browser();
    await browser.send(signIn, post(ada));
    await database()
      .update(sessions)
      .set({ expiresAt: new Date(Date.now() - 1000) });
    expect((await browser.send(whoAmI)).status).toBe(401);
  });

  it('of a day ago is renewed, in the database and in the browser', async () => {
    const browser = new Browser();
    await browser.send(signIn, post(ada));
    const dueMs = Date.now() + 28.5 * 86_400_000;
    await database()
      .update(sessions)
      .set({ expiresAt: new Date(dueMs) });
    const { headers } = await browser.send(listBuilds);
    expect(headers.getSetCookie().join()).toContain('badger.session_token=');
    const [renewed] = await database().select({ expiresAt: sessions.expiresAt }).from(sessions);
    expect(renewed!.expiresAt.getTime()).toBeGreaterThan(dueMs + 86_400_000);
  });
});

describe('a password', () => {
  const next = 'another long way home';

  it('is changed by who knows it; the other devices are signed out', async () => {
    const [desk, phone] = [new Browser(), new Browser()];
    for (const browser of [desk, phone]) await browser.send(signIn, post(ada));
    expect(
      await desk.send(changePassword, { method: 'PUT', body: { password: 'not the one it is', next } }),
    ).toMatchObject({ status: 401, json: { error: { path: 'password' } } });
    const before = cookieOf(desk);
    expect(
      (await desk.send(changePassword, { method: 'PUT', body: { password: PASSWORD, next } })).status,
    ).toBe(200);
    expect(cookieOf(desk)).not.toBe(before);
    expect([(await desk.send(whoAmI)).status, (await phone.send(whoAmI)).status]).toEqual([200, 401]);
    expect((await new Browser().send(signIn, post(ada))).status).toBe(401);
  });

  it('is set anew once by a link that the server printed, and all devices are signed out', async () => {
    const desk = new Browser();
    await desk.send(signIn, post({ ...ada, password: next }));
    const token = (await resetTokenFor(database(), ada.email))!;
    expect(await resetTokenFor(database(), 'nobody@cars.example')).toBeUndefined();
    const set = (password: string) => new Browser().send(reset, post({ token, password }));
    expect((await set('short')).status).toBe(422);
    expect((await set(PASSWORD)).status).toBe(200);
    expect(await set('yet another way home')).toMatchObject({
      status: 410,
      json: { error: { code: 'expired' } },
    });
    expect((await desk.send(whoAmI)).status).toBe(401);
    expect((await new Browser().send(signIn, post(ada))).status).toBe(200);
  });
});

describe('an account', () => {
  it('stays while a workshop would be nobody’s without it', async () => {
    const browser = new Browser();
    await browser.send(signIn, post(ada));
    expect(
      await browser.send(deleteAccount, { method: 'DELETE', body: { password: PASSWORD } }),
    ).toMatchObject({ status: 409, json: { error: { message: 'Nobody else owns Workshop.' } } });
  });

  it('has a workshop of its own with the usual library, when sign-up is open', async () => {
    const bo = await another('Bo');
    const { workshops } = (await bo.send(whoAmI)).json;
    expect(workshops).toEqual([{ id: expect.any(String), name: 'Workshop of Bo', role: 'owner' }]);
    expect((await bo.send(listBuilds)).json).toEqual({ builds: [] });
  });

  it('is made by invitation alone where sign-up is closed', async () => {
    process.env.SIGN_UP = 'closed';
    try {
      expect(
        await new Browser().send(signUp, post({ name: 'Cy', email: 'cy@cars.example', password: PASSWORD })),
      ).toMatchObject({ status: 403, json: { error: { code: 'mayNot' } } });
    } finally {
      delete process.env.SIGN_UP;
    }
  });
});

it('without accounts their doors are not there, and everybody is in the one workshop', async () => {
  process.env.ACCOUNTS = 'off';
  try {
    expect((await new Browser().send(signIn, post(ada))).status).toBe(404);
    expect((await new Browser().send(listBuilds)).status).toBe(200);
  } finally {
    process.env.ACCOUNTS = 'on';
  }
  expect((await new Browser().send(listBuilds)).status).toBe(401);
  expect(await firstOwner().catch(() => 'there is one already')).toBe('there is one already');
});
