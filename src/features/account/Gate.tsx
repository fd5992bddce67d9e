'use client';

import Box from '@mui/material/Box';
import Typography from '@mui/material/Typography';
import type { ReactNode } from 'react';
import frameCss from '@/ui/layout/frame.module.css';

/** A page before the workshop: what is asked, and the form that answers it. */
export function Gate({ question, children }: { question: string; children: ReactNode }) {
  return (
    <>
      <header className={frameCss.head}>
        <span className={frameCss.name}>Lean Badger</span>
      </header>
      <Box className={frameCss.stripe} sx={{ height: 12 }} aria-hidden="true" />
      <main className={frameCss.garage}>
        <Typography variant="answer">{question}</Typography>
        {children}
      </main>
    </>
  );
}
