'use client';

import type { SessionState } from './buildSession';
import { useReader } from '@/ui/reader';

/** Saved or not, in words. */
export function SaveMark({ state }: { state: SessionState }) {
  const { reader } = useReader();
  const at = state.savedAt === undefined ? '' : ` ${new Intl.DateTimeFormat(reader.locale, { hour: '2-digit', minute: '2-digit' }).format(state.savedAt)}`;
  const words = {
    saved: `saved${at}`,
    saving: 'saving',
    unsaved: 'not saved yet',
    failed: state.problem?.message ?? 'not saved',
    refused: `not saved: ${state.problem?.path ?? ''} ${state.problem?.message ?? ''}`,
    closed: 'closed',
  }[state.save];
  return <span className="save" role="status" data-state={state.save} suppressHydrationWarning>{words}</span>;
}
