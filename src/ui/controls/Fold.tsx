'use client';

import Accordion from '@mui/material/Accordion';
import AccordionDetails from '@mui/material/AccordionDetails';
import AccordionSummary from '@mui/material/AccordionSummary';
import type { SxProps, Theme } from '@mui/material/styles';
import { type ReactNode, useState } from 'react';

const Arrow = () => (
  <svg viewBox="0 0 10 10" aria-hidden="true">
    <path d="M1 3l4 4 4-4" fill="none" stroke="currentColor" strokeWidth="1.6" />
  </svg>
);

interface FoldProps {
  title: ReactNode;
  /** Whether it stands open at first; it opens and closes when this changes. */
  open?: boolean;
  sx?: SxProps<Theme>;
  children: ReactNode;
}

/** What is not needed at once, folded under its title. */
export function Fold({ title, open = false, sx, children }: FoldProps) {
  'use memo';
  const [expanded, setExpanded] = useState(open);
  const [asked, setAsked] = useState(open);
  if (asked !== open) {
    setAsked(open);
    setExpanded(open);
  }
  return (
    <Accordion
      expanded={expanded}
      onChange={(_, next) => setExpanded(next)}
      {...(sx ? { sx } : {})}
      slotProps={{ transition: { timeout: 0 }, heading: { component: 'div' } }}
    >
      <AccordionSummary expandIcon={<Arrow />}>{title}</AccordionSummary>
      <AccordionDetails>{children}</AccordionDetails>
    </Accordion>
  );
}
