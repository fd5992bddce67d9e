'use client';

import { Row } from '@/ui/layout/Row';
import Typography from '@mui/material/Typography';
import { FileButton } from '@/ui/controls/FileButton';
import Button from '@mui/material/Button';
import { useState } from 'react';
import type { DrawnCorner, End } from '@/core/car/document/suspension';
import { CalcError } from '@/core/base/errors';
import { useBuild } from '../../session/BuildContext';
import { handOver } from '../../session/handOver';
import { refusalText } from '@/words/refusals/problemOf';
import { useReader } from '@/ui/reader';

/** Hard points out as CSV and in again; what cannot be read says in which line and changes nothing. */
export function PointsFile({ end, corner }: { end: End; corner: DrawnCorner }) {
  const { build, revision, edit, closed } = useBuild();
  const { reader } = useReader();
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
        words: `${error.path ? `${error.path}: ` : ''}${refusalText(error.refused, reader)}. Nothing was changed.`,
      });
    }
  };
  return (
    <Row sx={{ mt: 0.75 }}>
      <Button variant="link" onClick={() => void save()}>
        Points as CSV
      </Button>
      {closed ? null : (
        <FileButton
          variant="link"
          label="Points from CSV"
          accept=".csv,text/csv,text/plain"
          onFiles={([file]) => file && void read(file)}
        >
          Points from CSV
        </FileButton>
      )}
      {said ? (
        <Typography
          variant="note"
          color={said.bad ? 'error' : 'textSecondary'}
          role={said.bad ? 'alert' : 'status'}
          sx={{ flexBasis: '100%' }}
        >
          {said.words}
        </Typography>
      ) : null}
    </Row>
  );
}
