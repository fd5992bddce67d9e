'use client';

import frameCss from '@/ui/layout/frame.module.css';
import Box from '@mui/material/Box';
import { readingOf } from '@/words/checkWords';
import { checkShort } from '@/words/checks/names';
import { needName, needNames } from '@/words/needs';
import Link from 'next/link';
import { usePathname } from 'next/navigation';
import { useEffect, useRef } from 'react';
import { SEGMENTS } from '@/core/verdict/engine/segments';
import { type SegmentState, stripeOf } from '@/core/verdict/stripe';
import type { Reader } from '@/core/base/units/formatQuantity';
import { useReader } from '@/ui/reader';
import { StateMark } from '@/ui/StateMark';
import { STATE_WORDS } from '@/words/states';
import { useBuild, useBuildChecks } from '../session/BuildContext';
import { SEGMENT_NAMES, segmentPath } from './segments';

/** The nine segments of the job: navigation and instrument panel at once. */
export function Stripe() {
  'use memo';
  const { root, revision } = useBuild();
  const checks = useBuildChecks();
  const { reader } = useReader();
  const present = usePathname().split('/').at(-1);
  const strip = useRef<HTMLElement>(null);
  useEffect(() => {
    strip.current?.querySelector('[aria-current]')?.scrollIntoView({ block: 'nearest', inline: 'center' });
  }, [present]);
  return (
    <nav className={frameCss.stripe} aria-label="Segments" ref={strip}>
      {stripeOf(checks).map((state, index) => {
        const words = wordsOf(state, reader);
        return (
          <Link
            key={state.segment}
            href={segmentPath(root, revision.letter, state.segment)}
            prefetch={false}
            aria-current={present === state.segment ? 'page' : undefined}
            title={`${SEGMENT_NAMES[state.segment]} (${index + 1}): ${words}${state.check || state.needs.length === 0 ? '' : `, needs ${needNames(state.needs)}`}`}
            data-state={state.state}
          >
            <span className={frameCss.t}>
              <StateMark state={state.state} />
              {SEGMENT_NAMES[SEGMENTS[index]!]}
            </span>
            <Box component="span" className={frameCss.s} sx={{ display: 'block' }}>
              {words}
            </Box>
          </Link>
        );
      })}
    </nav>
  );
}

/** Letters that a segment has room for. */
const LONGEST = 28;

function wordsOf({ state, check, needs }: SegmentState, reader: Reader): string {
  if (!check) return 'not worked out yet';
  if (check.value === undefined)
    return state === 'unknown'
      ? needs[0]
        ? `${checkShort(check)} needs ${needName(needs[0])}`
        : `${checkShort(check)} being worked out`
      : `${STATE_WORDS[state]}: ${checkShort(check)}`;
  const { text, against } = readingOf(check, reader)!;
  const words = `${STATE_WORDS[state]}: ${checkShort(check)} ${text}`;
  return against && words.length + against.length <= LONGEST ? `${words}, ${against}` : words;
}
