'use client';

import { useId, useState } from 'react';
import type { DrivenTrace } from '@/core/physics/timing/track/drivenTrace';
import { FileButton } from '@/ui/controls/FileButton';
import { Note } from '@/ui/controls/Note';
import { Select } from '@/ui/controls/Select';
import fieldsCss from '@/ui/fields.module.css';
import { useReader } from '@/ui/reader';
import { refusalText } from '@/words/refusals/problemOf';
import { workerOf } from '@/workers/clients';
import { sentenceOf } from '../../api';
import { useBuild } from '../../session/BuildContext';

const TRACE = ['drive', 'heat', 'trace'];
const MOST_NAME = 120;

/** A track of the build's runs, or a file, as what the pack is driven with. */
export function OwnTrack() {
  const { document, runs, revisions, edit, closed } = useBuild();
  const { reader } = useReader();
  const [problem, setProblem] = useState<string>();
  const id = useId();
  const { trace } = document.drive.heat ?? {};
  const tracked = runs.flatMap(({ id: run, track, ranAt, revisionId }) =>
    track
      ? [
          {
            run,
            track,
            at: `${revisions.find((one) => one.id === revisionId)?.letter ?? ''} ${ranAt.slice(0, 10)}`,
          },
        ]
      : [],
  );
  const take = async (name: string, bytes: Uint8Array) => {
    setProblem(undefined);
    const found: DrivenTrace | { refused: Parameters<typeof refusalText>[0] } =
      await workerOf('field').driven(bytes);
    if ('refused' in found) return setProblem(`${name}: ${refusalText(found.refused, reader)}.`);
    edit([{ path: TRACE, value: { name: name.slice(-MOST_NAME), ...found } }]);
  };
  const choose = async (run: string) => {
    const chosen = tracked.find((one) => one.run === run);
    if (!chosen) return;
    try {
      const { hash, name } = chosen.track;
      await take(name, new Uint8Array(await (await fetch(`/api/files/${hash}`)).arrayBuffer()));
    } catch (error) {
      setProblem(sentenceOf(error));
    }
  };
  return (
    <div data-path={TRACE.join('.')}>
      {tracked.length > 0 ? (
        <div className={fieldsCss.field}>
          <label htmlFor={id}>Of a run</label>
          <Select
            id={id}
            value={tracked.find(({ track }) => track.name === trace?.name)?.run ?? ''}
            disabled={closed}
            onChange={(event) => void choose(event.target.value)}
          >
            <option value="">choose</option>
            {tracked.map(({ run, track, at }) => (
              <option key={run} value={run}>
                {at}, {track.name}
              </option>
            ))}
          </Select>
        </div>
      ) : null}
      {closed ? null : (
        <div className={fieldsCss.field}>
          <span>{trace ? trace.name : 'Or a file'}</span>
          <FileButton
            label="File of a track to drive"
            accept=".gpx,.csv,application/gpx+xml,text/csv"
            onFiles={([file]) => {
              if (file) void file.arrayBuffer().then((held) => take(file.name, new Uint8Array(held)));
            }}
          >
            GPX or CSV
          </FileButton>
        </div>
      )}
      {problem ? (
        <Note tone="bad" role="alert">
          {problem}
        </Note>
      ) : null}
    </div>
  );
}
