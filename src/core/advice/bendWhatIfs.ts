import { type Measure, measure } from '../base/measure';
import type { Patch } from '../base/patch';
import type { ChosenSurface } from '../car/document/brief';
import type { BuildDocument } from '../car/document/document';
import type { End } from '../physics/handling/steady/definition';
import type { Bend, Stance } from '../physics/handling/steady/inBend';
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

/** What toe and track do in the bend that the car is looked at in; its air and the rest stay what they are. */
export function bendWhatIfs(
  document: BuildDocument,
  surface: ChosenSurface,
  speedMps: number,
): { present: Bend; tried: BendWhatIf[] } | undefined {
  const present = bendOfBuild(document, surface, speedMps);
  if (!present.ok) return undefined;
  const { lateralMps2 } = present.value;
  const stance = stanceOf(document);
  const stood = (id: BendChangeId, by: Measure, end: End, changed: Stance, patch: Patch): BendWhatIf[] => {
    const found = bendOfBuild(document, surface, speedMps, { ...stance, [end]: changed }, lateralMps2);
    return found.ok ? [{ id, by, patch, bend: found.value }] : [];
  };
  const toe = (id: BendChangeId, end: End, byDeg: number): BendWhatIf[] => {
    if (!document.suspension[end]?.corner) return [];
    const toeDeg = stance[end].toeDeg + byDeg;
    return stood(id, measure(TOE_DEG, 'angleDeg'), end, { ...stance[end], toeDeg }, [
      { path: ['suspension', end, 'corner', 'staticToeDeg'], value: toeDeg },
    ]);
  };
  const wider = (id: BendChangeId, end: End, key: 'trackFrontMm' | 'trackRearMm') => {
    const trackMm = stance[end].trackMm + WIDER_MM;
    return stood(id, measure(WIDER_MM, 'lengthMm'), end, { ...stance[end], trackMm }, [
      { path: ['chassis', key], value: trackMm },
    ]);
  };
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
