'use client';

import { useReader } from '@/ui/reader';
import type { ReactNode } from 'react';
import { Figure } from '@/ui/Figure';
import { stepsLater } from '@/words/stepsLater';
import { useBuildChecks } from '../session/BuildContext';

/** A figure in a sentence that opens the working of the check it belongs to. */
export function CheckFigure({
  check,
  title,
  tone,
  children,
}: {
  check: string;
  title: string;
  tone?: string;
  children: ReactNode;
}) {
  const checks = useBuildChecks();
  const { reader } = useReader();
  return (
    <Figure
      title={title}
      steps={stepsLater(checks.find(({ id }) => id === check)?.working, reader)}
      tone={tone}
    >
      {children}
    </Figure>
  );
}
