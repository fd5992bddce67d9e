import type { Sentences } from '../write';
import type { Clue } from '@/core/physics/diagnosis/reasons';

const clueWords = (clue: Clue): string =>
  'says' in clue
    ? clue.says
    : 'isA' in clue
      ? `it is ${clue.isA}`
      : `changed since it was last good: ${clue.changed}`;

/** Sentences of what the models note, by their codes. */
const RUNS_NOTES: Sentences<'note.runs'> = {
  'note.runs.flatters': () =>
    'The runs needed go by the difference that was seen, which flatters: a few more are wise.',
  'note.runs.noSpread': () => 'Neither side has any spread, so nothing can be said of chance.',
  'note.runs.oneRun': () => 'One run on a side shows no spread.',
  'note.runs.oneValue': () => 'One value shows no spread: run it again at least twice.',
  'note.runs.zeroMean': () => 'The mean is 0, so there is no spread relative to it.',
};

const SPARES_NOTES: Sentences<'note.spares'> = {
  'note.spares.noMass': ({ parts }) => `Without a mass, and so counted as 0 g: ${parts.join(', ')}.`,
};

const TIMING_NOTES: Sentences<'note.timing'> = {
  'note.timing.meanAcceleration': () => 'The acceleration is a mean: its peak asks for more grip.',
  'note.timing.endSpeedBound': () =>
    'The end speed is an upper bound where the car stopped accelerating early.',
  'note.timing.noLoad': () =>
    'At this acceleration the driven wheels carry no load: check the distance and the time.',
  'note.timing.friction': ({ needed, limit }) =>
    `It needs a friction of ${needed}, over ${limit}: check the distance and the time.`,
  'note.timing.noTransfer': ({ driven }) =>
    `Without the height of the centre of gravity and the wheelbase the load transfer is left out, which ${driven === 'rear' ? 'overstates what rear' : 'understates what front'} drive needs.`,
  'note.timing.nothingToGain': () => 'Nothing to gain: no error was given.',
  'note.timing.tape': ({ error, distance }) =>
    `The tape is the weaker half: measure the distance to ±${error}, or double it to ${distance}.`,
  'note.timing.frameRate': ({ fps, distance }) =>
    `The frame rate is the weaker half: film at ${fps} frames per second, or double the distance to ${distance}.`,
  'note.timing.stopWatch': ({ distance }) =>
    `The stop-watch is the weaker half: double the distance to ${distance}, or film it and count frames.`,
};

const TRACK_NOTES: Sentences<'note.track'> = {
  'note.track.speeds': ({ own }) =>
    own ? 'Speeds are the receiver’s own.' : 'Speeds are from the positions.',
  'note.track.noise': () => 'Noise of the positions pushes a maximum up: a longer window is steadier.',
  'note.track.clockBack': ({ points }) =>
    points === 1
      ? 'The clock went back at one point, which is left out: look whether the receiver lost its time there.'
      : `The clock went back at ${points} points, which are left out: look whether the receiver lost its time there.`,
  'note.track.short': ({ window }) =>
    `The track is shorter than the window of ${window}, so it shows no top speed.`,
};

const DIAGNOSIS_NOTES: Sentences<'note.diagnosis'> = {
  'note.diagnosis.place': ({ usual, means }) =>
    usual ? `For: it is a usual cause where ${means}.` : `Against: it is a rare cause where ${means}.`,
  'note.diagnosis.strong': ({ clue }) => `For, strongly: ${clueWords(clue)}.`,
  'note.diagnosis.weak': ({ clue }) => `For: ${clueWords(clue)}.`,
  'note.diagnosis.against': ({ clue }) => `Against: ${clueWords(clue)}.`,
  'note.diagnosis.margin': ({ for: speaksFor, key, margin }) =>
    `${speaksFor ? 'For' : 'Against'}: the margin of ${key} is ${margin}.`,
  'note.diagnosis.outcome': ({ result }) =>
    `${result === 'yes' ? 'For' : 'Against'}: its check says ${result}.`,
  'note.diagnosis.silent': () => 'Nothing that is known speaks for or against it.',
  'note.diagnosis.judgement': () =>
    'A judgement aid: the grades are practice written down, not measured frequencies. A check decides, a share does not.',
  'note.diagnosis.noClue': () => 'No clue and no check yet: say what you saw, and the shares move.',
  'note.diagnosis.manyChanges': ({ changes }) =>
    `${changes} things changed since it was last good: put them back one at a time.`,
  'note.diagnosis.unusedMargins': ({ margins }) => `Margins that say nothing here: ${margins.join(', ')}.`,
  'note.diagnosis.clear': () => 'Clear enough for a verdict.',
  'note.diagnosis.allLookedAt': () => 'Every check has its outcome: there is nothing left to look at.',
  'note.diagnosis.next': ({ minutes, causes, share }) =>
    `It takes ${minutes} and separates ${causes.join('; ')} (${share} together) from the rest: the most told per minute.`,
  'note.diagnosis.unknownMode': ({ mode }) =>
    `“${mode}” is no kind of failure that is known here; it is looked at as something else.`,
  'note.diagnosis.unknownClues': ({ clues }) =>
    `Clues that are not known here and are left out: ${clues.join(', ')}.`,
  'note.diagnosis.noPart': ({ part }) =>
    `${part} is no longer a part of that revision, so its kind and its margins are not known.`,
};

export const RECORD_NOTES = {
  ...RUNS_NOTES,
  ...SPARES_NOTES,
  ...TIMING_NOTES,
  ...TRACK_NOTES,
  ...DIAGNOSIS_NOTES,
};
