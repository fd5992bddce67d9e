'use client';

import { type ReactNode, useState } from 'react';
import dropCss from './drop.module.css';
import { FileButton } from './FileButton';

/** Takes one file by drop or by choice. */
export function FileDrop({
  label,
  accept,
  onFile,
  children,
}: {
  /** What the file is of. */
  label: string;
  accept: string;
  onFile(file: File): void;
  children: ReactNode;
}) {
  'use memo';
  const [over, setOver] = useState(false);
  return (
    <div
      className={dropCss.drop}
      data-over={over}
      onDragOver={(event) => {
        event.preventDefault();
        setOver(true);
      }}
      onDragLeave={() => setOver(false)}
      onDrop={(event) => {
        event.preventDefault();
        setOver(false);
        const file = event.dataTransfer.files[0];
        if (file) onFile(file);
      }}
    >
      <span>{children}</span>
      <FileButton label={label} accept={accept} onFiles={([file]) => onFile(file!)}>
        Choose a file
      </FileButton>
    </div>
  );
}
