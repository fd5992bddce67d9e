import type { BuildRecord, FailureRecord, RevisionRecord, RunRecord } from '@/core/car/records/records';
import type { BuildDocument } from '@/core/car/document/document';
import type { LibraryItem } from '@/core/car/library/kinds';
import { SEGMENTS } from '@/core/verdict/engine/segments';
import type { Check } from '@/core/verdict/engine/check';
import { checkTitle } from '@/words/checks/names';
import { LABELS } from '@/words/labels/labels';
import { LIBRARY_WORDS } from '@/words/library/library';
import { RUN_KIND_NAMES } from '@/words/learn/runKinds';
import { STATE_WORDS } from '@/words/states';
import { isOnAPage, sideToLook } from './fieldSides';
import { SEGMENT_NAMES, SEGMENT_QUESTIONS, segmentPath } from '../segments';
import { SIDE_NAMES, sidesOf } from '../sides';
import type { Place } from './placesFor';

export interface Findable {
  /** Where the pages of the build are. */
  root: string;
  build: BuildRecord;
  builds: readonly BuildRecord[];
  revision: RevisionRecord;
  revisions: readonly RevisionRecord[];
  document: BuildDocument;
  checks: readonly Check[];
  library: readonly LibraryItem[];
  runs: readonly RunRecord[];
  failures: readonly FailureRecord[];
  /** How a day reads. */
  day(at: string): string;
}

/** Everything that a word may stand for, nearest first: pages, sides, acts, checks, parts, fields, runs, failures, library, builds. */
export function placesOf({
  root,
  build,
  builds,
  revision,
  revisions,
  document,
  checks,
  library,
  runs,
  failures,
  day,
}: Findable): Place[] {
  const at = (segment: Parameters<typeof segmentPath>[2], search = '') =>
    `${segmentPath(root, revision.letter, segment)}${search}`;
  const letterOf = new Map(revisions.map(({ id, letter }) => [id, letter]));
  const pages = SEGMENTS.map((segment) => ({
    label: SEGMENT_NAMES[segment],
    hint: SEGMENT_QUESTIONS[segment],
    href: at(segment),
  }));
  const sides = SEGMENTS.flatMap((segment) =>
    sidesOf(segment).length < 2
      ? []
      : (sidesOf(segment) as readonly string[]).map((side) => ({
          label: (SIDE_NAMES[segment] as Readonly<Record<string, string>>)[side]!,
          hint: SEGMENT_NAMES[segment],
          href: at(segment, `?view=${side}`),
        })),
  );
  const acts = [
    { label: 'Record a run', hint: SEGMENT_NAMES.field, href: at('field') },
    { label: 'Note a failure', hint: SEGMENT_NAMES.learn, href: at('learn', '?open=failure') },
    { label: 'Open the next revision', hint: SEGMENT_NAMES.learn, href: at('learn', '?open=next') },
    { label: 'Build sheet and test report', hint: SEGMENT_NAMES.learn, href: at('learn', '?view=report') },
    {
      label: 'Test pieces and gear outlines as files, STL and DXF',
      hint: SEGMENT_NAMES.print,
      href: at('print'),
    },
    { label: 'Garage', hint: 'all builds', href: '/' },
    { label: 'Library', hint: 'motors, packs, controllers, tyres, surfaces', href: '/library' },
  ];
  const judged = checks.map((check) => ({
    label: checkTitle(check),
    hint: `check, ${STATE_WORDS[check.state]}, ${SEGMENT_NAMES[check.segment]}`,
    href: at(check.segment, `?view=${check.side}`),
  }));
  const parts = document.parts.items.map(({ id, name }) => ({
    label: name,
    hint: 'part',
    href: at('parts', `?part=${encodeURIComponent(id)}`),
  }));
  const fields = Object.entries(LABELS).flatMap(([path, { label, quantity }]) => {
    if (!quantity || path.includes('*') || !isOnAPage(path, document)) return [];
    const { segment, side } = sideToLook(path);
    const search = new URLSearchParams({ ...(side ? { view: side } : {}), field: path });
    return [{ label, hint: `field, ${SEGMENT_NAMES[segment]}`, href: at(segment, `?${search}`) }];
  });
  const driven = runs.map((run) => ({
    label: `${RUN_KIND_NAMES[run.kind]}, ${day(run.ranAt)}`,
    hint: `run of ${letterOf.get(run.revisionId) ?? ''}`,
    href: segmentPath(root, letterOf.get(run.revisionId) ?? revision.letter, 'field'),
  }));
  const broken = failures.map(({ partName, revisionId }) => ({
    label: partName,
    hint: `failure in ${letterOf.get(revisionId) ?? ''}`,
    href: segmentPath(root, letterOf.get(revisionId) ?? revision.letter, 'learn'),
  }));
  const stocked = library.map(({ kind, data }) => ({
    label: data.name,
    hint: `${LIBRARY_WORDS[kind].one} of the library`,
    href: `/library?kind=${kind}&find=${encodeURIComponent(data.name)}`,
  }));
  const others = [
    ...revisions
      .filter(({ id }) => id !== revision.id)
      .map(({ letter }) => ({
        label: `Revision ${letter}`,
        hint: build.name,
        href: segmentPath(root, letter, 'drive'),
      })),
    ...builds
      .filter(({ id }) => id !== build.id)
      .map(({ id, name }) => ({ label: name, hint: 'another build', href: `/builds/${id}` })),
  ];
  return [
    ...pages,
    ...sides,
    ...acts,
    ...judged,
    ...parts,
    ...fields,
    ...driven,
    ...broken,
    ...stocked,
    ...others,
  ];
}
