import '@/words/later/bringIn';
import { proxy } from 'comlink';
import { useMemo, useRef, useState } from 'react';
import type { ChosenSurface } from '@/core/car/document/brief';
import type { BuildDocument } from '@/core/car/document/document';
import type { Part, SolidCase, SolidResult } from '@/core/car/parts/parts';
import { beamUnderPulls } from '@/core/worked/parts/partStrength';
import {
  type FemCase,
  femCasesOfPart,
  isSameCase,
  type PullCase,
  shapeMark,
  solidMark,
} from '@/core/worked/parts/solidOfPart';
import type { Solved } from '@/workers/parts.worker';
import { useBuild } from '../../session/BuildContext';
import { workerOf } from '@/workers/clients';
import { refusalText } from '@/words/refusals/problemOf';
import { useReader } from '@/ui/reader';

export interface SolidWork {
  /** What is still needed before it can start. */
  missing: readonly string[];
  /** Under which load case, of how many. */
  running?: PullCase & {
    iterations: number;
    residual: number;
    finer: boolean;
    at: number;
    of: number;
  };
  problem?: string;
  /** The picture of the last run in this tab. */
  solved?: Solved;
  /** Whether the kept result was made from what the part is now. */
  current: boolean;
  start(key: string, finer: boolean): Promise<void>;
  cancel(): void;
}

/** Voxels of the second look over those of the first. */
const FINER = 0.72;

interface SolvedCase {
  of: PullCase;
  solved: Solved;
}

/** The case of the kept result that leaves least. */
function weakestOf(cases: readonly FemCase[], { cases: solved = [] }: SolidResult): FemCase {
  const weakest = solved.reduce<SolidCase | undefined>(
    (a, b) => (!a || b.margin < a.margin ? b : a),
    undefined,
  );
  return cases.find((one) => weakest && isSameCase(one, weakest)) ?? cases[0]!;
}

/** The solid analysis of one part: in the worker, its result kept with the part. */
export function useSolid(document: BuildDocument, surface: ChosenSurface | undefined, part: Part): SolidWork {
  const { edit, closed } = useBuild();
  const [running, setRunning] = useState<SolidWork['running']>();
  const [problem, setProblem] = useState<string>();
  const [solved, setSolved] = useState<{ of: string; solved: Solved }>();
  const turn = useRef(0);
  const cases = useMemo(() => femCasesOfPart(document, surface, part), [document, surface, part]);
  const mark = useMemo(() => solidMark(document, surface, part), [document, surface, part]);
  const { reader } = useReader();
  const kept = part.mesh?.solid;

  const path = ['parts', 'items', part.id, 'mesh', 'solid'];
  const keep = (of: string, found: readonly SolvedCase[]) => {
    if (closed) return;
    const cases = found.map(({ of: pulled, solved: { result } }): SolidCase => {
      const { margin, failsBy, atMm, maxDisplacementMm: moveMm } = result;
      const beam = beamUnderPulls(document, surface, part, pulled.from);
      return { ...pulled, ...(beam === undefined ? {} : { beam }), margin, failsBy, atMm, moveMm };
    });
    const { from: _, end: __, load: ___, ...weakest } = cases.reduce((a, b) => (b.margin < a.margin ? b : a));
    const { voxelMm, voxels } = found[0]!.solved.result;
    edit([
      {
        path,
        value: { of, shape: shapeMark(part), ...weakest, voxelMm, voxels, cases } satisfies SolidResult,
      },
    ]);
  };
  const keepFiner = ({ result: { voxelMm, margin, maxDisplacementMm: moveMm } }: Solved) => {
    if (closed || !kept) return;
    edit([{ path, value: { ...kept, finer: { voxelMm, margin, moveMm } } satisfies SolidResult }]);
  };

  const start = async (key: string, finer: boolean) => {
    if (!cases.ok || mark === undefined) return;
    const mine = ++turn.current;
    setProblem(undefined);
    const asked = finer && kept ? [weakestOf(cases.value, kept)] : cases.value;
    const found: SolvedCase[] = [];
    for (const [at, { settings, ...pulled }] of asked.entries()) {
      const now = (iterations: number, residual: number) =>
        setRunning({ ...pulled, iterations, residual, finer, at: at + 1, of: asked.length });
      now(0, 1);
      const { targetVoxels, ...sized } =
        finer && kept ? { ...settings, voxelMm: kept.voxelMm * FINER } : settings;
      const answer = await workerOf('parts').solve(
        key,
        sized.voxelMm === undefined ? { ...sized, targetVoxels } : sized,
        proxy(async (iterations: number, residual: number) => {
          if (mine === turn.current) now(iterations, residual);
        }),
      );
      if (mine !== turn.current) return;
      if (answer === undefined) return setRunning(undefined);
      if ('refused' in answer) {
        setRunning(undefined);
        return setProblem(
          `Not solved: ${answer.refused.path === 'fixed' ? 'what holds it' : answer.refused.path === 'loads' ? 'what pulls at it' : `the ${answer.refused.path}`} ${refusalText(answer.refused, reader)}.`,
        );
      }
      found.push({ of: pulled, solved: answer });
    }
    setRunning(undefined);
    const weakest = found.reduce((a, b) => (b.solved.result.margin < a.solved.result.margin ? b : a));
    setSolved({ of: mark, solved: weakest.solved });
    if (finer) keepFiner(weakest.solved);
    else keep(mark, found);
  };

  return {
    missing: cases.ok ? [] : cases.missing,
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
