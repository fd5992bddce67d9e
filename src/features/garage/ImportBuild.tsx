'use client';

import { Row } from '@/ui/layout/Row';
import Typography from '@mui/material/Typography';
import { FileButton } from '@/ui/controls/FileButton';
import Button from '@mui/material/Button';
import { useRouter } from 'next/navigation';
import { useState } from 'react';
import { LARGEST_ARCHIVE, LARGEST_FILE } from '@/core/car/file/largestFile';
import { ApiProblem, callApi, sentenceOf } from '../api';

interface Waiting {
  file: File;
  message: string;
}

const ARCHIVE = 'application/zip';
/** An archive begins with these letters, whatever it is called. */
const kindOf = async (file: File) =>
  (await file.slice(0, 2).text()) === 'PK' ? ARCHIVE : 'application/json';

/** Brings a build file in; a build that is here already asks replace or copy. */
export function ImportBuild() {
  const router = useRouter();
  const [waiting, setWaiting] = useState<Waiting>();
  const [problem, setProblem] = useState<string>();
  const [bringing, setBringing] = useState(false);
  const bring = async (file: File, mode: 'refuse' | 'replace' | 'copy') => {
    setProblem(undefined);
    setBringing(true);
    try {
      await callApi('POST', `/api/builds/import?mode=${mode}`, undefined, {
        body: file,
        headers: { 'content-type': await kindOf(file) },
      });
      setWaiting(undefined);
      router.refresh();
    } catch (error) {
      if (error instanceof ApiProblem && error.code === 'exists' && mode === 'refuse')
        setWaiting({ file, message: error.message });
      else setProblem(sentenceOf(error));
    } finally {
      setBringing(false);
    }
  };
  const read = async (file: File | undefined) => {
    if (!file) return;
    const most = (await kindOf(file)) === ARCHIVE ? LARGEST_ARCHIVE : LARGEST_FILE;
    if (file.size > most)
      return setProblem(
        `${file.name} is larger than ${most / 1024 / 1024} MB: a build file holds one build only.`,
      );
    await bring(file, 'refuse');
  };
  return (
    <Row>
      <FileButton
        label="Open a build file"
        accept=".json,.zip,application/json,application/zip"
        onFiles={([file]) => void read(file)}
      >
        Open a build file
      </FileButton>
      {waiting ? (
        <Row as="span" role="alert">
          {waiting.message}
          <Button onClick={() => void bring(waiting.file, 'replace')}>Replace it</Button>
          <Button onClick={() => void bring(waiting.file, 'copy')}>Bring it in as a copy</Button>
          <Button variant="text" onClick={() => setWaiting(undefined)}>
            leave it
          </Button>
        </Row>
      ) : null}
      {bringing ? (
        <Typography component="span" color="textSecondary" role="status">
          bringing it in
        </Typography>
      ) : null}
      {problem ? (
        <Typography component="span" color="error" role="alert">
          {problem}
        </Typography>
      ) : null}
    </Row>
  );
}
