import { sql } from 'drizzle-orm';
import {
  boolean,
  check,
  doublePrecision,
  foreignKey,
  index,
  integer,
  jsonb,
  pgTable,
  primaryKey,
  text,
  timestamp,
  uniqueIndex,
} from 'drizzle-orm/pg-core';
import type { BuildDocument } from '@/core/car/document/document';
import type { Attempt, Conditions, Origin, RunPrediction } from '@/core/car/records/records';
import type { KeptTrack, Photo, RunReport } from '@/core/car/records/report';
import type { Shows } from '@/core/car/sharing/shares';
import type { RunKind } from '@/core/car/records/runKinds';
import type { FailureLedger } from '@/core/car/records/failureLedger';
import type { CopySheet, PrintSheet } from '@/core/car/records/prints';
import type { LibraryFigures, LibraryKind } from '@/core/car/library/kinds';
import type { WorkshopSettings } from '@/core/verdict/settings';
import { bytes, moment } from './columns';

export const workshops = pgTable(
  'workshops',
  {
    id: text('id').primaryKey(),
    name: text('name').notNull(),
    isDefault: boolean('is_default').notNull().default(false),
    settings: jsonb('settings').$type<WorkshopSettings>().notNull().default({}),
    createdAt: moment('created_at').notNull().defaultNow(),
  },
  (table) => [
    uniqueIndex('one_default_workshop')
      .on(table.isDefault)
      .where(sql`${table.isDefault}`),
  ],
);

/** What was deleted stays for a while, so that it can come back. */
const deletedAt = () => moment('deleted_at');

/** The same for equal documents, which are then read once. */
const documentMark = () => text('document_mark').generatedAlwaysAs(sql`md5(document::text)`);

/** Counts the changes of a record, so that nobody writes over one that was not read. */
const version = () => integer('version').notNull().default(1);

const workshopId = () =>
  text('workshop_id')
    .notNull()
    .references(() => workshops.id, { onDelete: 'cascade' });

export const builds = pgTable(
  'builds',
  {
    workshopId: workshopId(),
    id: text('id').notNull(),
    name: text('name').notNull(),
    createdAt: text('created_at').notNull(),
    origin: jsonb('origin').$type<Origin>(),
    deletedAt: deletedAt(),
  },
  (table) => [primaryKey({ columns: [table.workshopId, table.id] })],
);

/** Links by which a build is shown to whoever has one; only the hash of what stands in the link is kept. */
export const shares = pgTable(
  'shares',
  {
    id: text('id').primaryKey(),
    workshopId: workshopId(),
    buildId: text('build_id').notNull(),
    tokenHash: text('token_hash').notNull().unique('one_share_a_link'),
    shows: jsonb('shows').$type<Shows>().notNull(),
    createdAt: moment('created_at').notNull().defaultNow(),
    expiresAt: moment('expires_at'),
  },
  (table) => [
    foreignKey({
      name: 'shares_of_build',
      columns: [table.workshopId, table.buildId],
      foreignColumns: [builds.workshopId, builds.id],
    }).onDelete('cascade'),
    index('shares_by_build').on(table.workshopId, table.buildId),
  ],
);

export const revisions = pgTable(
  'revisions',
  {
    workshopId: workshopId(),
    id: text('id').notNull(),
    buildId: text('build_id').notNull(),
    letter: text('letter').notNull(),
    parentId: text('parent_id'),
    why: text('why'),
    expected: text('expected'),
    learned: text('learned'),
    closedAt: text('closed_at'),
    document: jsonb('document').$type<BuildDocument>().notNull(),
    documentMark: documentMark(),
    version: version(),
    createdAt: text('created_at').notNull(),
  },
  (table) => [
    primaryKey({ columns: [table.workshopId, table.id] }),
    foreignKey({
      name: 'revisions_of_build',
      columns: [table.workshopId, table.buildId],
      foreignColumns: [builds.workshopId, builds.id],
    }).onDelete('cascade'),
    uniqueIndex('one_letter_a_build').on(table.workshopId, table.buildId, table.letter),
    check('version_counts', sql`${table.version} >= 1`),
  ],
);

export const runs = pgTable(
  'runs',
  {
    workshopId: workshopId(),
    id: text('id').notNull(),
    revisionId: text('revision_id').notNull(),
    kind: text('kind').$type<RunKind>().notNull(),
    attempts: jsonb('attempts').$type<Attempt[]>().notNull(),
    conditions: jsonb('conditions').$type<Conditions>().notNull(),
    drivenMinutes: doublePrecision('driven_minutes'),
    note: text('note'),
    ranAt: text('ran_at').notNull(),
    document: jsonb('document').$type<BuildDocument>().notNull(),
    documentMark: documentMark(),
    prediction: jsonb('prediction').$type<RunPrediction>(),
    report: jsonb('report').$type<RunReport>(),
    copies: jsonb('copies').$type<string[]>(),
    photos: jsonb('photos').$type<Photo[]>(),
    track: jsonb('track').$type<KeptTrack>(),
    deletedAt: deletedAt(),
  },
  (table) => [
    primaryKey({ columns: [table.workshopId, table.id] }),
    foreignKey({
      name: 'runs_to_revision',
      columns: [table.workshopId, table.revisionId],
      foreignColumns: [revisions.workshopId, revisions.id],
    }).onDelete('cascade'),
    index('runs_of_revision').on(table.workshopId, table.revisionId),
  ],
);

