import { proxy } from 'comlink';
import { useMemo, useRef, useState } from 'react';
import type { ChosenSurface } from '@/core/car/document/brief';
import type { BuildDocument } from '@/core/car/document/document';
import type { Part, SolidResult } from '@/core/car/document/parts';
import { beamUnderPulls } from '@/core/worked/parts/partStrength';
import { femOfPart, shapeMark, solidMark } from '@/core/worked/parts/solidOfPart';
import type { Solved } from '@/workers/parts.worker';
import { useBuild } from '../session/BuildContext';
import { workerOf } from '@/workers/clients';

export interface SolidWork {
  /** What is still needed before it can start. */
  missing: readonly string[];
  running?: { iterations: number; residual: number; finer: boolean };
  problem?: string;
  /** The picture of the last run in this tab. */
  solved?: Solved;
  /** Whether the kept result was made from what the part is now. */
  current: boolean;
  start(key: string, finer: boolean): void;
  cancel(): void;
}

/** Voxels of the second look over those of the first. */
const FINER = 0.72;

/** The solid analysis of one part: in the worker, its result kept with the part. */
export function useSolid(document: BuildDocument, surface: ChosenSurface | undefined, part: Part): SolidWork {
  const { edit, closed } = useBuild();
  const [running, setRunning] = useState<SolidWork['running']>();
  const [problem, setProblem] = useState<string>();
  const [solved, setSolved] = useState<{ of: string; solved: Solved }>();
  const turn = useRef(0);
  const settings = useMemo(() => femOfPart(document, surface, part), [document, surface, part]);
  const mark = useMemo(() => solidMark(document, surface, part), [document, surface, part]);
  const kept = part.mesh?.solid;

  const keep = (of: string, { result }: Solved, finer: boolean) => {
    if (closed) return;
    const path = ['parts', 'items', part.id, 'mesh', 'solid'];
    const { margin, failsBy, atMm, maxDisplacementMm: moveMm, voxelMm, voxels } = result;
    if (finer && kept)
      edit([{ path, value: { ...kept, finer: { voxelMm, margin, moveMm } } satisfies SolidResult }]);
    else {
      const beam = beamUnderPulls(document, surface, part);
      edit([
        {
          path,
          value: {
            of,
            shape: shapeMark(part),
            ...(beam === undefined ? {} : { beam }),
            margin,
            failsBy,
            atMm,
            moveMm,
            voxelMm,
            voxels,
          } satisfies SolidResult,
        },
      ]);
    }
  };

  const start = (key: string, finer: boolean) => {
    if (!settings.ok || mark === undefined) return;
    const mine = ++turn.current;
    const now = (iterations: number, residual: number) => setRunning({ iterations, residual, finer });
    now(0, 1);
    setProblem(undefined);
    const own = finer && kept ? { ...settings.value, voxelMm: kept.voxelMm * FINER } : settings.value;
    const { targetVoxels, ...sized } = own;
    void workerOf('parts')
      .solve(
        key,
        sized.voxelMm === undefined ? { ...sized, targetVoxels } : sized,
        proxy(async (iterations: number, residual: number) => {
          if (mine === turn.current) now(iterations, residual);
        }),
      )
      .then((answer) => {
        if (mine !== turn.current) return;
        setRunning(undefined);
        if (answer === undefined) return;
        if ('refused' in answer)
          return setProblem(
            `Not solved: ${answer.refused.path === 'fixed' ? 'what holds it' : answer.refused.path === 'loads' ? 'what pulls at it' : `the ${answer.refused.path}`} ${answer.refused.message}${answer.refused.remedy ? `; ${answer.refused.remedy}` : ''}.`,
          );
        setSolved({ of: mark, solved: answer });
        keep(mark, answer, finer);
      });
  };

  return {
    missing: settings.ok ? [] : settings.missing,
    ...(running ? { running } : {}),
    ...(problem ? { problem } : {}),
    ...(solved && solved.of === mark ? { solved: solved.solved } : {}),
    current: kept !== undefined && kept.of === mark,
    start,
    cancel: () => {
      turn.current++;
      void workerOf('parts').cancel();
      setRunning(undefined);
    },
  };
}
