'use client';

import { Problem } from '@/ui/controls/Problem';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import { useState } from 'react';
import { Row } from '@/ui/layout/Row';
import { askApi, sentenceOf } from '../api';

/** Fetches the archive and lays it among the downloads. @returns the stamp of what it holds */
async function download(): Promise<string> {
  const response = await askApi('GET', '/api/workshop/file');
  const name = /filename="([^"]+)"/.exec(response.headers.get('content-disposition') ?? '')?.[1];
  const link = document.createElement('a');
  const url = URL.createObjectURL(await response.blob());
  link.href = url;
  link.download = name ?? 'workshop.zip';
  link.click();
  setTimeout(() => URL.revokeObjectURL(url), 60_000);
  return response.headers.get('etag')?.replace(/^(?:W\/)?"|"$/g, '') ?? '';
}

interface TakeAlongProps {
  /** Whether it was exported on this page. */
  exported: boolean;
  /** Hears which state of the workshop the file holds. */
  onExport(stamp: string): void;
}

/** The whole workshop as one file. */
export function TakeAlong({ exported, onExport }: TakeAlongProps) {
  const [problem, setProblem] = useState<string>();
  const [busy, setBusy] = useState(false);
  const fetchAll = async () => {
    setProblem(undefined);
    setBusy(true);
    try {
      onExport(await download());
    } catch (error) {
      setProblem(sentenceOf(error));
    } finally {
      setBusy(false);
    }
  };
  return (
    <>
      <Typography component="h2" variant="label" sx={{ mt: 2.5 }}>
        Take it along
      </Typography>
      <Row>
        <Button onClick={() => void fetchAll()} disabled={busy}>
          Export the whole workshop
        </Button>
        <Typography component="span" color="textSecondary" role="status">
          {busy
            ? 'putting it together'
            : exported
              ? 'exported, among your downloads'
              : 'one file: every build with its runs, prints, photographs and tracks, the library and the settings'}
        </Typography>
      </Row>
      <Problem>{problem}</Problem>
    </>
  );
}
