import type { CarMark } from '@/core/verdict/carMarks';
import { CAR } from '@/core/physics/clearance/definition';
import type { Thing } from '@/core/worked/space/thingsOfCar';
import type { State } from '@/core/verdict/engine/check';
import type { InkName } from '@/ui/space';

export const COLOURED_BY = ['kind', 'margin', 'mass', 'failures', 'hours'] as const;
export type ColouredBy = (typeof COLOURED_BY)[number];

export const CUTS = ['none', 'lengthwise', 'across', 'level'] as const;
export type Cut = (typeof CUTS)[number];
/** The axis of the car that a cut stands across. */
export const CUT_AXIS: Readonly<Record<Exclude<Cut, 'none'>, 0 | 1 | 2>> = {
  lengthwise: 1,
  across: 0,
  level: 2,
};

/** How the car is looked at. */
export interface CarLook {
  by: ColouredBy;
  xray: boolean;
  cut: Cut;
  cutMm: number;
  /** Share of the way to where it is taken apart. */
  apart: number;
  /** How far the wheels are turned, and the gears before them. */
  turnDeg: number;
}

export const PLAIN_LOOK: CarLook = { by: 'kind', xray: false, cut: 'none', cutMm: 0, apart: 0, turnDeg: 0 };

const OF_STATE: Readonly<Record<State, InkName>> = {
  over: 'rust',
  tight: 'ochre',
  clear: 'moss',
  unknown: 'quiet',
};
/** From little to much, in thirds of the most. */
const THIRDS: readonly InkName[] = ['rule', 'slate', 'ink'];

/** The ink of each thing, by its id. */
export function inksBy(
  by: ColouredBy,
  things: readonly Thing[],
  marks: ReadonlyMap<string, CarMark>,
): ReadonlyMap<string, InkName> {
  const figure = by === 'mass' ? ('massG' as const) : ('hours' as const);
  const most = Math.max(0, ...[...marks.values()].map((mark) => mark[figure] ?? 0));
  return new Map(
    things.map((thing): [string, InkName] => {
      const mark = marks.get(thing.id);
      if (by === 'kind' || !mark) return [thing.id, inkOfKind(thing)];
      if (by === 'margin') return [thing.id, mark.check ? OF_STATE[mark.check.state] : 'rule'];
      if (by === 'failures')
        return [thing.id, mark.failures === 0 ? 'rule' : mark.failures === 1 ? 'ochre' : 'rust'];
      const value = mark[figure];
      if (value === undefined || most === 0) return [thing.id, 'sheet'];
      return [thing.id, THIRDS[Math.min(THIRDS.length - 1, Math.floor((THIRDS.length * value) / most))]!];
    }),
  );
}

function inkOfKind({ of, class: kind, body, shell, train }: Thing): InkName {
  if (train) return train.role === 'shaft' ? 'slate' : 'moss';
  if (kind === 'wire') return 'rust';
  if (shell) return 'quiet';
  if (kind === 'hot') return 'ochre';
  if (!of) return body === CAR ? 'slate' : 'ink';
  return of.thing === 'wheel'
    ? 'quiet'
    : of.thing === 'damper'
      ? 'moss'
      : of.thing === 'shaft'
        ? 'slate'
        : 'ink';
}
