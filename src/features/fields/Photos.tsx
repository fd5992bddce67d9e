import { Problem } from '@/ui/controls/Problem';
import photosCss from '@/features/fields/photos.module.css';
import { Row } from '@/ui/layout/Row';
import { IconAct } from '@/ui/controls/IconAct';
import { FileButton } from '@/ui/controls/FileButton';
import { useEffect, useMemo, useState } from 'react';
import { newId } from '../api';
import type { WaitingPhoto } from '../session/outbox';

const [MOST_BYTES, MOST] = [8 * 1024 * 1024, 12];

const isPicture = (file: File): Promise<boolean> =>
  createImageBitmap(file).then(
    (picture) => (picture.close(), true),
    () => false,
  );

/** Photographs of a run or a failure; they wait on this device until it is sent. */
export function Photos({
  photos,
  of = 'the run',
  onChange,
}: {
  of?: string;
  photos: readonly WaitingPhoto[];
  onChange(photos: WaitingPhoto[]): void;
}) {
  const [problem, setProblem] = useState<string>();
  const urls = useMemo(
    () => new Map(photos.map(({ id, blob }) => [id, URL.createObjectURL(blob)])),
    [photos],
  );
  useEffect(
    () => () => {
      for (const url of urls.values()) URL.revokeObjectURL(url);
    },
    [urls],
  );
  const take = async (list: File[]) => {
    setProblem(undefined);
    const large = list.find(({ size }) => size > MOST_BYTES);
    const other = list.find(({ type }) => !type.startsWith('image/'));
    if (large) return setProblem(`${large.name} is larger than 8 MB: take it smaller.`);
    if (other) return setProblem(`${other.name} is no photograph: take a JPEG, PNG or WebP.`);
    for (const file of list)
      if (!(await isPicture(file)))
        return setProblem(`${file.name} is empty or cannot be read: take a JPEG, PNG or WebP.`);
    onChange([...photos, ...list.slice(0, MOST - photos.length).map((blob) => ({ id: newId(), blob }))]);
  };
  return (
    <section aria-label="Photographs">
      <Row>
        <FileButton
          size="large"
          label={`Photographs of ${of}`}
          accept="image/*"
          multiple
          disabled={photos.length >= MOST}
          onFiles={(files) => void take(files)}
        >
          Add a photograph
        </FileButton>
      </Row>
      <Problem>{problem}</Problem>
      {photos.length > 0 ? (
        <div className={photosCss.photos}>
          {photos.map(({ id }, at) => (
            <figure key={id}>
              <img src={urls.get(id)} alt={`Photograph ${at + 1}`} />
              <IconAct
                icon="takeOut"
                label={`Take photograph ${at + 1} out`}
                onClick={() => onChange(photos.filter((one) => one.id !== id))}
              />
            </figure>
          ))}
        </div>
      ) : null}
    </section>
  );
}
