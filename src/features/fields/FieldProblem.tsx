'use client';

import Typography from '@mui/material/Typography';

/** What is wrong with the field above it. */
export function FieldProblem({ id, children }: { id: string; children: string | undefined }) {
  if (children === undefined) return null;
  return (
    <Typography variant="note" color="error" role="alert" id={id} sx={{ py: 0.5 }}>
      {children}
    </Typography>
  );
}
