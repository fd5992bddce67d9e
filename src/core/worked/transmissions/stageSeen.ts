import { CalcError } from '../../base/errors';
import type { Stage } from '../../car/stages/stage';
import { type Cones, conesOf } from '../../physics/bevels/bevelGeometry';
import type { MeshResult } from '../../physics/gears/mesh';
import type { PlanetaryResult } from '../../physics/planetary/definition';
import type { BeltResult } from '../../physics/transmissions/beltDefinition';
import type { ChainResult } from '../../physics/transmissions/chain';
import { meshOrRefusal } from '../drive/stageMesh';
import { isConical, isSpur } from '../drive/stageKinds';
import { beltMissing, beltOrRefusal, chainMissing, chainOrRefusal } from './beltOfBuild';
import { placesMissing, setOfStage } from './setOfBuild';

/** A stage as it can be drawn, what it still needs for that, or why its figures do not go together. */
export type StageSeen =
  | { by: 'missing'; missing: readonly string[] }
  | { by: 'refused'; refused: CalcError }
  | { by: 'spur'; mesh: MeshResult }
  | { by: 'internal'; centreMm: number }
  | { by: 'bevel'; cones: Cones }
  | { by: 'planetary'; set: PlanetaryResult }
  | { by: 'belt'; belt: BeltResult }
  | { by: 'chain'; chain: ChainResult };

/** Fewest teeth that a gear in a ring can have less than the ring. */
const LEAST_DIFFERENCE = 8;

export function stageSeen(stage: Stage): StageSeen {
  const missing = missingToSee(stage);
  if (missing.length > 0) return { by: 'missing', missing };
  switch (stage.kind) {
    case 'spur': {
      const found = meshOrRefusal(stage);
      return 'mesh' in found ? { by: 'spur', mesh: found.mesh } : { by: 'refused', refused: found.refused };
    }
    case 'internal':
      return { by: 'internal', centreMm: (stage.moduleMm! * (stage.wheelTeeth! - stage.pinionTeeth!)) / 2 };
    case 'bevel':
    case 'differential':
      return orRefused(() => ({ by: 'bevel', cones: bevelOf(stage) }));
    case 'planetary':
      return orRefused(() => ({ by: 'planetary', set: setOfStage(stage) }));
    case 'belt': {
      const found = beltOrRefusal(stage);
      return 'belt' in found ? { by: 'belt', belt: found.belt } : { by: 'refused', refused: found.refused };
    }
    default: {
      const found = chainOrRefusal(stage);
      return 'chain' in found
        ? { by: 'chain', chain: found.chain }
        : { by: 'refused', refused: found.refused };
    }
  }
}

/** A wheel whose shaft lies square to the pinion’s; a shift of nearly a module would leave no tooth. */
function bevelOf({ pinionTeeth, wheelTeeth, moduleMm, faceWidthMm, pinion }: Stage): Cones {
  return conesOf({
    pinionTeeth: pinionTeeth!,
    wheelTeeth: wheelTeeth!,
    moduleMm: moduleMm!,
    shaftAngleDeg: 90,
    faceWidthMm: faceWidthMm!,
    pressureAngleDeg: 20,
    pinionShift: Math.max(-MOST_SHIFT, Math.min(MOST_SHIFT, pinion?.shift ?? 0)),
  });
}

const MOST_SHIFT = 0.99;

function missingToSee(stage: Stage): string[] {
  const at = (key: string) => `drive.stages.${stage.id}.${key}`;
  if (stage.kind === 'belt') return beltMissing(stage);
  if (stage.kind === 'chain') return chainMissing(stage);
  if (stage.pinionTeeth === undefined || stage.wheelTeeth === undefined) return ['drive.stages'];
  const noModule = stage.moduleMm === undefined ? [at('moduleMm')] : [];
  if (stage.kind === 'planetary') return [...noModule, ...placesMissing(stage)];
  if (isConical(stage)) return [...noModule, ...(stage.faceWidthMm === undefined ? [at('faceWidthMm')] : [])];
  if (stage.kind === 'internal' && stage.wheelTeeth - stage.pinionTeeth < LEAST_DIFFERENCE)
    return [...noModule, at('wheelTeeth:internal')];
  return isSpur(stage) || stage.kind === 'internal' ? noModule : ['drive.stages'];
}

function orRefused(work: () => StageSeen): StageSeen {
  try {
    return work();
  } catch (error) {
    if (!(error instanceof CalcError)) throw error;
    return { by: 'refused', refused: error };
  }
}
