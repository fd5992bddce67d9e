import { boolean, index, pgTable, primaryKey, text, timestamp } from 'drizzle-orm/pg-core';
import type { Role } from '@/core/car/records/roles';
import { moment } from './columns';
import { workshops } from './workshop';

/** The library of accounts counts in dates. */
const date = (name: string) => timestamp(name, { withTimezone: true, mode: 'date' });
const made = () => date('created_at').notNull().defaultNow();
const changed = () => date('updated_at').notNull().defaultNow();

/** People with an account. */
export const people = pgTable('people', {
  id: text('id').primaryKey(),
  name: text('name').notNull(),
  email: text('email').notNull().unique('one_account_an_email'),
  emailVerified: boolean('email_verified').notNull().default(false),
  image: text('image'),
  createdAt: made(),
  updatedAt: changed(),
});

const personId = (name = 'person_id') =>
  text(name)
    .notNull()
    .references(() => people.id, { onDelete: 'cascade' });

/** Where somebody is signed in. */
export const sessions = pgTable(
  'sessions',
  {
    id: text('id').primaryKey(),
    token: text('token').notNull().unique('one_session_a_token'),
    userId: personId(),
    expiresAt: date('expires_at').notNull(),
    ipAddress: text('ip_address'),
    userAgent: text('user_agent'),
    createdAt: made(),
    updatedAt: changed(),
  },
  (table) => [index('sessions_of_person').on(table.userId)],
);

/** How somebody proves who they are: a password, hashed. */
export const credentials = pgTable(
  'credentials',
  {
    id: text('id').primaryKey(),
    accountId: text('account_id').notNull(),
    providerId: text('provider_id').notNull(),
    userId: personId(),
    accessToken: text('access_token'),
    refreshToken: text('refresh_token'),
    idToken: text('id_token'),
    accessTokenExpiresAt: date('access_token_expires_at'),
    refreshTokenExpiresAt: date('refresh_token_expires_at'),
    scope: text('scope'),
    password: text('password'),
    createdAt: made(),
    updatedAt: changed(),
  },
  (table) => [index('credentials_of_person').on(table.userId)],
);

/** Things that are good once and for a while: a link to a new password, the code of the first owner. */
export const verifications = pgTable(
  'verifications',
  {
    id: text('id').primaryKey(),
    identifier: text('identifier').notNull(),
    value: text('value').notNull(),
    expiresAt: date('expires_at').notNull(),
    createdAt: made(),
    updatedAt: changed(),
  },
  (table) => [index('verifications_by_identifier').on(table.identifier)],
);

const workshopId = () =>
  text('workshop_id')
    .notNull()
    .references(() => workshops.id, { onDelete: 'cascade' });

/** Who works in a workshop, and what they may do there. */
export const members = pgTable(
  'members',
  {
    workshopId: workshopId(),
    personId: personId(),
    role: text('role').$type<Role>().notNull(),
    joinedAt: moment('joined_at').notNull().defaultNow(),
  },
  (table) => [
    primaryKey({ columns: [table.workshopId, table.personId] }),
    index('workshops_of_person').on(table.personId),
  ],
);

/** Links by which one more may join; only the hash of what stands in the link is kept. */
export const invitations = pgTable(
  'invitations',
  {
    id: text('id').primaryKey(),
    workshopId: workshopId(),
    role: text('role').$type<Role>().notNull(),
    tokenHash: text('token_hash').notNull().unique('one_invitation_a_link'),
    invitedBy: text('invited_by').references(() => people.id, { onDelete: 'set null' }),
    createdAt: moment('created_at').notNull().defaultNow(),
    expiresAt: moment('expires_at').notNull(),
  },
  (table) => [index('invitations_of_workshop').on(table.workshopId)],
);

/** When a server last did what one of them does for all, such as the nightly backup. */
export const upkeep = pgTable('upkeep', {
  name: text('name').primaryKey(),
  doneAt: moment('done_at').notNull(),
});
