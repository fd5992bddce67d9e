'use client';

import Box from '@mui/material/Box';
import {
  ColumnsPanelTrigger,
  DataGrid,
  ExportCsv,
  FilterPanelTrigger,
  type GridColDef,
  Toolbar,
} from '@mui/x-data-grid';
import { useMemo } from 'react';
import { formatNumber } from '@/core/base/units/formatQuantity';
import { toShown, unitOf } from '@/core/base/units/quantities';
import { useReader } from '../reader';
import { DIMMED } from '../theme/tokens';
import { inOrder, type LongTableProps } from './column';

const PAGE = 25;
const MOST = 100;
const ACTS_PX = 64;
/** Two lines of a head. */
const HEAD_PX = 42;

/** Sorted by a click on a head, filtered, with chosen columns, handed on as CSV. */
export function LongGrid<R extends { id: string }>({
  label,
  rows,
  columns,
  acts,
  actsWidth = ACTS_PX,
  actsFirst = false,
  mark,
  latest,
  page = PAGE,
}: LongTableProps<R>) {
  const { reader } = useReader();
  const cells = useMemo<GridColDef<R>[]>(() => {
    const shown = columns.map(({ field, name, width, grows, quantity, date, value, show }): GridColDef<R> => {
      const unit = quantity ? unitOf(quantity, reader.units) : undefined;
      return {
        field,
        headerName: unit?.symbol ? `${name}, ${unit.symbol}` : name,
        minWidth: width,
        getSortComparator: (way) => (a, b) => inOrder(a, b, way ?? 'asc'),
        ...(grows ? { flex: 1 } : { width }),
        ...(unit ? { type: 'number' as const } : date ? { type: 'dateTime' as const } : {}),
        valueGetter: (_: never, row) => {
          const own = value(row);
          if (own === undefined) return null;
          if (date) return new Date(own);
          return unit && typeof own === 'number' ? toShown(own, unit) : own;
        },
        ...(unit
          ? {
              valueFormatter: (shown: number | null) =>
                shown === null ? '' : formatNumber(shown, reader.locale, 3),
            }
          : {}),
        ...(show ? { renderCell: ({ row }: { row: R }) => <div>{show(row)}</div> } : {}),
      };
    });
    if (!acts) return shown;
    const pressed: GridColDef<R> = {
      field: 'acts',
      headerName: '',
      width: actsWidth,
      sortable: false,
      filterable: false,
      hideable: false,
      disableColumnMenu: true,
      disableExport: true,
      renderCell: ({ row }: { row: R }) => acts(row),
    };
    return actsFirst ? [shown[0]!, pressed, ...shown.slice(1)] : [...shown, pressed];
  }, [columns, acts, actsWidth, actsFirst, reader]);
  return (
    <Box sx={{ display: 'flex', flexDirection: 'column' }}>
      <DataGrid
        rows={rows as R[]}
        columns={cells}
        getRowHeight={() => 'auto'}
        getRowClassName={({ row }) => `longrow ${mark?.(row) ?? ''}`}
        columnHeaderHeight={HEAD_PX}
        disableRowSelectionOnClick
        hideFooter={rows.length <= page}
        pageSizeOptions={[...new Set([page, MOST])]}
        initialState={{
          pagination: { paginationModel: { pageSize: page } },
          columns: {
            columnVisibilityModel: Object.fromEntries(
              columns.filter(({ hidden }) => hidden).map(({ field }) => [field, false]),
            ),
          },
          ...(latest ? { sorting: { sortModel: [{ field: latest, sort: 'desc' as const }] } } : {}),
        }}
        showToolbar
        slots={{ toolbar: Tools }}
        aria-label={label}
        sx={{
          border: 0,
          fontSize: 13,
          '--rowBorderColor': 'var(--rule)',
          bgcolor: 'transparent',
          '& .MuiDataGrid-columnHeader, & .MuiDataGrid-filler, & .MuiDataGrid-toolbar, & .MuiDataGrid-toolbarContainer, & .MuiDataGrid-columnHeaders, & [role="row"].MuiDataGrid-row--borderBottom':
            { bgcolor: 'background.default' },
          '& .MuiDataGrid-cell': { py: 0.75, lineHeight: 1.4, display: 'flex', alignItems: 'center' },
          '& .away': { opacity: DIMMED },
          '& .MuiDataGrid-columnHeader .MuiIconButton-root': { bgcolor: 'transparent' },
          '& .MuiDataGrid-columnHeaderTitle': {
            fontWeight: 650,
            fontSize: 12,
            whiteSpace: 'normal',
            lineHeight: 1.2,
          },
          '& .MuiDataGrid-toolbar': { border: 0, minHeight: 40, p: 0, justifyContent: 'flex-start' },
          '& .MuiDataGrid-cell:first-of-type, & .MuiDataGrid-columnHeader:first-of-type': { pl: 0 },
        }}
      />
    </Box>
  );
}

const Tools = () => (
  <Toolbar>
    <FilterPanelTrigger>Filter</FilterPanelTrigger>
    <ColumnsPanelTrigger>Columns</ColumnsPanelTrigger>
    <ExportCsv>CSV</ExportCsv>
  </Toolbar>
);
