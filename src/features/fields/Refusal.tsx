import { Note } from '@/ui/controls/Note';
import { useReader } from '@/ui/reader';
import { refusalText } from '@/words/refusals/problemOf';
import type { Worked } from '../session/useWorked';

/** What a worker refused, in place of what it would have worked out; nothing where it did not. */
export function Refusal({ of: { refused } }: { of: Worked<object> }) {
  const { reader } = useReader();
  return refused ? (
    <Note tone="bad" role="alert">
      Not worked out: {refusalText(refused, reader)}.
    </Note>
  ) : null;
}