export const failures = pgTable(
  'failures',
  {
    workshopId: workshopId(),
    id: text('id').notNull(),
    revisionId: text('revision_id').notNull(),
    runId: text('run_id'),
    partId: text('part_id'),
    partName: text('part_name').notNull(),
    mode: text('mode').notNull(),
    hours: doublePrecision('hours'),
    story: text('story'),
    occurredAt: text('occurred_at').notNull(),
    fix: text('fix'),
    fixRevisionId: text('fix_revision_id'),
    ledger: jsonb('ledger').$type<FailureLedger>(),
    version: version(),
    deletedAt: deletedAt(),
  },
  (table) => [
    primaryKey({ columns: [table.workshopId, table.id] }),
    foreignKey({
      name: 'failures_to_revision',
      columns: [table.workshopId, table.revisionId],
      foreignColumns: [revisions.workshopId, revisions.id],
    }).onDelete('cascade'),
    // both are looked at when a transaction ends: a build goes with all that is its own at once
    foreignKey({
      name: 'failures_to_run',
      columns: [table.workshopId, table.runId],
      foreignColumns: [runs.workshopId, runs.id],
    }),
    foreignKey({
      name: 'failures_to_fix',
      columns: [table.workshopId, table.fixRevisionId],
      foreignColumns: [revisions.workshopId, revisions.id],
    }),
    index('failures_of_revision').on(table.workshopId, table.revisionId),
  ],
);

export const libraryItems = pgTable(
  'library_items',
  {
    workshopId: workshopId(),
    id: text('id').notNull(),
    kind: text('kind').$type<LibraryKind>().notNull(),
    data: jsonb('data').$type<LibraryFigures[LibraryKind]>().notNull(),
    deletedAt: deletedAt(),
  },
  (table) => [primaryKey({ columns: [table.workshopId, table.id] })],
);

/** Plates in the queue and in the log. */
export const prints = pgTable(
  'prints',
  {
    workshopId: workshopId(),
    id: text('id').notNull(),
    revisionId: text('revision_id').notNull(),
    sheet: jsonb('sheet').$type<PrintSheet>().notNull(),
    version: version(),
    deletedAt: deletedAt(),
  },
  (table) => [
    primaryKey({ columns: [table.workshopId, table.id] }),
    foreignKey({
      name: 'prints_to_revision',
      columns: [table.workshopId, table.revisionId],
      foreignColumns: [revisions.workshopId, revisions.id],
    }).onDelete('cascade'),
    index('prints_of_revision').on(table.workshopId, table.revisionId),
  ],
);

/** Physical copies of parts. */
export const copies = pgTable(
  'copies',
  {
    workshopId: workshopId(),
    id: text('id').notNull(),
    revisionId: text('revision_id').notNull(),
    sheet: jsonb('sheet').$type<CopySheet>().notNull(),
    printId: text('print_id').generatedAlwaysAs(sql`sheet->>'printId'`),
    version: version(),
  },
  (table) => [
    primaryKey({ columns: [table.workshopId, table.id] }),
    foreignKey({
      name: 'copies_to_revision',
      columns: [table.workshopId, table.revisionId],
      foreignColumns: [revisions.workshopId, revisions.id],
    }).onDelete('cascade'),
    foreignKey({
      name: 'copies_to_print',
      columns: [table.workshopId, table.printId],
      foreignColumns: [prints.workshopId, prints.id],
    }).onDelete('cascade'),
    index('copies_of_revision').on(table.workshopId, table.revisionId),
    index('copies_of_print').on(table.workshopId, table.printId),
  ],
);

/** Files of meshes by the SHA-256 of what they hold. */
export const meshes = pgTable(
  'meshes',
  {
    workshopId: workshopId(),
    hash: text('hash').notNull(),
    content: bytes('content').notNull(),
    createdAt: moment('created_at').notNull().defaultNow(),
  },
  (table) => [primaryKey({ columns: [table.workshopId, table.hash] })],
);

/** Photographs and tracks by the SHA-256 of what they hold. */
export const files = pgTable(
  'files',
  {
    workshopId: workshopId(),
    hash: text('hash').notNull(),
    type: text('type').notNull(),
    content: bytes('content').notNull(),
    createdAt: moment('created_at').notNull().defaultNow(),
  },
  (table) => [primaryKey({ columns: [table.workshopId, table.hash] })],
);

/** Writes a client may still make in the present window. */
export const rateLimits = pgTable('rate_limits', {
  key: text('key').primaryKey(),
  windowStart: timestamp('window_start', { withTimezone: true, mode: 'date' }).notNull(),
  count: integer('count').notNull(),
});
