'use client';

import Box from '@mui/material/Box';

/** What is wrong with the field above it. */
export function FieldProblem({ id, children }: { id: string; children: string | undefined }) {
  if (children === undefined) return null;
  return (
    <Box role="alert" id={id} sx={{ color: 'error.main', fontSize: 13, py: 0.5 }}>
      {children}
    </Box>
  );
}
