import type { Reader } from '@/core/base/units/formatQuantity';
import type { DriveSiteResult } from '@/core/physics/place/site';
import type { DriveLapResult } from '@/core/physics/laps/lap';
import { costSentence, gapSentence, lapSentence } from './lap';
import { entrySentence, placeSentence, radioSentence } from './place';

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
  expect(plainly(costSentence(lap, reader))).toBe(
    'What sets the pace, of the time: the motor 60 %, the tyres 25 %, the brakes 15 %. A pack is good for 90 laps, 24 min, at 12 A per motor on the mean.',
  );
  const stopped: DriveLapResult = { stalled: true, stalledAtM: 12, lengthM: 80, notes: [] };
  expect(plainly(lapSentence(stopped, reader))).toBe('It does not get round: it stops after 12 m of 80 m.');
  expect(plainly(gapSentence({ m: 8, deg: 180 }, reader))).toContain('8 m from its start and points 180°');
});
