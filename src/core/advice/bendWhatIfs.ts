import { type Measure, measure } from '../base/measure';
import { applyPatch, type Patch } from '../base/patch';
import type { ChosenSurface } from '../car/document/brief';
import type { BuildDocument } from '../car/document/document';
import type { Bend } from '../physics/handling/steady/inBend';
import { bendOfBuild, stanceOf } from '../worked/stability/bendOfBuild';

export const BEND_CHANGES = [
  'front-toe-in',
  'front-toe-out',
  'rear-toe-in',
  'rear-toe-out',
  'front-wider',
  'rear-wider',
] as const;
export type BendChangeId = (typeof BEND_CHANGES)[number];

export interface BendWhatIf {
  id: BendChangeId;
  by: Measure;
  patch: Patch;
  bend: Bend;
}

const [TOE_DEG, WIDER_MM] = [1, 20];

/** What toe and track do in the bend that the car is looked at in, each as the car that it makes. */
export function bendWhatIfs(
  document: BuildDocument,
  surface: ChosenSurface,
  speedMps: number,
): { present: Bend; tried: BendWhatIf[] } | undefined {
  const present = bendOfBuild(document, surface, speedMps);
  if (!present.ok) return undefined;
  const { lateralMps2 } = present.value;
  const patched = (id: BendChangeId, by: Measure, patch: Patch): BendWhatIf[] => {
    const found = bendOfBuild(applyPatch(document, patch), surface, speedMps, lateralMps2);
    return found.ok ? [{ id, by, patch, bend: found.value }] : [];
  };
  const stance = stanceOf(document);
  const toe = (id: BendChangeId, end: 'front' | 'rear', byDeg: number): BendWhatIf[] =>
    document.suspension[end]?.corner
      ? patched(id, measure(TOE_DEG, 'angleDeg'), [
          { path: ['suspension', end, 'corner', 'staticToeDeg'], value: stance[end].toeDeg + byDeg },
        ])
      : [];
  const wider = (id: BendChangeId, end: 'front' | 'rear', key: 'trackFrontMm' | 'trackRearMm') =>
    patched(id, measure(WIDER_MM, 'lengthMm'), [
      { path: ['chassis', key], value: stance[end].trackMm + WIDER_MM },
    ]);
  return {
    present: present.value,
    tried: [
      ...toe('front-toe-in', 'front', TOE_DEG),
      ...toe('front-toe-out', 'front', -TOE_DEG),
      ...toe('rear-toe-in', 'rear', TOE_DEG),
      ...toe('rear-toe-out', 'rear', -TOE_DEG),
      ...wider('front-wider', 'front', 'trackFrontMm'),
      ...wider('rear-wider', 'rear', 'trackRearMm'),
    ],
  };
}
