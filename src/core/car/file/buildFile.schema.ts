import Joi from 'joi';
import { documentSchema } from '../document/document.schema';
import { refusal } from '../../base/errors';
import { failureSheetFields, fileHash, predictionSchema, runSheetFields } from '../records/records.schema';
import { libraryItemSchema } from '../library/items.schema';
import { copyRecordSchema, printRecordSchema } from '../records/log.schema';
import { identifier, text } from '../../base/schema/fields';
import { parse } from '../../base/schema/parse';
import {
  type BuildFile,
  FILE_FORMAT,
  FILE_VERSION,
  type FiledRun,
  KEPT_TYPES,
  type KeptFile,
} from './buildFile';
import { LARGEST_FILE, LARGEST_TEXT } from './largestFile';
import { readBuildFileText } from './readBuildFile';
import { type Named, referencesIn } from './references';

declare module '../../base/errors' {
  interface RefusalFacts {
    'buildFile.noContent': Record<never, never>;
    'buildFile.dangling': { name: string };
    'buildFile.noRun': { documentOf: string };
  }
}

const moment = () => Joi.string().isoDate().required();

const revisionSchema = Joi.object({
  id: identifier().required(),
  letter: Joi.string()
    .pattern(/^[A-Z]{1,3}$/)
    .required(),
  parentId: identifier(),
  why: text(2000),
  expected: text(2000),
  learned: text(4000),
  closedAt: Joi.string().isoDate(),
  createdAt: moment(),
  document: documentSchema,
});

/** As it is written: runs may share a document. */
export const buildFileSchema = Joi.object<Omit<BuildFile, 'runs'> & { runs: FiledRun[] }>({
  format: Joi.valid(FILE_FORMAT).required(),
  formatVersion: Joi.valid(FILE_VERSION).required(),
  build: Joi.object({
    id: identifier().required(),
    name: text(80).required(),
    createdAt: moment(),
    origin: Joi.object({ name: text(80).required(), workshop: text(80), at: moment() }),
  }).required(),
  revisions: Joi.array().items(revisionSchema).min(1).max(1000).unique('id').unique('letter').required(),
  runs: Joi.array()
    .items(
      Joi.object({
        ...runSheetFields,
        document: documentSchema.optional(),
        documentOf: identifier(),
        revisionId: identifier().required(),
        prediction: predictionSchema,
      }).xor('document', 'documentOf'),
    )
    .max(20_000)
    .unique('id')
    .required(),
  failures: Joi.array()
    .items(Joi.object({ ...failureSheetFields, revisionId: identifier().required() }))
    .max(20_000)
    .unique('id')
    .required(),
  prints: Joi.array().items(printRecordSchema).max(20_000).unique('id').default([]),
  copies: Joi.array().items(copyRecordSchema).max(20_000).unique('id').default([]),
  library: Joi.array().items(libraryItemSchema).max(2000).unique('id').required(),
  files: Joi.array()
    .items(
      Joi.object<KeptFile>({
        hash: fileHash().required(),
        type: Joi.valid(...KEPT_TYPES).required(),
        base64: Joi.string()
          .pattern(/^[A-Za-z0-9+/]+={0,2}$/)
          .max(LARGEST_FILE),
      }),
    )
    .max(20_000)
    .unique('hash')
    .default([]),
}).required();

/**
 * A build file from its text.
 *
 * @throws CalcError at what is damaged, foreign, newer, huge, out of range or points nowhere
 */
export function parseBuildFile(text: string): BuildFile {
  const file = checked(text, LARGEST_FILE);
  const empty = file.files.findIndex(({ base64 }) => base64 === undefined);
  if (empty >= 0) throw refusal(`files.${empty}.base64`, 'buildFile.noContent');
  return file;
}

/** A build file from the text in an archive, where what it names lies beside it. */
export const parseArchivedBuild = (text: string): BuildFile => checked(text, LARGEST_TEXT);

function checked(text: string, mostBytes: number): BuildFile {
  const filed = parse(buildFileSchema, readBuildFileText(text, mostBytes));
  const held: Partial<Record<Named, ReadonlySet<string>>> = {
    revision: idsOf(filed.revisions),
    run: idsOf(filed.runs),
    print: idsOf(filed.prints),
  };
  for (const { path, names, name } of referencesIn(filed)) {
    if (held[names]?.has(name) === false) throw refusal(path, 'buildFile.dangling', { name });
  }
  return { ...filed, runs: withDocuments(filed.runs) };
}

/** Runs with the documents that they share. */
function withDocuments(runs: readonly FiledRun[]): BuildFile['runs'] {
  const documents = new Map(
    runs.flatMap((run) => ('document' in run ? [[run.id, run.document] as const] : [])),
  );
  return runs.map((run, at) => {
    if ('document' in run) return run;
    const { documentOf, ...light } = run;
    const document = documents.get(documentOf);
    if (!document) throw refusal(`runs.${at}.documentOf`, 'buildFile.noRun', { documentOf });
    return { ...light, document };
  });
}

const idsOf = (records: readonly { id: string }[]) => new Set(records.map(({ id }) => id));
