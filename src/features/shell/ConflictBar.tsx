'use client';

import { describeValue } from '@/core/build/describe';
import { labelOf } from '@/core/build/labels';
import { useReader } from '@/ui/reader';
import { useBuild } from './BuildContext';

/** The same field changed in two tabs: both values, and which one to keep. */
export function ConflictBar() {
  const { state, session } = useBuild();
  const { reader } = useReader();
  if (state.conflicts.length === 0) return null;
  return (
    <section className="note ask" style={{ margin: '8px 24px', maxWidth: 'none' }} aria-label="Changed in two places" role="alert">
      {state.conflicts.map(({ path, mine, theirs }) => (
        <div key={path.join('/')} className="row">
          <span><b>{labelOf(path).label}</b> was changed in another tab too: here <b>{describeValue(path, mine, reader)}</b>, there <b>{describeValue(path, theirs, reader)}</b>.</span>
          <button type="button" className="btn" onClick={() => session.settle(path, 'mine')}>Keep {describeValue(path, mine, reader)}</button>
          <button type="button" className="btn" onClick={() => session.settle(path, 'theirs')}>Keep {describeValue(path, theirs, reader)}</button>
        </div>
      ))}
    </section>
  );
}
