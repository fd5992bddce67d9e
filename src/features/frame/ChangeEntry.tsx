'use client';

import { Note } from '@/ui/controls/Note';
import Button from '@mui/material/Button';
import Dialog from '@mui/material/Dialog';
import DialogActions from '@mui/material/DialogActions';
import DialogContent from '@mui/material/DialogContent';
import DialogTitle from '@mui/material/DialogTitle';
import { ChangeRun } from '../field/ChangeRun';
import { FailureForm } from '../learn/FailureForm';
import { useNarrow } from '@/ui/useNarrow';
import type { Waiting } from '../session/outbox';

/** An entry that was not taken, in the form that it was entered in; saved it is sent again under its own id. */
export function ChangeEntry({ name, one, onDone }: { name: string; one: Waiting; onDone(): void }) {
  const narrow = useNarrow();
  return (
    <Dialog open fullWidth fullScreen={narrow} maxWidth="sm" onClose={onDone} aria-labelledby="change-entry">
      <DialogTitle component="div" id="change-entry">
        {name}
      </DialogTitle>
      <DialogContent>
        <Note tone="bad">{one.refused}</Note>
        {one.kind === 'run' ? (
          <ChangeRun entered={one} onDone={onDone} />
        ) : (
          <FailureForm entered={one} onDone={onDone} />
        )}
      </DialogContent>
      {one.kind === 'run' ? (
        <DialogActions>
          <Button onClick={onDone}>Leave it as it is</Button>
        </DialogActions>
      ) : null}
    </Dialog>
  );
}
