'use client';

import frameCss from '@/ui/layout/frame.module.css';
import Box from '@mui/material/Box';
import { useState } from 'react';
import { describeValue } from '@/words/labels/describe';
import { labelOf } from '@/words/labels/labels';
import { useReader } from '@/ui/reader';
import { rivalWords } from '@/words/recordFacts';
import { type AskedRivals, useAskedRivals } from '../session/askedRivals';
import { useBuild, useSaveState } from '../session/BuildContext';
import { Contested } from './Contested';

/** What was changed in two tabs, of the build and of its records: both values, and which one to keep. */
export function ConflictBar() {
  const { session } = useBuild();
  const state = useSaveState();
  const { reader } = useReader();
  const asked = useAskedRivals();
  if (state.conflicts.length === 0 && asked.length === 0) return null;
  return (
    <Box
      component="section"
      sx={{
        mx: { xs: 0, sm: 3 },
        my: 1,
        px: 1.5,
        py: 0.5,
      }}
      className={frameCss.notice}
      aria-label="Changed in two places"
      role="alert"
    >
      {state.conflicts.map(({ path, mine, theirs }) => (
        <Contested
          key={path.join('/')}
          label={labelOf(path).label}
          mine={describeValue(path, mine, reader)}
          theirs={describeValue(path, theirs, reader)}
          onKeep={(which) => session.settle(path, which)}
        />
      ))}
      {asked.slice(0, 1).map((question) => (
        <RivalQuestion key={question.id} question={question} />
      ))}
    </Box>
  );
}

/** The facts of one record, one after the other. */
function RivalQuestion({ question: { rivals, answer } }: { question: AskedRivals }) {
  const { reader } = useReader();
  const [kept, setKept] = useState<readonly boolean[]>([]);
  const rival = rivals[kept.length];
  if (!rival) return null;
  const keep = (mine: boolean) => {
    const all = [...kept, mine];
    if (all.length === rivals.length) answer(all);
    else setKept(all);
  };
  return <Contested {...rivalWords(rival, reader)} onKeep={(which) => keep(which === 'mine')} />;
}
