'use client';

import { useState } from 'react';
import type { DrawnCorner, End } from '@/core/car/document/suspension';
import { CalcError } from '@/core/base/errors';
import { useBuild } from '../../session/BuildContext';
import { handOver } from '../../session/handOver';

/** Hard points out as CSV and in again; what cannot be read says in which line and changes nothing. */
export function PointsFile({ end, corner }: { end: End; corner: DrawnCorner }) {
  const { build, revision, edit, closed } = useBuild();
  const [said, say] = useState<{ bad: boolean; words: string }>();
  const save = async () => {
    const { pointsToCsv } = await import('@/core/worked/suspension/pointsCsv');
    handOver(`${build.name} ${revision.letter} ${end} points.csv`, 'text/csv', pointsToCsv(corner));
  };
  const read = async (file: File) => {
    const { pointsFromCsv } = await import('@/core/worked/suspension/pointsCsv');
    try {
      edit([{ path: ['suspension', end, 'corner'], value: pointsFromCsv(await file.text(), corner) }]);
      say({ bad: false, words: `Points of ${file.name} are in. Ctrl+Z takes them out again.` });
    } catch (error) {
      if (!(error instanceof CalcError)) throw error;
      say({
        bad: true,
        words: `${error.path ? `${error.path}: ` : ''}${error.message}${error.remedy ? `; ${error.remedy}` : ''}. Nothing was changed.`,
      });
    }
  };
  return (
    <div className="row" style={{ fontSize: 13, marginTop: 6 }}>
      <button type="button" className="link" onClick={() => void save()}>
        Points as CSV
      </button>
      {closed ? null : (
        <label className="link" style={{ cursor: 'pointer' }}>
          Points from CSV
          <input
            className="hidden"
            type="file"
            accept=".csv,text/csv,text/plain"
            aria-label="Points from CSV"
            onChange={(event) => {
              const [file] = event.target.files ?? [];
              event.target.value = '';
              if (file) void read(file);
            }}
          />
        </label>
      )}
      {said ? (
        <p
          role={said.bad ? 'alert' : 'status'}
          className={said.bad ? 'say bad' : 'quiet'}
          style={{ flexBasis: '100%', ...(said.bad ? { color: 'var(--rust)' } : {}) }}
        >
          {said.words}
        </p>
      ) : null}
    </div>
  );
}
