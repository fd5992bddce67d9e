import fc from 'fast-check';
import { emptyDocument } from '../document/document';
import { namesIn } from '../file/references';
import type { WholeBuild } from '../records/records';
import { sharedBuild, usedItems, withFilesOf } from './sharedBuild';
import { SHOWABLE, type Shows } from './shares';

const [PHOTO, STORY, TRACK, LOG] = ['a', 'b', 'c', 'd'].map((letter) => letter.repeat(64)) as [
  string,
  string,
  string,
  string,
];
const NONE: Shows = { failures: false, photos: false, tracks: false };
const ALL: Shows = { failures: true, photos: true, tracks: true };
const WHOLE: WholeBuild = {
  build: { id: 'hare', name: 'Hare', createdAt: '2026-05-01T10:00:00Z' },
  revisions: [
    {
      id: 'hare-a',
      buildId: 'hare',
      letter: 'A',
      version: 1,
      createdAt: '2026-05-01T10:00:00Z',
      document: emptyDocument(),
    },
  ],
  runs: [
    {
      id: 'run',
      kind: 'track',
      revisionId: 'hare-a',
      attempts: [],
      conditions: {},
      ranAt: '2026-05-02T10:00:00Z',
      note: 'wet grass',
      document: emptyDocument(),
      photos: [{ hash: PHOTO }],
      track: {
        hash: TRACK,
        name: 'home-lane-12.gpx',
        windowS: 1,
        distanceM: 400,
        durationS: 60,
        droppedPoints: 0,
      },
      report: { noise: 'whine', log: { hash: LOG, name: 'log.csv', rows: 10, durationS: 5 } },
    },
  ],
  failures: [
    {
      id: 'failure',
      revisionId: 'hare-a',
      mode: 'cracked',
      partName: 'Arm',
      occurredAt: '2026-05-02T11:00:00Z',
      ledger: { wet: true, photos: [{ hash: STORY }] },
    },
  ],
  prints: [],
  copies: [],
};

describe('what a link shows of a build', () => {
  it('is the car and its runs, without what was not chosen', () => {
    const shown = sharedBuild(WHOLE, NONE);
    expect(shown.failures).toEqual([]);
    expect(shown.runs[0]).toMatchObject({ note: 'wet grass', report: { noise: 'whine' } });
    expect(namesIn(shown, 'file')).toEqual(new Set());
    expect(JSON.stringify(shown)).not.toContain('home-lane');
  });

  it('is each thing that was chosen, a track under no name of its own, and never a log of sensors', () => {
    const shown = sharedBuild(WHOLE, ALL);
    expect(namesIn(shown, 'file')).toEqual(new Set([PHOTO, STORY, TRACK]));
    expect(shown.runs[0]!.track).toMatchObject({ name: 'track', distanceM: 400 });
    expect(shown.failures[0]!.ledger).toEqual({ wet: true, photos: [{ hash: STORY }] });
    // a failure without photographs keeps the rest of what is known about it
    expect(sharedBuild(WHOLE, { ...ALL, photos: false }).failures[0]!.ledger).toEqual({ wet: true });
  });

  it('grows with each choice and changes nothing of the build itself', () => {
    const before = JSON.stringify(WHOLE);
    fc.assert(
      fc.property(fc.subarray([...SHOWABLE]), fc.constantFrom(...SHOWABLE), (chosen, more) => {
        const shows = (list: readonly string[]) =>
          Object.fromEntries(SHOWABLE.map((one) => [one, list.includes(one)])) as unknown as Shows;
        const few = namesIn(sharedBuild(WHOLE, shows(chosen)), 'file');
        const many = namesIn(sharedBuild(WHOLE, shows([...chosen, more])), 'file');
        expect([...few].every((hash) => many.has(hash))).toBe(true);
      }),
      { numRuns: 30, seed: 7 },
    );
    expect(JSON.stringify(WHOLE)).toBe(before);
  });

  it('leaves out what is not held any more', () => {
    const left = withFilesOf(sharedBuild(WHOLE, ALL), (hash) => hash === STORY);
    expect(namesIn(left, 'file')).toEqual(new Set([STORY]));
    expect(left.runs[0]).toMatchObject({ photos: [], note: 'wet grass' });
  });
});

it('of a library only what is named is shown, and what that names', () => {
  const items = [
    { id: 'tyre', kind: 'tyre', data: { compound: 'rubber' } },
    { id: 'rubber', kind: 'compound', data: {} },
    { id: 'secret', kind: 'motor', data: {} },
  ];
  expect(usedItems(items, new Set(['tyre'])).map(({ id }) => id)).toEqual(['tyre', 'rubber']);
});
