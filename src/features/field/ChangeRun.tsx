'use client';

import { useState } from 'react';
import type { RunSheet } from '@/core/car/records/records';
import type { Waiting } from '../session/outbox';
import { RunSheetForm } from './RunSheetForm';
import { sheetOfRun } from './sheet';

/** A run that was not taken, to be changed and sent again; until then it stays as it was. */
export function ChangeRun({ entered, onDone }: { entered: Waiting; onDone(): void }) {
  const [sheet, setSheet] = useState(() => sheetOfRun(entered.sheet as RunSheet));
  const [files, setFiles] = useState({ photos: entered.photos, track: entered.track });
  return (
    <RunSheetForm
      sheet={sheet}
      photos={files.photos}
      track={files.track}
      onChange={setSheet}
      onFiles={(more) => setFiles({ ...files, ...more })}
      onEntered={onDone}
      entered={entered}
    />
  );
}
