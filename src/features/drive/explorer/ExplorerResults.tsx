'use client';

import { Row } from '@/ui/layout/Row';
import Typography from '@mui/material/Typography';
import { Toggle, Toggles } from '@/ui/controls/Toggle';
import dynamic from 'next/dynamic';
import { memo, useCallback, useMemo, useState } from 'react';
import { applyPatch } from '@/core/base/patch';
import { takeRow } from '@/core/worked/drive/explorer';
import type { SweepRow } from '@/core/physics/search/sweep';
import { formatNumber } from '@/core/base/units/formatQuantity';
import { useReader } from '@/ui/reader';
import { useBuild } from '../../session/BuildContext';
import { Charts } from '../../frame/Guarded';
import { ExplorerRun } from './ExplorerRun';
import { type NamedRow, startingRow } from './explorerRows';
import { type Measure, ParetoChart } from './ParetoChart';
import { PinnedRows } from './PinnedRows';

const ExplorerTable = dynamic(() => import('./ExplorerTable').then((found) => found.ExplorerTable), {
  ssr: false,
});

const SHOWN = { meets: 'meets the wish', best: 'cannot be bettered', all: 'all' } as const;
type Shown = keyof typeof SHOWN;

interface ExplorerResultsProps {
  rows: readonly NamedRow[];
  /** The car is no longer the one that the rows were worked out for. */
  outdated: boolean;
}

/** Chart, run and table of a sweep; the ticking of the next one leaves them alone. */
export const ExplorerResults = memo(function ExplorerResults({ rows, outdated }: ExplorerResultsProps) {
  const { document, surface, library, edit, setGhost, closed } = useBuild();
  const { reader } = useReader();
  const [chosen, setShown] = useState<Shown>();
  const [measure, setMeasure] = useState<Measure>('timeToDistanceS');
  const [hovered, setHovered] = useState<number>();
  const [pinned, setPinned] = useState<readonly number[]>([]);
  const [marked, setMarked] = useState(rows);
  // marks are places in the rows of one sweep
  if (marked !== rows) {
    setMarked(rows);
    setHovered(undefined);
    setPinned([]);
  }
  const start = useMemo(
    () => startingRow(rows, document.drive.motor?.libraryId, document.power.battery?.libraryId),
    [rows, document.drive.motor?.libraryId, document.power.battery?.libraryId],
  );
  const shown: Shown = chosen ?? (rows.some(({ meetsGoal }) => meetsGoal) ? 'meets' : 'best');
  const visible = useMemo(
    () => rows.filter((row) => shown === 'all' || (shown === 'meets' ? row.meetsGoal : row.best)),
    [rows, shown],
  );

  const onPin = useCallback((id: number) => {
    setHovered(id);
    setPinned((before) => (before.includes(id) ? before.filter((one) => one !== id) : [...before, id]));
  }, []);
  const patchOf = useCallback((row: SweepRow) => takeRow(document, row, library), [document, library]);
  const onTake = useCallback((row: NamedRow) => edit(patchOf(row)), [edit, patchOf]);
  const compare = (row: NamedRow) =>
    setGhost({ label: `${row.motor}, ${row.pack}`, document: applyPatch(document, patchOf(row)) });

  if (!surface) return null;
  const current = rows[hovered ?? start ?? -1];
  return (
    <>
      <Charts>
        <ParetoChart
          rows={rows}
          measure={measure}
          onMeasure={setMeasure}
          hovered={current?.id}
          onHover={setHovered}
          document={document}
        />
        <ExplorerRun
          document={document}
          surface={surface}
          row={current}
          patch={current ? patchOf(current) : undefined}
          closed={closed}
          onTake={onTake}
          onCompare={compare}
        />
      </Charts>
      <PinnedRows
        rows={pinned.map((id) => rows[id]!)}
        closed={closed}
        onTake={onTake}
        onUnpin={onPin}
        onHover={setHovered}
      />
      <Row sx={{ m: '10px 0 6px' }}>
        <Toggles label="Which combinations">
          {(Object.keys(SHOWN) as Shown[]).map((one) => (
            <Toggle key={one} pressed={shown === one} onPress={() => setShown(one)}>
              {SHOWN[one]}
            </Toggle>
          ))}
        </Toggles>
        <Typography component="span" color="textSecondary">
          {formatNumber(visible.length, reader.locale, 6)} shown
          {outdated ? '; not of the car as it is now' : ''}
        </Typography>
      </Row>
      <ExplorerTable
        rows={visible}
        pinned={pinned}
        closed={closed}
        onHover={setHovered}
        onTake={onTake}
        onPin={onPin}
      />
    </>
  );
});
