'use client';

import Button from '@mui/material/Button';
import { DATABASE_SILENT } from './databaseSilent';

export default function PageError({ error, reset }: { error: Error & { digest?: string }; reset(): void }) {
  return (
    <main className="garage">
      <h1 className="answer">This page could not be shown.</h1>
      <p style={{ marginTop: 8 }}>
        {error.digest === DATABASE_SILENT ? 'The database does not answer: start it, then try again. ' : ''}
        What was saved is safe, and the other pages stand.
      </p>
      <Button style={{ marginTop: 12 }} onClick={reset}>
        Try again
      </Button>
    </main>
  );
}
