'use client';

import { formatNumber, formatText } from '@/core/base/units/formatQuantity';
import { useReader } from '@/ui/reader';
import type { NamedRow } from './explorerRows';

interface PinnedRowsProps {
  rows: readonly NamedRow[];
  closed: boolean;
  onTake(row: NamedRow): void;
  onUnpin(id: number): void;
  onHover(id: number): void;
}

/** Combinations kept in view while the table is searched. */
export function PinnedRows({ rows, closed, onTake, onUnpin, onHover }: PinnedRowsProps) {
  const { reader } = useReader();
  if (rows.length === 0) return null;
  return (
    <section aria-label="Pinned combinations" className="gridbox" style={{ marginTop: 10 }}>
      <table className="grid tight">
        <thead>
          <tr>
            <th>Pinned</th>
            <th>Pack</th>
            <th className="num">Ratio</th>
            <th className="num">Top speed</th>
            <th className="num">Time</th>
            <th className="num">Case</th>
            <th className="num">Runs</th>
            <th />
          </tr>
        </thead>
        <tbody>
          {rows.map((row) => (
            <tr key={row.id} onMouseEnter={() => onHover(row.id)}>
              <td>
                <b>{row.motor}</b>
              </td>
              <td>{row.pack}</td>
              <td className="num">{formatNumber(row.ratio, reader.locale, 3)}</td>
              <td className="num">
                {row.topSpeedMps === undefined ? '' : formatText(row.topSpeedMps, 'speedMps', reader)}
              </td>
              <td className="num">
                {row.timeToDistanceS === undefined ? '' : formatText(row.timeToDistanceS, 'timeS', reader)}
              </td>
              <td className="num">
                {row.steadyCaseC === undefined ? '' : formatText(row.steadyCaseC, 'temperatureC', reader)}
              </td>
              <td className="num">
                {row.durationS === undefined ? '' : formatText(row.durationS / 60, 'minutes', reader)}
              </td>
              <td>
                <span className="remedy">
                  <button type="button" disabled={closed} onClick={() => onTake(row)}>
                    take this one
                  </button>
                  <button type="button" className="plain" onClick={() => onUnpin(row.id)}>
                    unpin
                  </button>
                </span>
              </td>
            </tr>
          ))}
        </tbody>
      </table>
    </section>
  );
}
