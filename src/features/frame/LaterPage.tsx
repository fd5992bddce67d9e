'use client';

import frameCss from '@/ui/layout/frame.module.css';
import Typography from '@mui/material/Typography';
import Box from '@mui/material/Box';
import type { Segment } from '@/core/verdict/engine/segments';
import { stripeOf } from '@/core/verdict/stripe';
import { useBuildChecks } from '../session/BuildContext';
import { SEGMENT_QUESTIONS } from './segments';

/** A segment that nothing is worked out for yet: its question and what it will need. */
export function LaterPage({ segment }: { segment: Segment }) {
  const checks = useBuildChecks();
  const { needs } = stripeOf(checks).find((state) => state.segment === segment)!;
  return (
    <main className={frameCss.readings}>
      <Typography variant="answer">{SEGMENT_QUESTIONS[segment]}</Typography>
      <Box component="p" sx={{ mt: 1 }}>
        Not worked out yet. It will need {needs.join(', ')}.
      </Box>
    </main>
  );
}
