import clsx from 'clsx';
import photosCss from '@/features/fields/photos.module.css';
import Typography from '@mui/material/Typography';
import { FileButton } from '@/ui/controls/FileButton';
import { useState } from 'react';
import type { FailureRecord, Versioned } from '@/core/car/records/records';
import { callApi, sentenceOf } from '../api';
import { useFileAddress } from '../session/access';
import { useBuild } from '../session/BuildContext';
import { saveRecord } from '../session/saveRecord';

/** Photographs of a failure. */
export function FailurePhotos({ failure: { partName, ledger } }: { failure: FailureRecord }) {
  const fileAt = useFileAddress();
  const photos = ledger?.photos ?? [];
  if (photos.length === 0) return null;
  return (
    <div className={clsx(photosCss.photos, photosCss.beside)}>
      {photos.map(({ hash, caption }, at) => (
        <figure key={hash}>
          <a href={fileAt(hash)} target="_blank" rel="noreferrer">
            <img src={fileAt(hash)} alt={caption ?? `Photograph ${at + 1} of ${partName}`} loading="lazy" />
          </a>
          {caption ? <figcaption>{caption}</figcaption> : null}
        </figure>
      ))}
    </div>
  );
}

/** Adds a photograph to a failure. */
export function AddPhoto({ failure }: { failure: Versioned<FailureRecord> }) {
  const { keepFailure } = useBuild();
  const [problem, setProblem] = useState<string>();
  const photos = failure.ledger?.photos ?? [];
  const add = async (file: File | undefined) => {
    if (!file) return;
    setProblem(undefined);
    try {
      const { hash } = await callApi<{ hash: string }>('POST', '/api/photos', undefined, {
        body: file,
        headers: { 'content-type': 'application/octet-stream' },
      });
      if (!photos.some((one) => one.hash === hash))
        keepFailure(
          await saveRecord(
            'failure',
            failure,
            { ...failure, ledger: { ...failure.ledger, photos: [...photos, { hash }] } },
            failure,
          ),
        );
    } catch (error) {
      setProblem(sentenceOf(error));
    }
  };
  return (
    <>
      <FileButton
        variant="link"
        label={`Photograph of ${failure.partName}`}
        accept="image/*"
        onFiles={([file]) => void add(file)}
      >
        add a photograph
      </FileButton>
      {problem ? (
        <Typography color="error" role="alert">
          {problem}
        </Typography>
      ) : null}
    </>
  );
}
