import { useCallback, useEffect, useState } from 'react';
import type { RunKind } from '@/core/car/records/runKinds';
import { newId } from '../api';
import { useBuild } from '../session/BuildContext';
import { draftFiles, type DraftFiles, keepDraftFiles, type WaitingPhoto } from '../session/outbox';
import { emptySheet, keepSheet, keptSheet, type Sheet, sheetAfter } from './sheet';
import { useRuns } from './useRuns';

/** The run sheet that is being filled in, kept on this device; sides with kinds of their own keep one each. */
export function useRunSheet(kinds?: readonly [RunKind, ...RunKind[]]) {
  const { revision } = useBuild();
  const all = useRuns();
  const place = kinds ? `${revision.id}:${kinds[0]}` : revision.id;
  const [sheet, setSheet] = useState<Sheet>(() => ({
    ...sheetAfter(newId(), all.at(-1)?.run),
    ...(kinds ? { kind: kinds[0] } : {}),
  }));
  const [files, setFiles] = useState<DraftFiles>({ revisionId: place, photos: [] });
  useEffect(() => {
    const kept = keptSheet(place);
    if (kept) queueMicrotask(() => setSheet(kept));
    void draftFiles(place)
      .then((found) => {
        if (found) setFiles(found);
      })
      .catch(() => undefined);
  }, [place]);
  const onChange = useCallback(
    (next: Sheet) => {
      setSheet(next);
      keepSheet(place, next);
    },
    [place],
  );
  const onFiles = (more: { photos?: WaitingPhoto[]; track?: Blob }) => {
    const next = { ...files, ...more, revisionId: place };
    setFiles(next);
    void keepDraftFiles(next).catch(() => undefined);
  };
  const onEntered = () => {
    keepSheet(place, undefined);
    onFiles({ photos: [], track: undefined });
    const { kind, method, captureFps, slowdown, surfaceId, distanceM, runUpM, ambientC, copies } = sheet;
    setSheet({
      ...emptySheet(newId()),
      ...{ kind, method, captureFps, slowdown, surfaceId, distanceM, runUpM, ambientC, copies },
    });
  };
  return {
    sheet,
    photos: files.photos,
    track: files.track,
    onChange,
    onFiles,
    onEntered,
    ...(kinds ? { kinds } : {}),
  };
}
