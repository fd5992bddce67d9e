import type { LibraryItem } from '../car/library/kinds';
import type { WorkshopSettings } from './settings';

export const WORKSHOP_FORMAT = 'lean-badger-workshop';
export const WORKSHOP_VERSION = 1;

/** What an archive of a whole workshop begins with; its builds lie beside it, each as a build file. */
export interface WorkshopFile {
  format: typeof WORKSHOP_FORMAT;
  formatVersion: typeof WORKSHOP_VERSION;
  name: string;
  settings: WorkshopSettings;
  library: LibraryItem[];
  /** How many build files lie beside it. */
  builds: number;
}

export const WORKSHOP_NAME = 'workshop.json';

/** What the text of a build is called in the archive, by its place from 0 on. */
export const buildTextName = (at: number): string => `builds/${String(at + 1).padStart(4, '0')}.json`;
