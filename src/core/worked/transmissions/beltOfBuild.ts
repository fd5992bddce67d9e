import { CalcError } from '../../base/errors';
import type { Stage } from '../../car/stages/stage';
import { beltDrive } from '../../physics/transmissions/belt';
import {
  type BeltInput,
  type BeltLoad,
  type BeltProfile,
  type BeltResult,
  TYPICAL_BELTS,
} from '../../physics/transmissions/beltDefinition';
import { type ChainResult, chainLength } from '../../physics/transmissions/chain';
import type { StageLoad } from '../drive/peakTorque';
import type { ToothSetting } from '../drive/toothOfBuild';
import { gearTemperatures } from '../drive/gearTemperature';
import { loadsOn } from './stagePeak';

const FEWEST_TEETH = 6;
/** Every load is a peak already. */
const PEAK_OVERLOAD = 1;
export const USUAL_PROFILE: BeltProfile = 'curvilinear';

/** Pitches of a form whose figures are known, mm. */
export const pitchesOf = (profile: BeltProfile): number[] => [...TYPICAL_BELTS[profile].keys()];

/** What a belt still needs before it can be worked out. */
export function beltMissing(stage: Stage): string[] {
  const {
    id,
    pitchMm,
    pinionTeeth = 0,
    wheelTeeth = 0,
    faceWidthMm,
    beltTeeth,
    slotMinMm,
    slotMaxMm,
  } = stage;
  const at = (key: string) => `drive.stages.${id}.${key}`;
  const known = pitchMm !== undefined && TYPICAL_BELTS[stage.beltProfile ?? USUAL_PROFILE].has(pitchMm);
  return [
    ...(pitchMm === undefined ? [at('pitchMm')] : known ? [] : [at('pitchMm:known')]),
    ...(pinionTeeth < FEWEST_TEETH ? [at('pinionTeeth:belt')] : []),
    ...(wheelTeeth < FEWEST_TEETH ? [at('wheelTeeth:belt')] : []),
    ...(faceWidthMm === undefined ? [at('faceWidthMm:belt')] : []),
    ...(beltTeeth === undefined && (slotMinMm === undefined || slotMaxMm === undefined)
      ? [at('beltTeeth')]
      : []),
    ...(slotMinMm !== undefined && slotMaxMm !== undefined && slotMinMm > slotMaxMm
      ? [at('slotMinMm:range')]
      : []),
  ];
}

const isReducing = ({ pinionTeeth = 0, wheelTeeth = 0 }: Stage) => pinionTeeth <= wheelTeeth;

/** A belt as it stands in the build; without a load its lengths and what a set tension gives. */
export function beltInputOf(stage: Stage, load?: BeltLoad, pulleyC = 23): BeltInput {
  const { pinionTeeth = 0, wheelTeeth = 0, slotMinMm, slotMaxMm, beltTeeth, pretensionN } = stage;
  const small = isReducing(stage) ? stage.pinion : stage.wheel;
  return {
    pitchMm: stage.pitchMm!,
    profile: stage.beltProfile ?? USUAL_PROFILE,
    smallTeeth: Math.min(pinionTeeth, wheelTeeth),
    largeTeeth: Math.max(pinionTeeth, wheelTeeth),
    ...(beltTeeth === undefined ? { centreDistanceMm: (slotMinMm! + slotMaxMm!) / 2 } : { beltTeeth }),
    ...(slotMinMm === undefined || slotMaxMm === undefined ? {} : { slotMinMm, slotMaxMm }),
    widthMm: stage.faceWidthMm!,
    ...(pretensionN === undefined ? {} : { pretensionN }),
    ...(load ? { load } : {}),
    ...(load && small?.material
      ? {
          pulley: {
            material: small.material,
            ...(small.fillFactor === undefined ? {} : { fillFactor: small.fillFactor }),
            temperatureC: pulleyC,
          },
        }
      : {}),
  };
}

/** Lengths of a belt without a load, or the refusal of its figures. */
export function beltOrRefusal(stage: Stage): { belt: BeltResult } | { refused: CalcError } {
  return orRefusal(() => ({ belt: beltDrive(beltInputOf(stage)) }));
}

function orRefusal<T>(work: () => T): T | { refused: CalcError } {
  try {
    return work();
  } catch (error) {
    if (!(error instanceof CalcError)) throw error;
    return { refused: error };
  }
}

export interface LoadedBelt {
  stage: Stage;
  load: StageLoad;
  found: BeltResult;
}

/**
 * A belt under the load that asks most of its teeth.
 *
 * @throws CalcError as `belt.drive` does
 */
export function loadedBelt(setting: ToothSetting, stage: Stage): LoadedBelt {
  const { drive } = setting.document;
  const [pinionC, wheelC] = gearTemperatures(drive, stage, setting.pack.unlimited.peakCaseC);
  const driver = isReducing(stage) ? 'small' : 'large';
  const found = (load: StageLoad): LoadedBelt => ({
    stage,
    load,
    found: beltDrive(
      beltInputOf(
        stage,
        { torqueNm: load.pinionNm, driver, speedRpm: load.pinionRpm, overloadFactor: PEAK_OVERLOAD },
        driver === 'small' ? pinionC : wheelC,
      ),
    ),
  });
  const loads = loadsOn(setting, stage);
  const most = (of: (load: StageLoad) => number) => loads.reduce((a, b) => (of(b) > of(a) ? b : a));
  // the pull takes from what the belt carries, and so does its own mass at speed
  return [most(({ pinionNm }) => pinionNm), most(({ pinionRpm }) => pinionRpm)]
    .map(found)
    .reduce((a, b) => ((b.found.toothMargin ?? Infinity) < (a.found.toothMargin ?? Infinity) ? b : a));
}

export const chainStages = (stages: readonly Stage[]): Stage[] =>
  stages.filter(({ kind }) => kind === 'chain');

/** What a chain still needs before it can be drawn. */
export function chainMissing(stage: Stage): string[] {
  const { id, pitchMm, pinionTeeth = 0, wheelTeeth = 0, links, slotMinMm, slotMaxMm } = stage;
  const at = (key: string) => `drive.stages.${id}.${key}`;
  return [
    ...(pitchMm === undefined ? [at('pitchMm')] : []),
    ...(pinionTeeth < FEWEST_TEETH ? [at('pinionTeeth:belt')] : []),
    ...(wheelTeeth < FEWEST_TEETH ? [at('wheelTeeth:belt')] : []),
    ...(links === undefined && (slotMinMm === undefined || slotMaxMm === undefined) ? [at('links')] : []),
  ];
}

/** Links and centres of a chain, or the refusal of its figures. */
export function chainOrRefusal(stage: Stage): { chain: ChainResult } | { refused: CalcError } {
  const { pinionTeeth = 0, wheelTeeth = 0, links, slotMinMm, slotMaxMm } = stage;
  return orRefusal(() => ({
    chain: chainLength({
      pitchMm: stage.pitchMm!,
      smallTeeth: Math.min(pinionTeeth, wheelTeeth),
      largeTeeth: Math.max(pinionTeeth, wheelTeeth),
      ...(links === undefined ? { centreDistanceMm: (slotMinMm! + slotMaxMm!) / 2 } : { links }),
      driver: isReducing(stage) ? 'small' : 'large',
    }),
  }));
}
