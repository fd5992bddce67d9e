import type { Reader } from '@/core/base/units/formatQuantity';
import type { DriveSiteResult } from '@/core/physics/place/site';
import type { DriveLapResult } from '@/core/physics/laps/lap';
import type { Check } from '@/core/verdict/engine/check';
import type { PassList } from '@/core/verdict/passList';
import type { StandstillOfBuild } from '@/core/worked/heat/heldOfBuild';
import { heldSentence, standstillSentence } from './standstill';
import { passSentence as passWords } from './duty';
import { costSentence, gapSentence, gearSentence, lapSentence } from './lap';
import { entrySentence, placeSentence, radioSentence, passSentence, windSentence } from './place';

const reader: Reader = { units: 'metric', locale: 'en', currency: 'EUR' };
const plainly = (text: string) => text.replace(/[\u00a0\u202f]/g, ' ');
const row = { share: 0.99, speedMps: 10, runUpM: 20, runUpS: 3, stretchS: 1, speedErrorPct: 1, driftM: 0.3 };
const site = (more: Partial<DriveSiteResult>): DriveSiteResult => ({
  usableM: 58,
  targetMps: 10,
  rows: [],
  fits: true,
  placeSpeedMps: 12,
  radioFarthestM: 31,
  stalled: false,
  notes: [],
  ...more,
});

test('a place says whether the pass fits, and else what it allows', () => {
  const fits = site({ rows: [{ ...row, stopM: 8, stopS: 2, neededM: 38, spareM: 20, fits: true }] });
  expect(plainly(placeSentence(fits, reader))).toBe(
    'A pass at 36 km/h fits with 20 m to spare; this place allows 43.2 km/h.',
  );
  expect(entrySentence(fits, reader)).toBe('');
  const short = site({
    rows: [{ ...row, stopM: 8, stopS: 2, neededM: 38, spareM: -5, fits: false }],
    fits: false,
    placeSpeedMps: 7,
    entrySpeedNeededMps: 3,
  });
  expect(plainly(placeSentence(short, reader))).toBe(
    'A pass at 36 km/h needs 5 m more: this place allows 25.2 km/h.',
  );
  expect(plainly(entrySentence(short, reader))).toBe('A rolling start of 10.8 km/h would make it fit.');
  const endless = site({ rows: [{ ...row, fits: false }], fits: false });
  expect(plainly(placeSentence(endless, reader))).toBe('From 36 km/h it does not stop: give it a brake.');
  expect(placeSentence(site({ stalled: true }), reader)).toContain('cannot move');
});

test('the radio is held against the farthest corner', () => {
  expect(plainly(radioSentence(site({}), reader))).toContain('31 m from the driver');
  expect(radioSentence(site({ radioReaches: true }), reader)).toContain('more than the');
  expect(radioSentence(site({ radioReaches: false }), reader)).toContain('farther than');
});

test('a lap tells its time, its pace and its price, and what it wins', () => {
  const lap: DriveLapResult = {
    stalled: false,
    lengthM: 80,
    lapTimeS: 16,
    meanSpeedMps: 5,
    shares: { grip: 0.25, drive: 0.6, braking: 0.15 },
    lapsPerPack: 90.7,
    meanMotorCurrentA: 12,
    notes: [],
  };
  expect(plainly(lapSentence(lap, reader))).toBe('A lap of 80 m takes 16 s: 18 km/h on the mean.');
  const faster = { label: 'A', lap: { ...lap, lapTimeS: 16.5 } };
  expect(plainly(lapSentence(lap, reader, faster))).toContain('takes 16 s, 0.5 s faster than A');
  // 90.7 laps of 16 s
  expect(plainly(costSentence({ lap: lap, lapsPerPack: lap.lapsPerPack }, reader))).toBe(
    'What sets the pace, of the time: the motor 60 %, the tyres 25 %, the brakes 15 %. A pack is good for 90 laps, 24 min, at 12 A per motor on the mean.',
  );
  const stopped: DriveLapResult = { stalled: true, stalledAtM: 12, lengthM: 80, notes: [] };
  expect(plainly(lapSentence(stopped, reader))).toBe('It does not get round: it stops after 12 m of 80 m.');
  expect(plainly(gapSentence({ m: 8, deg: 180 }, reader))).toContain('8 m from its start and points 180°');
});

