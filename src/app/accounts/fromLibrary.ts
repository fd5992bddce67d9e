import { APIError } from 'better-auth/api';
import { DoorError } from '@/db/errors';

const WRONG_PASSWORD = () =>
  new DoorError('credentials', 'That is not your password.', {
    path: 'password',
    remedy: 'type it again; npm run reset-password on the server prints a link to a new one',
  });

const REFUSALS: Readonly<Record<string, () => DoorError>> = {
  INVALID_EMAIL_OR_PASSWORD: () =>
    new DoorError('credentials', 'Email and password do not go together.', {
      path: 'password',
      remedy: 'type both again; whoever runs the server can print a link to a new password',
    }),
  INVALID_PASSWORD: WRONG_PASSWORD,
  USER_ALREADY_EXISTS: () => taken(),
  USER_ALREADY_EXISTS_USE_ANOTHER_EMAIL: () => taken(),
  INVALID_TOKEN: () =>
    new DoorError('expired', 'This link is not good any more.', {
      path: 'token',
      remedy: 'have npm run reset-password print a new one',
    }),
};

const taken = () =>
  new DoorError('exists', 'There is an account with this email already.', {
    path: 'email',
    remedy: 'sign in with it',
  });

/** What the library of accounts answers, its refusals in our words. */
export async function fromLibrary<T>(answer: Promise<T>): Promise<T> {
  try {
    return await answer;
  } catch (error) {
    const code = error instanceof APIError ? error.body?.code : undefined;
    throw REFUSALS[code ?? '']?.() ?? error;
  }
}

/** An answer that hands out the library's cookies. */
export function withCookies(answer: Response, { headers }: { headers: Headers }): Response {
  for (const cookie of headers.getSetCookie()) answer.headers.append('set-cookie', cookie);
  return answer;
}
