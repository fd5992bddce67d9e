import { emptyDocument } from '@/core/car/document/document';
import type { RevisionRecord, RunRecord } from '@/core/car/records/records';
import { packBuild, unpackBuild } from './packedBuild';

const at = '2026-05-01T10:00:00.000Z';
const [first, second] = [emptyDocument(), { ...emptyDocument(), chassis: { cgHeightMm: 40 } }];
const revision = (letter: string, document = first): RevisionRecord => ({
  id: letter,
  buildId: 'b',
  letter,
  version: 3,
  createdAt: at,
  document,
});
const run = (id: string, document = first): RunRecord => ({
  id,
  revisionId: 'A',
  kind: 'terrain',
  attempts: [],
  conditions: {},
  ranAt: at,
  document,
});

it('a packed build is the same when it is unpacked, and equal documents are one', () => {
  const data = {
    whole: {
      build: { id: 'b', name: 'Build', createdAt: at },
      revisions: [revision('A'), revision('B', second)],
      runs: [run('1'), run('2', second), run('3')],
      failures: [],
      prints: [],
      copies: [],
    },
    library: [],
    thresholds: { 'brief.mass': 1.2 },
    finishedPrints: [],
    printAheadMinutes: 120,
    builds: [],
  };
  const text = packBuild(data);
  expect(text.match(/"schemaVersion"/g)).toHaveLength(2);
  const { whole, ...rest } = unpackBuild(text);
  expect({ whole, ...rest }).toEqual(data);
  expect(whole.runs[0]!.document).toBe(whole.revisions[0]!.document);
});
