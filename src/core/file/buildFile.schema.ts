import Joi from 'joi';
import { documentSchema } from '../build/document.schema';
import { CalcError } from '../errors';
import { failureSheetFields, fileHash, predictionSchema, runSheetFields } from '../field/records.schema';
import { libraryItemSchema } from '../library/items.schema';
import { copyRecordSchema, printRecordSchema } from '../print/log.schema';
import { identifier, text } from '../schema/fields';
import { parse } from '../schema/parse';
import { type BuildFile, FILE_FORMAT, FILE_VERSION, KEPT_TYPES, type KeptFile, readBuildFileText } from './buildFile';
import { LARGEST_FILE } from './largestFile';
import { type Named, referencesIn } from './references';

const moment = () => Joi.string().isoDate().required();

const revisionSchema = Joi.object({
  id: identifier().required(),
  letter: Joi.string().pattern(/^[A-Z]{1,3}$/).required(),
  parentId: identifier(),
  why: text(2000),
  expected: text(2000),
  learned: text(4000),
  closedAt: Joi.string().isoDate(),
  createdAt: moment(),
  document: documentSchema,
});

export const buildFileSchema = Joi.object<BuildFile>({
  format: Joi.valid(FILE_FORMAT).required(),
  formatVersion: Joi.valid(FILE_VERSION).required(),
  build: Joi.object({ id: identifier().required(), name: text(80).required(), createdAt: moment() }).required(),
  revisions: Joi.array().items(revisionSchema).min(1).max(1000).unique('id').unique('letter').required(),
  runs: Joi.array().items(Joi.object({ ...runSheetFields, revisionId: identifier().required(), prediction: predictionSchema })).max(20_000).unique('id').required(),
  failures: Joi.array().items(Joi.object({ ...failureSheetFields, revisionId: identifier().required() })).max(20_000).unique('id').required(),
  prints: Joi.array().items(printRecordSchema).max(20_000).unique('id').default([]),
  copies: Joi.array().items(copyRecordSchema).max(20_000).unique('id').default([]),
  library: Joi.array().items(libraryItemSchema).max(2000).unique('id').required(),
  files: Joi.array().items(Joi.object<KeptFile>({ hash: fileHash().required(), type: Joi.valid(...KEPT_TYPES).required(), base64: Joi.string().pattern(/^[A-Za-z0-9+/]+={0,2}$/).max(LARGEST_FILE).required() })).max(20_000).unique('hash').default([]),
}).required();

/**
 * A build file from its text.
 *
 * @throws CalcError at what is damaged, foreign, newer, huge, out of range or points nowhere
 */
export function parseBuildFile(text: string): BuildFile {
  const file = parse(buildFileSchema, readBuildFileText(text));
  const held: Partial<Record<Named, ReadonlySet<string>>> = { revision: idsOf(file.revisions), run: idsOf(file.runs) };
  for (const { path, names, name } of referencesIn(file)) {
    if (held[names]?.has(name) === false) throw new CalcError(path, `names ${name}, which the file does not hold`);
  }
  return file;
}

const idsOf = (records: readonly { id: string }[]) => new Set(records.map(({ id }) => id));
