import { betterAuth } from 'better-auth';
import { drizzleAdapter } from 'better-auth/adapters/drizzle';
import { LONGEST_PASSWORD, SHORTEST_PASSWORD } from '@/core/car/records/roles';
import type { Database } from '@/db/client';
import { credentials, people, sessions, verifications } from '@/db/schema';
import { areCookiesSecure, ownAddress, ownOrigins } from './ownAddress';

const DAY_S = 86_400;
/** A session ends after so long without a visit; with one it is renewed once a day. */
const [SESSION_S, RENEWED_AFTER_S] = [30 * DAY_S, DAY_S];
const RESET_S = 3600;

/** The library holds passwords, sessions and what proves them; its own web doors are not opened. */
function madeFor(db: Database, hand?: (token: string) => void) {
  const secret = process.env.BETTER_AUTH_SECRET;
  if (!secret) throw new Error('BETTER_AUTH_SECRET is not set: npm run start sets it itself');
  return betterAuth({
    appName: 'Lean Badger',
    baseURL: process.env.BETTER_AUTH_URL ?? ownAddress(),
    secret,
    trustedOrigins: ownOrigins(),
    telemetry: { enabled: false },
    logger: { disabled: true },
    database: drizzleAdapter(db, {
      provider: 'pg',
      schema: { user: people, session: sessions, account: credentials, verification: verifications },
    }),
    emailAndPassword: {
      enabled: true,
      minPasswordLength: SHORTEST_PASSWORD,
      maxPasswordLength: LONGEST_PASSWORD,
      revokeSessionsOnPasswordReset: true,
      resetPasswordTokenExpiresIn: RESET_S,
      // whoever runs the server hands the link on: there is no post office
      ...(hand ? { sendResetPassword: async ({ token }: { token: string }) => hand(token) } : {}),
    },
    user: { deleteUser: { enabled: true } },
    session: { expiresIn: SESSION_S, updateAge: RENEWED_AFTER_S, cookieCache: { enabled: false } },
    rateLimit: { enabled: false },
    advanced: {
      cookiePrefix: 'badger',
      useSecureCookies: areCookiesSecure(),
    },
  });
}

export type Accounts = ReturnType<typeof madeFor>;
const made = new WeakMap<Database, Accounts>();

/** The accounts of a database. */
export function accounts(db: Database): Accounts {
  const known = made.get(db);
  if (known) return known;
  const fresh = madeFor(db);
  made.set(db, fresh);
  return fresh;
}

/** What a new password can be set with for an hour; nothing where nobody has that email. */
export async function resetTokenFor(db: Database, email: string): Promise<string | undefined> {
  let token: string | undefined;
  await madeFor(db, (given) => (token = given)).api.requestPasswordReset({ body: { email } });
  return token;
}
