'use client';

import dynamic from 'next/dynamic';
import { Note } from '@/ui/controls/Note';

/** When the run was driven: the calendar comes with the first sheet that asks. */
export const RanAtField = dynamic(
  () =>
    import('./RanAtField').then(
      (found) => found.RanAtField,
      () => NotFetched,
    ),
  { ssr: false },
);

/** Without a signal what was never fetched cannot be. */
function NotFetched() {
  return <Note>The calendar needs a connection the first time; the run is dated when it is saved.</Note>;
}
