'use client';

import explorerCss from './explorer.module.css';
import clsx from 'clsx';
import checksCss from '@/ui/checks.module.css';
import Button from '@mui/material/Button';
import { DataGrid, type GridColDef, type GridRenderCellParams } from '@mui/x-data-grid';
import { memo, useMemo } from 'react';
import { formatNumber } from '@/core/base/units/formatQuantity';
import { type QuantityName, toShown, unitOf } from '@/core/base/units/quantities';
import { useReader } from '@/ui/reader';
import type { NamedRow } from './explorerRows';
import { sayAll } from '@/words/findings';

interface ExplorerTableProps {
  rows: readonly NamedRow[];
  pinned: readonly number[];
  closed: boolean;
  onHover(id: number): void;
  onTake(row: NamedRow): void;
  onPin(id: number): void;
}

const PAGE = 25;
const HIDDEN_AT_FIRST = { peakBatteryCurrentA: false, why: false, launchLimitedBy: false };

/** The combinations to sort, filter, pin and take. */
export const ExplorerTable = memo(function ExplorerTable({
  rows,
  pinned,
  closed,
  onHover,
  onTake,
  onPin,
}: ExplorerTableProps) {
  const { reader } = useReader();
  const columns = useMemo<GridColDef<NamedRow>[]>(() => {
    const figure = (
      field: keyof NamedRow,
      name: string,
      quantity: QuantityName,
      value: (row: NamedRow) => number | undefined,
      width = 104,
    ): GridColDef<NamedRow> => {
      const unit = unitOf(quantity, reader.units);
      return {
        field,
        type: 'number',
        width,
        headerName: unit.symbol ? `${name}, ${unit.symbol}` : name,
        valueGetter: (_: never, row) => {
          const own = value(row);
          return own === undefined ? null : toShown(own, unit);
        },
        valueFormatter: (shown: number | null) =>
          shown === null ? '' : formatNumber(shown, reader.locale, 3),
      };
    };
    return [
      {
        field: 'take',
        headerName: 'Take',
        width: 116,
        sortable: false,
        filterable: false,
        hideable: false,
        disableColumnMenu: true,
        renderCell: ({ row }: GridRenderCellParams<NamedRow>) => (
          <span className={clsx(checksCss.remedy, explorerCss.take)}>
            <Button
              color="success"
              tabIndex={-1}
              disabled={closed}
              aria-label={`Take ${row.motor}, ${row.pack}, ${row.ratio}`}
              onClick={() => onTake(row)}
            >
              take
            </Button>
            <Button
              variant="text"
              tabIndex={-1}
              aria-pressed={pinned.includes(row.id)}
              aria-label={`Pin ${row.motor}, ${row.pack}, ${row.ratio}`}
              onClick={() => onPin(row.id)}
            >
              {pinned.includes(row.id) ? 'pinned' : 'pin'}
            </Button>
          </span>
        ),
      },
      { field: 'motor', headerName: 'Motor', width: 178 },
      { field: 'pack', headerName: 'Pack', width: 122 },
      figure('ratio', 'Ratio', 'ratio', ({ ratio }) => ratio, 76),
      figure('topSpeedMps', 'Speed', 'speedMps', ({ topSpeedMps }) => topSpeedMps, 118),
      figure('timeToDistanceS', 'Time', 'timeS', ({ timeToDistanceS }) => timeToDistanceS, 84),
      figure('steadyCaseC', 'Case', 'temperatureC', ({ steadyCaseC }) => steadyCaseC, 104),
      figure(
        'durationS',
        'Runs',
        'minutes',
        ({ durationS }) => (durationS === undefined ? undefined : durationS / 60),
        92,
      ),
      figure('peakMotorCurrentA', 'Motor', 'currentA', ({ peakMotorCurrentA }) => peakMotorCurrentA, 92),
      figure('peakBatteryCurrentA', 'Pack', 'currentA', ({ peakBatteryCurrentA }) => peakBatteryCurrentA, 92),
      { field: 'launchLimitedBy', headerName: 'Launch held by', width: 120 },
      {
        field: 'meetsGoal',
        headerName: 'Wish',
        width: 84,
        type: 'boolean',
        renderCell: ({ row }) => (row.meetsGoal ? 'met' : 'missed'),
      },
      {
        field: 'best',
        headerName: 'Best',
        width: 70,
        type: 'boolean',
        renderCell: ({ row }) => (row.best ? 'yes' : ''),
      },
      {
        field: 'why',
        headerName: 'Why not',
        width: 420,
        valueGetter: (_: never, row) => sayAll(row.why, reader),
      },
    ];
  }, [reader, closed, pinned, onTake, onPin]);
  return (
    <DataGrid
      rows={rows as NamedRow[]}
      columns={columns}
      density="compact"
      disableRowSelectionOnClick
      pageSizeOptions={[PAGE, 100]}
      initialState={{
        pagination: { paginationModel: { pageSize: PAGE } },
        columns: { columnVisibilityModel: HIDDEN_AT_FIRST },
        sorting: { sortModel: [{ field: 'steadyCaseC', sort: 'asc' }] },
      }}
      onRowClick={({ row }) => onHover(row.id)}
      onCellKeyDown={({ row }, event) => {
        if (event.key === 'Enter') onHover((row as NamedRow).id);
      }}
      slotProps={{
        row: {
          onMouseEnter: (event: React.MouseEvent<HTMLElement>) =>
            onHover(Number(event.currentTarget.dataset.id)),
        },
      }}
      className={explorerCss.combinations}
      aria-label="Combinations"
    />
  );
});
