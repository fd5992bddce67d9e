import type { Stage } from '../../car/stages/stage';
import type { PlanetaryResult } from '../../physics/planetary/definition';
import { gearPlanetary } from '../../physics/planetary/planetary';
import { planetTeethOf } from '../drive/stageTeeth';

const FEWEST_TEETH = 10;

/** What a set still needs before its places are known. */
export function placesMissing(stage: Stage): string[] {
  const at = (key: string) => `drive.stages.${stage.id}.${key}`;
  const planetTeeth = planetTeethOf(stage);
  return [
    ...(stage.pinionTeeth! < FEWEST_TEETH ? [at('pinionTeeth:tooFew')] : []),
    ...(stage.planets === undefined ? [at('planets')] : []),
    ...(Number.isInteger(planetTeeth) && planetTeeth >= FEWEST_TEETH ? [] : [at('wheelTeeth:planets')]),
  ];
}

/** The set of a stage: its sun drives, its ring is held. A module of 1 where none is given, for its places alone. */
export const setOfStage = (stage: Stage): PlanetaryResult =>
  gearPlanetary({
    sunTeeth: stage.pinionTeeth!,
    planetTeeth: planetTeethOf(stage),
    ringTeeth: stage.wheelTeeth!,
    planets: stage.planets!,
    moduleMm: stage.moduleMm ?? 1,
    ...(stage.ringAddendum === undefined ? {} : { ringAddendum: stage.ringAddendum }),
    held: 'ring',
    driving: 'sun',
  });
