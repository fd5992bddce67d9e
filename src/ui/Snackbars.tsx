'use client';

import Button from '@mui/material/Button';
import Stack from '@mui/material/Stack';
import {
  closeSnackbar,
  type CustomContentProps,
  enqueueSnackbar,
  SnackbarContent,
  SnackbarProvider,
} from 'notistack';
import { type ReactNode, type Ref, useState } from 'react';

declare module 'notistack' {
  interface VariantOverrides {
    undoable: { onUndo: () => Promise<string | undefined> };
  }
}

const SHOWN_MS = 12_000;

/** Short words at the foot of the page; what was deleted can be taken back from there. */
export function Snackbars({ children }: { children: ReactNode }) {
  return (
    <SnackbarProvider
      maxSnack={3}
      autoHideDuration={SHOWN_MS}
      Components={{ undoable: UndoableBar }}
      anchorOrigin={{ vertical: 'bottom', horizontal: 'left' }}
    >
      {children}
    </SnackbarProvider>
  );
}

interface UndoableBarProps extends CustomContentProps {
  onUndo: () => Promise<string | undefined>;
  ref?: Ref<HTMLDivElement>;
}

function UndoableBar({ id, message, onUndo, ref }: UndoableBarProps) {
  const [problem, setProblem] = useState<string>();
  const [busy, setBusy] = useState(false);
  const undo = async () => {
    setBusy(true);
    const refused = await onUndo();
    setBusy(false);
    if (refused === undefined) closeSnackbar(id);
    else setProblem(refused);
  };
  return (
    <SnackbarContent ref={ref ?? null} role="status">
      <Stack
        direction="row"
        spacing={2}
        sx={{
          alignItems: 'center',
          bgcolor: 'text.primary',
          color: 'background.default',
          px: 2,
          py: 1,
          maxWidth: 560,
        }}
      >
        <span>{problem ?? message}</span>
        <Button
          color="inherit"
          variant="outlined"
          disabled={busy}
          onClick={() => void undo()}
          sx={{ flex: 'none' }}
        >
          Undo
        </Button>
      </Stack>
    </SnackbarContent>
  );
}

/** Says what was deleted, and offers to bring it back; `onUndo` gives why it could not. */
export function sayUndoable(message: string, onUndo: () => Promise<string | undefined>): void {
  enqueueSnackbar(message, { variant: 'undoable', onUndo });
}
