import type { AirShapes } from '@/core/car/air/air';
import type { BuildDocument } from '@/core/car/document/document';
import type { Edit, Path } from '@/core/base/patch';

/** What stands in the air and can be dragged: where its fields are, and where it stands. */
export interface Placed {
  id: string;
  kind: 'wing' | 'fin' | 'splitter' | 'undertray' | 'noseScoop';
  name: string;
  path: Path;
  xMm: number;
  /** None of what lies at the ground. */
  zMm?: number;
}

const ROOT = ['chassis', 'air'];
export const SINGLES = ['splitter', 'undertray', 'noseScoop'] as const;
export const SINGLE_NAMES = {
  splitter: 'Splitter',
  undertray: 'Closed underside',
  noseScoop: 'Air through the nose',
} as const;

/** Everything of the shapes but the body. */
export function placedOf(air: AirShapes = {}): Placed[] {
  return [
    ...(air.wings ?? []).map(({ id, name, xMm, zMm }): Placed => ({
      id,
      kind: 'wing',
      name: name ?? 'Wing',
      path: [...ROOT, 'wings', id],
      xMm,
      zMm,
    })),
    ...SINGLES.flatMap((kind): Placed[] => {
      const one = air[kind];
      if (!one) return [];
      const place = { id: kind, kind, name: SINGLE_NAMES[kind], path: [...ROOT, kind], xMm: one.xMm };
      return ['zMm' in one ? { ...place, zMm: one.zMm } : place];
    }),
    ...(air.fins ?? []).map(({ id, name, xMm, zMm }): Placed => ({
      id,
      kind: 'fin',
      name: name ?? 'Fin',
      path: [...ROOT, 'fins', id],
      xMm,
      zMm,
    })),
  ];
}

/** The edit that moves it. */
export const movedTo = ({ path, zMm }: Placed, xMm: number, z: number): Edit[] => [
  { path: [...path, 'xMm'], value: Math.round(xMm) },
  ...(zMm === undefined ? [] : [{ path: [...path, 'zMm'], value: Math.max(0, Math.round(z)) }]),
];

/** The edit that adds an item to a list that may not be there yet. */
export const added = (
  { chassis: { air } }: BuildDocument,
  list: 'wings' | 'fins',
  item: { id: string },
): Edit =>
  air?.[list] ? { path: [...ROOT, list, item.id], value: item } : { path: [...ROOT, list], value: [item] };
