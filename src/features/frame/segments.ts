import type { Segment } from '@/core/verdict/engine/segments';

export const SEGMENT_NAMES: Readonly<Record<Segment, string>> = {
  brief: 'Brief',
  drive: 'Drive',
  power: 'Power',
  chassis: 'Chassis',
  suspension: 'Suspension',
  parts: 'Parts',
  print: 'Print',
  field: 'Field',
  learn: 'Learn',
};

export const SEGMENT_QUESTIONS: Readonly<Record<Segment, string>> = {
  brief: 'What does this wish demand?',
  drive: 'Will it go as fast, and stay cool?',
  power: 'Does everything get its volts?',
  chassis: 'Does it slide or roll?',
  suspension: 'What do the wheels do when it moves?',
  parts: 'What breaks first?',
  print: 'What goes on the bed tonight?',
  field: 'What did it do?',
  learn: 'Why did it break, and what next?',
};

/** @param root where the pages of a build are, as its page says */
export const segmentPath = (root: string, letter: string, segment: Segment) => `${root}/${letter}/${segment}`;
