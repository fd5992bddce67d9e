import Joi, { type Schema } from 'joi';
import { refusal } from '@/core/base/errors';
import { count } from '@/core/base/schema/fields';
import { refuseUnkeepable } from '@/core/base/schema/keepable';
import { parse } from '@/core/base/schema/parse';
import { DoorError } from '@/db/errors';

declare module '@/core/base/errors' {
  interface RefusalFacts {
    'request.address': Record<never, never>;
  }
}

const LARGEST_BODY = 2 * 1024 * 1024;

/** What a request sends, chunk by chunk, up to a size. */
export async function* bodyChunks(request: Request, mostBytes: number): AsyncGenerator<Uint8Array> {
  const tooLarge = () =>
    new DoorError('tooLarge', `The request is larger than ${Math.round(mostBytes / 1024 / 1024)} MB.`, {
      remedy: 'send less at once',
    });
  if (Number(request.headers.get('content-length') ?? 0) > mostBytes) throw tooLarge();
  const reader = request.body?.getReader();
  if (!reader) return;
  let size = 0;
  for (let next = await reader.read(); !next.done; next = await reader.read()) {
    size += next.value.length;
    if (size > mostBytes) {
      await reader.cancel();
      throw tooLarge();
    }
    yield next.value;
  }
}

/** Bytes of a request, up to a size. */
export async function bodyBytes(request: Request, mostBytes: number): Promise<Buffer> {
  const chunks: Uint8Array[] = [];
  for await (const chunk of bodyChunks(request, mostBytes)) chunks.push(chunk);
  return Buffer.concat(chunks);
}

/** Text of a request, up to a size. */
export const bodyText = async (request: Request, mostBytes = LARGEST_BODY): Promise<string> =>
  (await bodyBytes(request, mostBytes)).toString('utf8');

/** Checked JSON of a request. */
export async function bodyOf<T>(request: Request, schema: Schema<T>): Promise<T> {
  return parse(schema, await rawBody(request));
}

/** A changed sheet with the version that it was read at. @throws CalcError at `sheet.id` where it is not that of the address */
export async function changeOf<T extends { id: string }>(
  request: Request,
  schema: Schema<T>,
  id: string,
): Promise<{ version: number; sheet: T }> {
  const change = await bodyOf(
    request,
    Joi.object<{ version: number; sheet: T }>({ version: count().required(), sheet: schema }).required(),
  );
  if (change.sheet.id !== id) throw refusal('sheet.id', 'request.address');
  return change;
}

export async function rawBody(request: Request): Promise<unknown> {
  const body = jsonOf(await bodyText(request));
  refuseUnkeepable(body);
  return body;
}

function jsonOf(text: string): unknown {
  try {
    return JSON.parse(text);
  } catch {
    throw new DoorError('malformed', 'The request is not JSON.', { remedy: 'send one JSON object' });
  }
}
