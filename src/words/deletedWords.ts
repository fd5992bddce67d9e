import type { DeletedThing } from '@/core/car/records/deleted';
import { LIBRARY_WORDS } from './library/library';
import { RUN_KIND_NAMES } from './learn/runKinds';

const inBuild = ({ of }: DeletedThing) => (of ? `, ${of.build} ${of.letter}` : '');

const WORDS: Readonly<Record<DeletedThing['kind'], (thing: DeletedThing) => string>> = {
  builds: ({ name }) => `Build ${name}`,
  runs: (thing) => `${RUN_KIND_NAMES[thing.runKind!]}${inBuild(thing)}`,
  failures: (thing) => `Failure of ${thing.name!.toLowerCase()}${inBuild(thing)}`,
  prints: (thing) => `Print of ${thing.parts!.join(', ').toLowerCase()}${inBuild(thing)}`,
  library: ({ libraryKind, name }) => `${LIBRARY_WORDS[libraryKind!].many}: ${name}`,
};

/** What something was that was deleted. */
export const deletedWords = (thing: DeletedThing): string => WORDS[thing.kind](thing);
