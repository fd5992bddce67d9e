import Table from '@mui/material/Table';
import TableBody from '@mui/material/TableBody';
import TableCell from '@mui/material/TableCell';
import TableContainer from '@mui/material/TableContainer';
import TableHead from '@mui/material/TableHead';
import TableRow from '@mui/material/TableRow';
import type { Patch } from '@/core/base/patch';
import { dimmedWhen } from '@/ui/layout/dimmedWhen';
import { TakeOrCompare } from '../frame/TakeOrCompare';

/** A figure of each row; text that is no number stands on the left. */
export interface ChangeColumn<T> {
  name: string;
  text?: true;
  of(row: T): string;
}

/** Single changes below the car as it is, each to be taken or compared. */
export function ChangeTable<T>({
  title = 'What if',
  columns,
  present,
  tried,
  stale = false,
}: {
  title?: string;
  columns: readonly ChangeColumn<T>[];
  present: T;
  /** A change without a patch can only be looked at. */
  tried: readonly { id: string; text: string; row: T; patch?: Patch }[];
  stale?: boolean;
}) {
  const align = (column: ChangeColumn<T>) => (column.text ? 'left' : 'right');
  const cells = (row: T) =>
    columns.map((column) => (
      <TableCell key={column.name} align={align(column)} {...(column.text ? { 'data-tone': 'quiet' } : {})}>
        {column.of(row)}
      </TableCell>
    ));
  return (
    <TableContainer component="section" sx={{ mt: 1.25, ...dimmedWhen(stale) }} aria-label={title}>
      <Table size="small">
        <TableHead>
          <TableRow>
            <TableCell>{title}</TableCell>
            {columns.map((column) => (
              <TableCell key={column.name} align={align(column)}>
                {column.name}
              </TableCell>
            ))}
            <TableCell />
          </TableRow>
        </TableHead>
        <TableBody>
          <TableRow>
            <TableCell>
              <b>As it is</b>
            </TableCell>
            {cells(present)}
            <TableCell />
          </TableRow>
          {tried.map(({ id, text, row, patch }) => (
            <TableRow key={id} data-whatif={id}>
              <TableCell>{text}</TableCell>
              {cells(row)}
              <TableCell sx={{ whiteSpace: 'nowrap' }}>
                {patch ? <TakeOrCompare text={text} patch={patch} /> : null}
              </TableCell>
            </TableRow>
          ))}
        </TableBody>
      </Table>
    </TableContainer>
  );
}
