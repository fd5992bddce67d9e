import { database } from '@/db/client';
import { codeForFirstOwner } from '@/db/queries/firstOwner';
import { rateLimits } from '@/db/schema';
import { POST as claim } from '@/app/api/account/first/route';
import { POST as signUp } from '@/app/api/account/sign-up/route';

type Handler = (request: Request, context?: { params: Promise<Record<string, string>> }) => Promise<Response>;

export interface Answer {
  status: number;
  // eslint-disable-next-line @typescript-eslint/no-explicit-any
  json: any;
  headers: Headers;
}

interface Sent {
  method?: string;
  body?: unknown;
  bytes?: Buffer;
  type?: string;
  id?: string;
  token?: string;
  /** What follows /api in the address, where it matters. */
  address?: string;
  headers?: Record<string, string>;
}

let clients = 0;

/** A browser of one person: keeps the cookies that it is handed, and sends them. */
export class Browser {
  readonly jar = new Map<string, string>();
  readonly client = `client ${clients++}`;

  async send(handler: Handler, options: Sent = {}): Promise<Answer> {
    const response = await this.ask(handler, options);
    const text = await response.text();
    return {
      status: response.status,
      headers: response.headers,
      json: text.startsWith('{') ? JSON.parse(text) : text,
    };
  }

  async ask(
    handler: Handler,
    {
      method = 'GET',
      body,
      bytes,
      type = 'application/json',
      id,
      token = 'guessed',
      address = '',
      headers = {},
    }: Sent = {},
  ): Promise<Response> {
    const payload = bytes ? new Uint8Array(bytes) : body === undefined ? undefined : JSON.stringify(body);
    const response = await handler(
      new Request(`http://localhost/api${address}`, {
        method,
        headers: {
          cookie: [...this.jar].map(([name, value]) => `${name}=${value}`).join('; '),
          'x-forwarded-for': this.client,
          ...(payload === undefined ? {} : { 'content-type': type }),
          ...headers,
        },
        ...(payload === undefined ? {} : { body: payload }),
      }),
      {
        params: Promise.resolve<Record<string, string>>(
          id === undefined ? {} : { id, token, kind: 'builds' },
        ),
      },
    );
    for (const cookie of response.headers.getSetCookie()) {
      const [pair = ''] = cookie.split(';');
      const [name = '', value = ''] = pair.split('=');
      if (value === '' || /max-age=0/i.test(cookie)) this.jar.delete(name);
      else this.jar.set(name, value);
    }
    return response;
  }
}

export const PASSWORD = 'a long way home';

/** Accounts are on in this file. */
export function withAccounts(): void {
  beforeAll(() => {
    process.env.ACCOUNTS = 'on';
    process.env.BETTER_AUTH_SECRET = 'a secret of these tests alone, long enough';
  });
  beforeEach(async () => void (await database().delete(rateLimits)));
}

/** The first owner of the server, signed in. */
export async function firstOwner(): Promise<Browser> {
  const browser = new Browser();
  const answer = await browser.send(claim, {
    method: 'POST',
    body: {
      code: await codeForFirstOwner(database()),
      name: 'Ada',
      email: 'ada@cars.example',
      password: PASSWORD,
    },
  });
  expect(answer).toMatchObject({ status: 201 });
  return browser;
}

/** Somebody else with an account, signed in; in the workshop of an invitation, or in one of their own. */
export async function another(name: string, invitation?: string): Promise<Browser> {
  const browser = new Browser();
  const answer = await browser.send(signUp, {
    method: 'POST',
    body: {
      name,
      email: `${name.toLowerCase()}@cars.example`,
      password: PASSWORD,
      ...(invitation === undefined ? {} : { invitation }),
    },
  });
  expect(answer).toMatchObject({ status: 201 });
  return browser;
}
