import { useEffect, useMemo, useRef, useState } from 'react';
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
  const input = useRef<HTMLInputElement>(null);
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
      <div className="row">
        <button
          type="button"
          className="btn big"
          disabled={photos.length >= MOST}
          onClick={() => input.current?.click()}
        >
          Add a photograph
        </button>
        <input
          ref={input}
          type="file"
          accept="image/*"
          multiple
          aria-label={`Photographs of ${of}`}
          style={{ display: 'none' }}
          onChange={(event) => {
            void take([...(event.target.files ?? [])]);
            event.target.value = '';
          }}
        />
      </div>
      {problem ? (
        <p className="note bad" role="alert">
          {problem}
        </p>
      ) : null}
      {photos.length > 0 ? (
        <div className="photos">
          {photos.map(({ id }, at) => (
            <figure key={id}>
              <img src={urls.get(id)} alt={`Photograph ${at + 1}`} />
              <button
                type="button"
                className="btn"
                aria-label={`Take photograph ${at + 1} out`}
                onClick={() => onChange(photos.filter((one) => one.id !== id))}
              >
                ×
              </button>
            </figure>
          ))}
        </div>
      ) : null}
    </section>
  );
}
