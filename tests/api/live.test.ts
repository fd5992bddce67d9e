import { GET as live } from '@/app/api/builds/[id]/live/route';
import { POST as createBuild } from '@/app/api/builds/route';
import { DELETE as sendAway } from '@/app/api/members/[id]/route';
import { GET as whoAmI } from '@/app/api/account/route';
import { GET as revision, PUT as save } from '@/app/api/revisions/[id]/route';
import { PUT as saveSettings } from '@/app/api/settings/route';
import type { LiveEvent } from '@/core/car/records/live';
import { database } from '@/db/client';
import { invite } from '@/db/queries/invitations';
import { defaultWorkshop } from '@/db/queries/workshops';
import { another, type Browser, firstOwner, withAccounts } from './person';
import { withOwnDatabase } from './workshop';

withOwnDatabase();
withAccounts();
let [ada, vera, eve]: Browser[] = [];
beforeAll(async () => {
  ada = await firstOwner();
  const here = await defaultWorkshop(database());
  const { id } = (await ada.send(whoAmI)).json.person as { id: string };
  vera = await another('Vera', (await invite(database(), here, 'editor', id)).token);
  eve = await another('Eve');
  for (const [who, build] of [
    [ada, 'fen-stoat'],
    [eve, 'fen-stoat'],
  ] as const)
    await who.send(createBuild, {
      method: 'POST',
      body: { id: build, revisionId: `${build}-a`, name: 'Fen Stoat' },
    });
});

const open: (() => Promise<void>)[] = [];
afterEach(async () => {
  for (const close of open.splice(0)) await close();
});

/** A page of the build that listens, until it is closed. */
async function listening(who: Browser, tab: string) {
  const answer = await who.ask(live, { id: 'fen-stoat', address: `?tab=${tab}` });
  expect(answer.status).toBe(200);
  const reader = answer.body!.pipeThrough(new TextDecoderStream()).getReader();
  const heard: LiveEvent[] = [];
  let left = '';
  const reading = (async () => {
    for (let next = await reader.read(); !next.done; next = await reader.read()) {
      const lines = (left + next.value).split('\n\n');
      left = lines.pop()!;
      heard.push(
        ...lines
          .filter((line) => line.startsWith('data: '))
          .map((line) => JSON.parse(line.slice(6)) as LiveEvent),
      );
    }
  })();
  const close = async () => {
    await reader.cancel();
    await reading;
  };
  open.push(close);
  return {
    heard,
    /** Waits until something is heard. */
    until: async (is: (event: LiveEvent) => boolean) => {
      for (let tries = 0; !heard.some(is); tries++) {
        if (tries > 500) throw new Error(`not heard, but ${JSON.stringify(heard)}`);
        await new Promise((resolve) => setTimeout(resolve, 10));
      }
    },
    close,
  };
}

const saved = (event: LiveEvent) => event.what === 'written' && event.path === '/api/revisions/fen-stoat-a';

it('who has a build open hears who else does and what is saved, and nothing of another workshop', async () => {
  const first = await listening(ada!, 'desk');
  await first.until((event) => event.what === 'here' && event.tab === 'desk');
  const second = await listening(vera!, 'phone');
  const stranger = await listening(eve!, 'elsewhere');
  await first.until((event) => event.what === 'here' && event.person?.name === 'Vera');
  // who comes later hears who was there before
  await second.until((event) => event.what === 'here' && event.person?.name === 'Ada');

  const { version, document } = (await ada!.send(revision, { id: 'fen-stoat-a' })).json;
  await ada!.send(save, {
    method: 'PUT',
    id: 'fen-stoat-a',
    address: '/revisions/fen-stoat-a',
    body: { version, document: { ...document, brief: { ...document.brief, targetMps: 9 } } },
    headers: { 'x-tab': 'desk' },
  });
  await second.until((event) => saved(event) && event.what === 'written' && event.tab === 'desk');
  await vera!.send(saveSettings, { method: 'PUT', body: { printAheadMinutes: 90 } });
  await first.until((event) => event.what === 'written' && event.path === '/api');

  await second.close();
  await first.until((event) => event.what === 'gone' && event.tab === 'phone');
  const ofOthers = stranger.heard.filter(
    (event) => (event as unknown) !== 'look' && (event.what === 'written' || event.tab !== 'elsewhere'),
  );
  expect(ofOthers).toEqual([]);
  await first.close();
  await stranger.close();
});

it('what is refused is told to nobody', async () => {
  const first = await listening(ada!, 'desk');
  await first.until((event) => (event as unknown) === 'look');
  const { version, document } = (await ada!.send(revision, { id: 'fen-stoat-a' })).json;
  expect(
    (await ada!.send(save, { method: 'PUT', id: 'fen-stoat-a', body: { version: version + 1, document } }))
      .status,
  ).toBe(409);
  await vera!.send(saveSettings, { method: 'PUT', body: { printAheadMinutes: 60 } });
  await first.until((event) => event.what === 'written');
  expect(first.heard.filter(saved)).toEqual([]);
  await first.close();
});

it('who was sent away opens no stream any more', async () => {
  const { id } = (await vera!.send(whoAmI)).json.person as { id: string };
  await ada!.send(sendAway, { method: 'DELETE', id });
  expect((await vera!.ask(live, { id: 'fen-stoat', address: '?tab=phone' })).status).toBe(404);
});
