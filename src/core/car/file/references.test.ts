import { emptyDocument } from '../document/document';
import { namesIn, referencesIn, renamedIn } from './references';

const mesh = { hash: 'm', name: 'a.stl', unitMm: 1, up: [0, 0, 1] as const };
const document = {
  ...emptyDocument(),
  brief: {
    surfaces: [
      {
        id: 's',
        libraryId: 'surface-x',
        name: 'X',
        ground: 'hard' as const,
        mu: 1,
        muError: 0,
        rollingResistance: 0,
        rollingResistanceError: 0,
      },
    ],
  },
  power: {
    loads: [{ id: 'l', libraryId: 'servo-x', name: 'Servo', kind: 'servo' as const, rail: 'battery' }],
    radio: { transmitter: { libraryId: 'radio-x', name: 'T', protocol: 'p', channels: 3, rangeM: 100 } },
  },
  parts: {
    items: [
      { id: 'a', name: 'A', kind: 'arm' as const, mesh, material: { libraryId: 'material-x', name: 'M' } },
      { id: 'b', name: 'B', kind: 'arm' as const },
    ],
  },
};
const records = {
  revisions: [
    { id: 'r1', document },
    { id: 'r2', parentId: 'r1', document: emptyDocument() },
  ],
  runs: [
    {
      id: 'n',
      revisionId: 'r2',
      copies: ['c1', 'c2'],
      report: { beaten: [{ id: 'b', copyId: 'c3' }] },
      photos: [{ hash: 'p' }],
      track: { hash: 't' },
      document: emptyDocument(),
    },
  ],
  failures: [
    {
      id: 'f',
      revisionId: 'r2',
      runId: 'n',
      fixRevisionId: 'r1',
      ledger: { copyId: 'c1', photos: [{ hash: 'p' }, { hash: 'q' }] },
    },
  ],
  library: [{ id: 'tyre-x', kind: 'tyre', data: { compound: 'compound-x' } }],
};

describe('what a build names', () => {
  it('is found wherever it stands', () => {
    expect(namesIn(records, 'library')).toEqual(
      new Set(['surface-x', 'servo-x', 'radio-x', 'material-x', 'compound-x']),
    );
    expect(namesIn(records, 'mesh')).toEqual(new Set(['m']));
    expect(namesIn(records, 'file')).toEqual(new Set(['p', 't', 'q']));
    expect(namesIn(records, 'copy')).toEqual(new Set(['c1', 'c2', 'c3']));
    expect(referencesIn(records).find(({ names }) => names === 'run')).toEqual({
      path: 'failures.0.runId',
      names: 'run',
      name: 'n',
    });
  });

  it('can be called otherwise everywhere at once, and nothing else changes', () => {
    const other = renamedIn(records, (name, names) => (names === 'copy' ? `${name}!` : name));
    expect(namesIn(other, 'copy')).toEqual(new Set(['c1!', 'c2!', 'c3!']));
    expect(other.revisions).toBe(records.revisions);
    expect(JSON.stringify(other).replaceAll('!', '')).toBe(JSON.stringify(records));
  });
});
