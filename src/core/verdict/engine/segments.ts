/** The segments of the job in their order, each with its sides; the first side is shown unless another is asked for. */
export const SIDES = {
  brief: ['wish'],
  drive: ['run', 'place', 'lap', 'heat', 'ratio', 'explorer', 'layout', 'gears', 'search', 'joints', 'tyres'],
  power: ['supply', 'pack', 'wiring', 'radio'],
  chassis: ['layout', 'space', 'air', 'stability'],
  suspension: ['corner', 'better', 'ride', 'forces', 'steering', 'play', 'aids'],
  parts: ['few', 'made', 'mesh'],
  print: ['tonight', 'fits', 'holes', 'list', 'assembly'],
  field: ['runs', 'tracks', 'compare', 'grip', 'bench', 'blows', 'calibrate'],
  learn: ['failures', 'life', 'revisions', 'next', 'report'],
} as const;

export type Segment = keyof typeof SIDES;
export type SideOf<S extends Segment> = (typeof SIDES)[S][number];

export const SEGMENTS = Object.keys(SIDES) as readonly Segment[];

/** A side of a segment. */
export type Place = { readonly [S in Segment]: { readonly segment: S; readonly side: SideOf<S> } }[Segment];
