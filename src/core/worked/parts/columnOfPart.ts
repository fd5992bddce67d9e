import { type Assembled, missingOf } from '../../base/assembled';
import type { Part } from '../../car/parts/parts';
import { columnCheck } from '../../physics/strength/column';
import { Base, LoadedPart, layersOf, at, warm, NOT_LOADED } from './loadedPart';
import { strengthOf } from './materialOfBuild';
import { sectionOfShape, keptOf } from './partSection';

export function asColumn(part: Part, base: Base): Assembled<LoadedPart> {
  const { lengthMm, ends = 'pinned' } = part.shape!;
  const section = sectionOfShape(part.shape!);
  const layers = layersOf(part);
  const missing = [
    ...missingOf({ [at(part, 'shape.lengthMm')]: lengthMm, [at(part, 'layers')]: layers }),
    ...('section' in section ? [] : section.map((key) => at(part, `shape.${key}`))),
  ];
  if (!('section' in section) || missing.length > 0) return { ok: false, missing };
  const found = columnCheck({
    lengthMm: lengthMm!,
    section: section.section,
    material: strengthOf(part.material!),
    ends,
    layers: layers!,
    forceN: base.forceN,
    ...warm(part),
  });
  const kept = keptOf(part, section);
  const left = found.mode === 'Euler' ? Math.min(kept.upright, kept.sideways) : kept.area;
  return {
    ok: true,
    value: {
      ...base,
      margin: Math.min(NOT_LOADED, found.margin * left),
      breaksAtN: found.bucklingN * left,
      between: false,
      mode: found.mode === 'Euler' ? 'buckled' : 'crushed',
      depth: 'column',
      working: {
        as: 'column',
        lengthMm: lengthMm!,
        ends,
        formula: found.mode,
        bucklingN: found.bucklingN * left,
      },
    },
  };
}
