'use client';

import type { Segment } from '@/core/verdict/engine/segments';
import { stripeOf } from '@/core/verdict/stripe';
import { useBuildChecks } from '../session/BuildContext';
import { SEGMENT_QUESTIONS } from './segments';

/** A segment that nothing is worked out for yet: its question and what it will need. */
export function LaterPage({ segment }: { segment: Segment }) {
  const checks = useBuildChecks();
  const { needs } = stripeOf(checks).find((state) => state.segment === segment)!;
  return (
    <main className="readings">
      <h1 className="answer">{SEGMENT_QUESTIONS[segment]}</h1>
      <p style={{ marginTop: 8 }}>Not worked out yet. It will need {needs.join(', ')}.</p>
    </main>
  );
}
