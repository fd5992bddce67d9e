import { type Drive, isGeared } from '../../car/document/drive';
import type { Stage } from '../../car/stages/stage';

/** Whether a stage has teeth that strip. */
export const hasTeeth = ({ kind }: Stage): boolean =>
  kind === 'spur' || kind === 'internal' || kind === 'planetary' || isConical({ kind });

/** Whether its teeth lie on cones that taper to one point. */
export const isConical = ({ kind }: Pick<Stage, 'kind'>): boolean =>
  kind === 'bevel' || kind === 'differential';

/** Whether a drive has gears of a kind, or may still get them. */
export const mayHave = (drive: Drive, kind: (stage: Stage) => boolean): boolean =>
  drive.stages.length === 0 ? isGeared(drive) : drive.stages.some(kind);

/** A stage of external gears with teeth on both; its module may still be missing. */
export const isSpur = ({ kind, pinionTeeth, wheelTeeth }: Stage): boolean =>
  kind === 'spur' && pinionTeeth !== undefined && wheelTeeth !== undefined;

/** Spur stages between whose shafts something is said to hold. */
export const mountedStages = (stages: readonly Stage[]): Stage[] =>
  stages.filter((stage) => isSpur(stage) && Object.keys(stage.mount ?? {}).length > 0);

export const beltStages = (stages: readonly Stage[]): Stage[] => stages.filter(({ kind }) => kind === 'belt');

/** Planetary stages with teeth. */
export const planetaryStages = (stages: readonly Stage[]): Stage[] =>
  stages.filter(
    ({ kind, pinionTeeth, wheelTeeth }) =>
      kind === 'planetary' && pinionTeeth !== undefined && wheelTeeth !== undefined,
  );

/** Differentials with teeth inside. */
export const differentialStages = (stages: readonly Stage[]): Stage[] =>
  stages.filter(
    ({ kind, pinionTeeth, wheelTeeth }) =>
      kind === 'differential' && pinionTeeth !== undefined && wheelTeeth !== undefined,
  );

/** Stages that can be seen; a direct one has nothing to show. */
export const seenStages = (stages: readonly Stage[]): Stage[] =>
  stages.filter(({ kind }) => kind !== 'direct');
