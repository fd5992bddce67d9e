'use client';

import frameCss from '@/ui/layout/frame.module.css';
import Typography from '@mui/material/Typography';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import { DATABASE_SILENT } from './databaseSilent';

export default function PageError({ error, reset }: { error: Error & { digest?: string }; reset(): void }) {
  return (
    <main className={frameCss.garage}>
      <Typography variant="answer">This page could not be shown.</Typography>
      <Box component="p" sx={{ mt: 1 }}>
        {error.digest === DATABASE_SILENT ? 'The database does not answer: start it, then try again. ' : ''}
        What was saved is safe, and the other pages stand.
      </Box>
      <Button sx={{ mt: 1.5 }} onClick={reset}>
        Try again
      </Button>
    </main>
  );
}
