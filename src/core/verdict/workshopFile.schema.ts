import Joi from 'joi';
import { parse } from '../base/schema/parse';
import { CalcError, refusal } from '../base/errors';
import { parseLibraryItem } from '../car/library/items.schema';
import { settingsSchema } from './settings.schema';
import { WORKSHOP_FORMAT, WORKSHOP_VERSION, type WorkshopFile } from './workshopFile';

declare module '../base/errors' {
  interface RefusalFacts {
    'import.json': Record<never, never>;
  }
}

const MOST_BUILDS = 9999;

const schema = Joi.object<WorkshopFile>({
  format: Joi.valid(WORKSHOP_FORMAT).required(),
  formatVersion: Joi.valid(WORKSHOP_VERSION).required(),
  name: Joi.string().min(1).max(80).required(),
  settings: settingsSchema,
  library: Joi.array().items(Joi.object().unknown()).max(20_000).required(),
  builds: Joi.number().integer().min(0).max(MOST_BUILDS).required(),
}).required();

/** The first text of an archive of a workshop. @throws CalcError at the first field that is wrong */
export function parseWorkshopFile(text: string): WorkshopFile {
  const file = parse(schema, jsonOf(text));
  return { ...file, library: file.library.map(parsedItem) };
}

function parsedItem(item: unknown, at: number) {
  try {
    return parseLibraryItem(item);
  } catch (error) {
    throw atItem(error, at);
  }
}

const atItem = (error: unknown, at: number): unknown =>
  error instanceof CalcError ? error.at(`library.${at}${error.path === '' ? '' : `.${error.path}`}`) : error;

function jsonOf(text: string): unknown {
  try {
    return JSON.parse(text);
  } catch {
    throw refusal('', 'import.json');
  }
}
