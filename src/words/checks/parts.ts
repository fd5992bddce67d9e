import { WHEEL_LOAD_TERMS } from './links';
import { inSentence } from '@/core/base/units/words';
import type { BreakMode } from '@/core/worked/parts/partWorking';
import { counted, firstUp, listed } from '../lists';
import { SCREW_TERMS } from '../terms';
import { loadWords } from './loads';
import type { Sentences } from '../write';
import type { State } from '@/core/verdict/engine/check';
import { STATE_WORDS } from '../states';

const BROKEN: Readonly<Record<Exclude<BreakMode, 'pulledOut'>, string>> = {
  bent: 'bent',
  bentAcross: 'bent until the layers part',
  sheared: 'sheared',
  buckled: 'buckled',
  crushed: 'crushed',
  tornInLayer: 'torn in the layer',
  layersApart: 'its layers pulled apart',
  layersSheared: 'its layers sheared',
};

/** How a part breaks, as its rows say it. */
export const breakWords = (mode: BreakMode, screwKind: keyof typeof SCREW_TERMS | undefined): string =>
  mode === 'pulledOut' ? `${SCREW_TERMS[screwKind ?? 'screwInPlastic']} pulled out` : BROKEN[mode];

/** Sentences about parts and their loads. */
export const PART_SENTENCES: Sentences<'parts' | 'load'> = {
  'parts.solid': ({ voxels, voxel }) => `Its own mesh in ${voxels} voxels of ${voxel}.`,
  'parts.part': ({ from, wheel, force, breaks, mode, screwKind, between, share, whole, how, left, tired }) =>
    `${firstUp(loadWords({ from, ...(wheel ? { wheelLoad: wheel } : {}) }))}: ${force}; ${breakWords(mode, screwKind)}, it breaks at ${breaks}, ${between ? 'between the layers' : 'in the material'}. ${share ? `${share} of ${whole}. ` : ''}${how}${left ? ` Corners and holes left ${left} of the beam when it was last solved; solve it again.` : ''}${tired ? ` After ${tired.times} times ${tired.left} of its strength is left (${tired.low} to ${tired.high}).` : ''}`,
  'load.own': () => 'As given.',
  'load.link': ({ load, travel }) =>
    `Statics of the corner under ${WHEEL_LOAD_TERMS[load] ?? load}, at ${travel} of travel.`,
  'load.wheel': ({ load, end }) =>
    `Its share of what the links of a ${end} wheel carry: ${WHEEL_LOAD_TERMS[load] ?? load}.`,
  'load.falls': ({ drop, stop }) => `Falls ${drop} and is stopped over ${stop}, the force rising linearly.`,
  'load.impactAll': ({ drop }) => `Falls ${drop} on its tyres, springs and dampers; the peak at every wheel.`,
  'load.impact': ({ drop, end, bottoms }) =>
    `Half of the car falls ${drop} on one ${end} wheel${bottoms ? ', whose travel is used up' : ''}.`,
  'load.halfOfLanding': () => 'Half of what stops the whole car.',
  'load.crash': ({ speed, stop }) => `Stopped from ${speed} over ${stop}, the peak twice the mean.`,
  'load.bumper': ({ rate, speed }) => `A bumper of ${rate} takes all of the motion at ${speed}.`,
  'load.kerb': ({ speed, stop }) =>
    `Half the car is stopped from ${speed} over ${stop}, the force rising linearly.`,
  'load.cornerUp': ({ outer }) => `At the tyres’ limit ${outer} of the axle stands on the outer wheel.`,
  'load.cornerAcross': ({ mu }) => `Friction ${mu} on that wheel’s weight, towards the middle of the corner.`,
  'load.braking': ({ mu, shifted }) => `Friction ${mu} on the axle’s weight with ${shifted} shifted forward.`,
  'load.servo': ({ arm }) => `The servo stalls on an arm of ${arm}.`,
  'load.shafts': ({ by }) =>
    `${by === 'motor' ? 'The motor stalls' : 'The tyres hold'}; each of its two shafts carries half.`,
  'load.mismatch': ({ sum, weight }) => `The wheel loads add up to ${sum}, the mass weighs ${weight}.`,
};

const REASONS = {
  tooTall: 'is higher than the printer reaches',
  mayNotTurn: 'would fit if it might be turned',
  tooLarge: 'is larger than the bed',
} as const;

interface MisfitFacts {
  reason: keyof typeof REASONS;
  diagonalFits: boolean;
  splitPieces: number;
}

/** What would do for a part that fits no bed. */
export function misfitWords({ reason, diagonalFits, splitPieces }: MisfitFacts): string {
  const remedy = diagonalFits
    ? 'lay it aslant, corner to corner'
    : splitPieces > 1
      ? `split it into ${splitPieces}, or lay it another way up`
      : 'lay it another way up';
  return `${REASONS[reason]}: ${remedy}`;
}

const withoutMeshWords = (count: number) =>
  count > 0 ? ` ${count} more ${count === 1 ? 'has' : 'have'} no mesh yet.` : '';

const comingWords = (coming: number) =>
  coming > 0 ? ` ${coming} ${coming === 1 ? 'is' : 'are'} queued or on the bed.` : '';

/** Parts with how often each is needed. */
export const owedWords = (owed: readonly { part: string; count: number }[]): string =>
  listed(owed.map(({ part, count }) => `${count} × ${inSentence(part)}`));

/** Sentences about printing. */
export const PRINT_SENTENCES: Sentences<'print'> = {
  'print.bed.fits': ({ parts, printers, printer, withoutMesh }) =>
    `${counted(parts, 'part')} with a mesh ${parts === 1 ? 'lies' : 'lie'} on ${printers === 1 ? inSentence(printer) : `one of ${printers} beds`}.${withoutMeshWords(withoutMesh)}`,
  'print.bed.misfit': ({ part, withoutMesh, ...misfit }) =>
    `${part} ${misfitWords(misfit)}.${withoutMeshWords(withoutMesh)}`,
  'print.queue.none': ({ parts, coming }) =>
    `Every one of ${counted(parts, 'printed part')} is there as often as the car needs it.${comingWords(coming)}`,
  'print.queue.owed': ({ owed, coming }) => `Still to print: ${owedWords(owed)}.${comingWords(coming)}`,
};

/** What the sketch of a part shows. */
export const sketchWords = (shown: {
  part: string;
  support: 'cantilever' | 'simple' | 'fixed';
  column: boolean;
  force: string;
  margin: string;
  state: State;
}): string =>
  `${shown.part}, ${shown.column ? 'pressed at both ends' : HELD[shown.support]}; ${shown.force}; margin ${shown.margin}, ${STATE_WORDS[shown.state]}`;

const HELD = {
  cantilever: 'clamped at one end and loaded at the other',
  simple: 'resting at both ends and loaded between them',
  fixed: 'clamped at both ends and loaded between them',
} as const;
