'use client';

import frameCss from '@/ui/layout/frame.module.css';
import { labelOf } from '@/words/labels/labels';
import { useAccess } from '../session/access';
import type { SessionState } from '../session/buildSession';
import { useReader } from '@/ui/reader';

/** Saved or not, in words. */
export function SaveMark({ state }: { state: SessionState }) {
  'use memo';
  const { reader } = useReader();
  const looksOn = useAccess()?.role === 'viewer';
  const at =
    state.savedAt === undefined
      ? ''
      : ` ${new Intl.DateTimeFormat(reader.locale, { hour: '2-digit', minute: '2-digit' }).format(state.savedAt)}`;
  const { unfinished } = state.document;
  const open =
    unfinished.length === 0
      ? ''
      : `, ${unfinished.length === 1 ? `${labelOf(unfinished[0]!.split('/')).label.toLowerCase()} unfinished` : `${unfinished.length} figures unfinished`}`;
  const words = {
    saved: `saved${at}${open}`,
    saving: 'saving',
    unsaved: 'not saved yet',
    failed: state.problem?.message ?? 'not saved',
    refused:
      state.savedAt === undefined
        ? `not saved: ${refusedWords(state)}`
        : `saved${at}, except ${refusedWords(state)}`,
    closed: looksOn ? 'you look on: nothing here is changed' : 'closed',
  }[state.save];
  return (
    <span className={frameCss.save} role="status" data-state={state.save} suppressHydrationWarning>
      {words}
    </span>
  );
}

function refusedWords({ problem }: SessionState): string {
  if (!problem) return '';
  const path = problem.path.replace(/^document\.?/, '').split('.');
  return `${labelOf(path.map((key) => (/^\d+$/.test(key) ? '*' : key))).label.toLowerCase()}: ${problem.message}`;
}
