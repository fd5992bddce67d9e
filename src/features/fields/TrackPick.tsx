'use client';

import { Problem } from '@/ui/controls/Problem';
import { useId, useState } from 'react';
import { FileButton } from '@/ui/controls/FileButton';
import { Select } from '@/ui/controls/Select';
import fieldsCss from '@/ui/fields.module.css';
import { useReader } from '@/ui/reader';
import { refusalText } from '@/words/refusals/problemOf';
import { heldOfPage, sentenceOf } from '../api';
import { useBuild } from '../session/BuildContext';

const MOST_NAME = 120;

/** A track of the build's runs, or a file. */
export function TrackPick({
  name,
  label,
  onTake,
}: {
  /** Of the one that is taken. */
  name: string | undefined;
  label: string;
  /** What speaks against the file, where something does. */
  onTake(name: string, bytes: Uint8Array): Promise<Parameters<typeof refusalText>[0] | undefined>;
}) {
  const { runs, revisions, closed } = useBuild();
  const { reader } = useReader();
  const [problem, setProblem] = useState<string>();
  const id = useId();
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
  const take = async (file: string, bytes: Uint8Array) => {
    setProblem(undefined);
    const refused = await onTake(file.slice(-MOST_NAME), bytes);
    if (refused) setProblem(`${file}: ${refusalText(refused, reader)}.`);
  };
  const choose = async (run: string) => {
    const chosen = tracked.find((one) => one.run === run);
    if (!chosen) return;
    try {
      const { hash, name: file } = chosen.track;
      await take(file, new Uint8Array(await (await fetch(heldOfPage('files', hash))).arrayBuffer()));
    } catch (error) {
      setProblem(sentenceOf(error));
    }
  };
  return (
    <>
      {tracked.length > 0 ? (
        <div className={fieldsCss.field}>
          <label htmlFor={id}>Of a run</label>
          <Select
            id={id}
            value={tracked.find(({ track }) => track.name === name)?.run ?? ''}
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
          <span>{name ?? 'Or a file'}</span>
          <FileButton
            label={label}
            accept=".gpx,.csv,application/gpx+xml,text/csv"
            onFiles={([file]) => {
              if (file) void file.arrayBuffer().then((held) => take(file.name, new Uint8Array(held)));
            }}
          >
            GPX or CSV
          </FileButton>
        </div>
      )}
      <Problem>{problem}</Problem>
    </>
  );
}
