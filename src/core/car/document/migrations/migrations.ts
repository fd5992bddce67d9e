import { dutyOfPreset } from './dutyOfPreset';
import { holdOfStretch } from './holdOfStretch';
import { withoutDamperShare } from './withoutDamperShare';

/** Each lifts a document from its index + 1 to the next version; an old file always opens. */
export const MIGRATIONS: readonly ((older: Record<string, unknown>) => Record<string, unknown>)[] = [
  (older) => ({ ...older, schemaVersion: 2, unfinished: [] }),
  (older) => ({ ...withoutDamperShare(dutyOfPreset(older)), schemaVersion: 3 }),
  (older) => ({ ...holdOfStretch(older), schemaVersion: 4 }),
];
