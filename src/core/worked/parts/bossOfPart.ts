import { type Assembled, missingOf } from '../../base/assembled';
import type { Part } from '../../car/parts/parts';
import { derate } from '../../physics/strength/allowable';
import { bossCheck } from '../../physics/strength/boss';
import { Base, LoadedPart, layersOf, at } from './loadedPart';
import { strengthOf, hasLayers } from './materialOfBuild';

export function asBoss(part: Part, base: Base): Assembled<LoadedPart> {
  const { screwMm, engagementMm, wallMm, screws = 1, screwKind = 'screwInPlastic' } = part.shape!;
  const layers = layersOf(part);
  const missing = missingOf({
    [at(part, 'shape.screwMm')]: screwMm,
    [at(part, 'shape.engagementMm')]: engagementMm,
    [at(part, 'shape.wallMm')]: wallMm,
    [at(part, 'layers')]: layers,
  });
  if (missing.length > 0) return { ok: false, missing };
  const material = strengthOf(part.material!);
  const left = derate(material, part.temperatureC);
  const found = bossCheck({
    screwMm: screwMm!,
    engagementMm: engagementMm!,
    wallMm: wallMm!,
    material,
    layers: layers === 'across' ? 'acrossAxis' : 'alongAxis',
    forceN: base.forceN / screws,
  });
  const own = found.kinds[screwKind];
  if (!own) return { ok: false, missing: [at(part, 'shape.screwMm:standard')] };
  return {
    ok: true,
    value: {
      ...base,
      margin: own.margin * left,
      breaksAtN: own.pullOutN * left * screws,
      between: hasLayers(part.material!) && layers === 'across' && screwKind !== 'throughBolt',
      mode: 'pulledOut',
      screwKind,
      depth: 'boss',
      working: {
        as: 'boss',
        forceN: base.forceN,
        screws,
        screwMm: screwMm!,
        engagementMm: engagementMm!,
        screwKind,
        pullOutN: own.pullOutN * left,
      },
    },
  };
}