test('the gear for a lap says what it takes off, or that it is on the car', () => {
  const present = { ratio: 10, patch: [], lapTimeS: 16, isPresent: true };
  const best = { ratio: 8, patch: [], lapTimeS: 15.5, isPresent: false };
  expect(plainly(gearSentence({ gears: [], present, best }, reader))).toBe(
    '8 : 1 takes 0.5 s off a lap against 10 : 1. Look at the heat before you take it.',
  );
  expect(gearSentence({ gears: [], present, best: present }, reader)).toContain('as it is, is the fastest');
  expect(gearSentence({ gears: [], present }, reader)).toBe('No gear gets it round.');
  const { lapTimeS: _, ...stops } = present;
  expect(gearSentence({ gears: [], present: stops, best }, reader)).toContain('gets it round');
});

test('a wind tells both ways, and a pass what still speaks against it', () => {
  expect(
    plainly(windSentence({ windMps: 5, againstMps: 8, withMps: 12, stillMps: 10, bothMps: 9.6 }, reader)),
  ).toBe(
    'In a wind of 18 km/h along it the top speed is 28.8 km/h against it and 43.2 km/h with it; timed both ways 34.6 km/h, in still air 36 km/h.',
  );
  const list = (more: Partial<PassList>): PassList => ({
    checks: [],
    open: [],
    unticked: [],
    go: false,
    ...more,
  });
  const open = (id: string, state: string, missing: string[] = []) =>
    ({ id, state, missing }) as unknown as Check;
  expect(passSentence(list({ go: true }))).toBe('Go.');
  expect(
    passSentence(
      list({
        open: [
          open('drive.place', 'over'),
          open('tyre.burst', 'unknown', ['drive.tyre']),
          open('drive.heat', 'unknown'),
        ],
        unticked: ['pack'],
      }),
    ),
  ).toBe(
    'No go: room for the pass is over; tyre at its fastest is not known; motor case over a pack is being worked out; 1 look is owed.',
  );
});

test('what is driven says whether the car keeps up', () => {
  const pass = { wish: { tS: [0, 20], speedMps: [5, 5] }, tS: [0], speedMps: [5], behindShare: 0 };
  expect(plainly(passWords(pass, reader))).toBe(
    'It follows all of it; 20 s, again and again until the pack is empty.',
  );
  expect(plainly(passWords({ ...pass, behindShare: 0.25 }, reader))).toContain(
    'For 25 % of the time it is slower than is asked',
  );
});

test('a car at rest says its outcome, and how long its motor lasts', () => {
  const at = (standing: object, held: StandstillOfBuild['held'] = [{ throttle: 1 }], gradePct = 8) =>
    ({ standing, held, gradePct }) as StandstillOfBuild;
  const forces = { driveN: 20, gripN: 10, neededN: 3 };
  expect(plainly(standstillSentence(at({ ...forces, outcome: 'moves', wheelspin: true }), reader))).toBe(
    'It moves off up 8 %: 10 N against the 3 N that it takes; at full throttle the wheels would spin.',
  );
  expect(plainly(standstillSentence(at({ ...forces, outcome: 'spins', neededN: 12 }, [], 0), reader))).toBe(
    'Its tyres spin: they hold 10 N of the 12 N that it takes. No gear mends that.',
  );
  expect(standstillSentence(at({ ...forces, outcome: 'stalls' }), reader)).toContain('heats while it stands');
  expect(plainly(heldSentence(at({ safeThrottle: 0.12 }, [{ throttle: 1, lastsS: 4 }]), reader))).toContain(
    'lasts 4 s, at 12 % or less for ever',
  );
  expect(heldSentence(at({}), reader)).toContain('stays under its limit');
});
