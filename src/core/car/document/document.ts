import { refusal } from '../../base/errors';
import { type Brief, emptyBrief } from './brief';
import { type Chassis, emptyChassis } from './chassis';
import { type Drive, emptyDrive } from './drive';
import { MIGRATIONS } from './migrations/migrations';
import { emptyParts, type Parts } from '../parts/parts';
import { emptyPower, type Power } from './power';
import { emptyPrint, type Print } from './print';
import { emptySuspension, type Suspension } from './suspension';

declare module '../../base/errors' {
  interface RefusalFacts {
    'document.noVersion': Record<never, never>;
    'document.newer': { version: number; schemaVersion: number };
  }
}

export const SCHEMA_VERSION = 4;

/** Everything that is decided about one revision of a car. What can be computed from it is not in it. */
export interface BuildDocument {
  schemaVersion: typeof SCHEMA_VERSION;
  /** Required figures that were emptied and count with their last value: paths with slashes, list items by id. */
  unfinished: string[];
  /** What was filled in for the builder and not touched since: paths with slashes; left out where there is none. */
  assumed?: string[];
  brief: Brief;
  drive: Drive;
  power: Power;
  chassis: Chassis;
  suspension: Suspension;
  parts: Parts;
  print: Print;
}

export function emptyDocument(): BuildDocument {
  return {
    schemaVersion: SCHEMA_VERSION,
    unfinished: [],
    brief: emptyBrief(),
    drive: emptyDrive(),
    power: emptyPower(),
    chassis: emptyChassis(),
    suspension: emptySuspension(),
    parts: emptyParts(),
    print: emptyPrint(),
  };
}

/**
 * Brings a document of any known version to the present one; what it returns still has to pass the schema.
 *
 * @throws CalcError at `schemaVersion` for a version that this program does not know
 */
export function migrateDocument(raw: unknown): unknown {
  if (typeof raw !== 'object' || raw === null) return raw;
  const version = (raw as { schemaVersion?: unknown }).schemaVersion;
  if (typeof version !== 'number' || !Number.isInteger(version) || version < 1) {
    throw refusal('schemaVersion', 'document.noVersion');
  }
  if (version > SCHEMA_VERSION) {
    throw refusal('schemaVersion', 'document.newer', { version, schemaVersion: SCHEMA_VERSION });
  }
  return MIGRATIONS.slice(version - 1).reduce((older, step) => step(older), raw as Record<string, unknown>);
}
