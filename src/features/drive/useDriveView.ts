import { useMemo } from 'react';
import type { ChosenSurface } from '@/core/car/document/brief';
import type { BuildDocument } from '@/core/car/document/document';
import type { DriveRunInput } from '@/core/physics/motion/definition';
import type { DriveRunResult } from '@/core/physics/motion/run';
import { worked } from '@/core/worked/worked';
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
    if (!own) return { missing: ['brief.surfaces'] };
    const driven = sound(() => {
      const build = worked(document, own);
      const input = build.runInput();
      return input.ok ? { ok: true, value: { input: input.value, run: build.run()! } } : input;
    });
    return driven.ok ? { ...driven.value, missing: [] } : { missing: driven.missing };
  }, [document, surface]);
}
