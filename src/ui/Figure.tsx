'use client';

import figuresCss from './Figure.module.css';
import clsx from 'clsx';
import ButtonBase from '@mui/material/ButtonBase';
import type { ReactNode } from 'react';
import { useWorking, type WorkingLater } from './working';

/** A computed figure in a sentence; tap or Enter opens its working. */
export function Figure({
  title,
  steps,
  tone = '',
  children,
}: {
  title: string;
  steps: WorkingLater['steps'];
  tone?: string;
  children: ReactNode;
}) {
  'use memo';
  const { open } = useWorking();
  return (
    <ButtonBase
      className={clsx(figuresCss.figure, figuresCss[tone])}
      data-figure
      aria-label={`Working of ${title}`}
      onClick={() => open({ title, steps })}
    >
      {children}
    </ButtonBase>
  );
}
