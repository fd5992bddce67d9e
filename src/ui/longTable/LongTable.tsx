'use client';

import Box from '@mui/material/Box';
import dynamic from 'next/dynamic';
import { useNarrow } from '../useNarrow';
import type { LongTableProps } from './column';
import { LongList } from './LongList';

const Grid = dynamic(() => import('./LongGrid').then(({ LongGrid }) => LongGrid), {
  ssr: false,
  loading: () => <Box sx={{ height: 160 }} />,
}) as <R extends { id: string }>(props: LongTableProps<R>) => React.ReactNode;

/** Many rows to sort, filter and take along as CSV; on a phone a list in its place. */
export function LongTable<R extends { id: string }>(props: LongTableProps<R>) {
  const narrow = useNarrow();
  return <div data-testid={props.testId}>{narrow ? <LongList {...props} /> : <Grid {...props} />}</div>;
}
