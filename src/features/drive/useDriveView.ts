import { useMemo } from 'react';
import type { ChosenSurface } from '@/core/car/document/brief';
import type { BuildDocument } from '@/core/car/document/document';
import type { DriveRunInput } from '@/core/physics/motion/definition';
import { driveRun, type DriveRunResult } from '@/core/physics/motion/run';
import { runInputOf } from '@/core/worked/motion/runOfBuild';
import { sound } from '../frame/sound';

export interface DriveView {
  readonly input?: DriveRunInput;
  readonly run?: DriveRunResult;
  readonly missing: readonly string[];
}

/** The run of a document on a surface of the page, or what it still needs. */
export function useDriveView(
  document: BuildDocument | undefined,
  surface: ChosenSurface | undefined,
): DriveView {
  return useMemo(() => {
    if (!document) return { missing: [] };
    const own = document.brief.surfaces.find(({ id }) => id === surface?.id) ?? surface;
    if (!own) return { missing: ['surface'] };
    const driven = sound(() => {
      const assembled = runInputOf(document, own);
      return assembled.ok
        ? { ok: true, value: { input: assembled.value, run: driveRun(assembled.value) } }
        : assembled;
    });
    return driven.ok ? { ...driven.value, missing: [] } : { missing: driven.missing };
  }, [document, surface]);
}
