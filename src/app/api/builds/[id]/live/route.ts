import Joi from 'joi';
import { HERE_FOR_MS, type LiveEvent } from '@/core/car/records/live';
import { parse } from '@/core/base/schema/parse';
import { buildRecord } from '@/db/queries/builds';
import { tell } from '@/db/live';
import { currentWorkshop } from '../../../../accounts/currentWorkshop';
import { join } from '../../../../live/hub';
import { door } from '../../../door';

const schema = Joi.object<{ tab: string; workshop?: string }>({
  tab: Joi.string().max(80).required(),
  workshop: Joi.string().max(200),
}).required();

/** What happens to a build while its page is open, as server-sent events, and who else has it open. */
export const GET = door(async ({ request, db, workshopId, person, id }) => {
  const { tab } = parse(schema, Object.fromEntries(new URL(request.url).searchParams));
  await buildRecord(db, workshopId, id);
  const here: LiveEvent = {
    what: 'here',
    workshopId,
    buildId: id,
    tab,
    ...(person ? { person: { id: person.id, name: person.name } } : {}),
  };
  const encoder = new TextEncoder();
  let leave = () => undefined as void;
  const stream = new ReadableStream<Uint8Array>({
    start(controller) {
      const send = (text: string) => controller.enqueue(encoder.encode(text));
      send(': here\n\n');
      const seen = new Set<string>();
      const quit = join({
        workshopId,
        tell: (event) => {
          if (event === 'look') {
            send('data: "look"\n\n');
            return void tell(db, here).catch(() => undefined);
          }
          if (event.what !== 'written' && event.buildId !== id) return;
          send(`data: ${JSON.stringify(event)}\n\n`);
          // who comes later is told who was here before
          if (event.what === 'here' && event.tab !== tab && !seen.has(event.tab)) {
            seen.add(event.tab);
            void tell(db, here).catch(() => undefined);
          }
          if (event.what === 'gone') seen.delete(event.tab);
        },
      });
      // who is no member any more hears nothing more
      const renewed = setInterval(() => {
        currentWorkshop(request.headers, db, workshopId)
          .then(() => tell(db, here))
          .catch(() => leave());
      }, HERE_FOR_MS / 3);
      leave = () => {
        leave = () => undefined;
        clearInterval(renewed);
        quit();
        void tell(db, { ...here, what: 'gone' }).catch(() => undefined);
        try {
          controller.close();
        } catch {
          // the reader closed it
        }
      };
      request.signal.addEventListener('abort', () => leave(), { once: true });
    },
    cancel: () => leave(),
  });
  return new Response(stream, {
    headers: {
      'content-type': 'text/event-stream; charset=utf-8',
      // what is compressed is held back until there is enough of it
      'cache-control': 'no-cache, no-transform',
      'x-accel-buffering': 'no',
    },
  });
});
