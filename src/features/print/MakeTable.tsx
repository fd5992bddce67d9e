'use client';

import { formatText } from '@/core/base/units/formatQuantity';
import { type ListEntry, type Source, SOURCES } from '@/core/car/document/print';
import type { MakeLine } from '@/core/worked/print/makeList';
import { QuantityField } from '@/ui/QuantityField';
import { useReader } from '@/ui/reader';

export const GROUPS = [
  ['part', 'Parts'],
  ['component', 'Components'],
  ['hardware', 'Screws, nuts, inserts, bearings'],
  ['own', 'Things of its own'],
] as const;

export const FIELDS = [
  ['quantity', 'count', { from: 0, to: 1000 }, 'Quantity'],
  ['massG', 'massG', { above: 0, to: 100000 }, 'Mass of one'],
  ['price', 'price', { from: 0, to: 1e6 }, 'Price of one'],
  ['leadDays', 'days', { from: 0, to: 1000 }, 'Lead time'],
  ['onHand', 'count', { from: 0, to: 1000 }, 'Spares on hand'],
] as const;

export function MakeTable({
  lines,
  closed,
  onSet,
  onDrop,
}: {
  lines: readonly MakeLine[];
  closed: boolean;
  onSet(line: MakeLine, change: Partial<ListEntry>): void;
  onDrop(line: MakeLine): void;
}) {
  const { reader } = useReader();
  return (
    <div className="gridbox">
      <table className="grid tight make" data-testid="make-list" style={{ marginTop: 10 }}>
        <thead>
          <tr>
            <th>What</th>
            <th>Source</th>
            <th className="num">Number</th>
            <th className="num">Mass of one</th>
            <th className="num">Price of one</th>
            <th className="num">Lead time</th>
            <th className="num">Spares</th>
            <th className="num">Together</th>
          </tr>
        </thead>
        {GROUPS.map(([of, title]) => {
          const own = lines.filter((line) => line.of === of);
          return own.length === 0 ? null : (
            <tbody key={of}>
              <tr>
                <th colSpan={8} style={{ paddingTop: 10 }}>
                  {title}
                </th>
              </tr>
              {own.map((line) => (
                <tr key={line.id}>
                  <td>
                    {line.name}
                    {of === 'own' && !closed ? (
                      <button
                        type="button"
                        className="plain"
                        aria-label={`Take ${line.name} out`}
                        onClick={() => onDrop(line)}
                      >
                        ×
                      </button>
                    ) : null}
                  </td>
                  <td>
                    <select
                      className="plainselect small"
                      aria-label={`Source of ${line.name}`}
                      value={line.source}
                      disabled={closed}
                      onChange={(event) => onSet(line, { source: event.target.value as Source })}
                    >
                      {SOURCES.map((source) => (
                        <option key={source}>{source}</option>
                      ))}
                    </select>
                  </td>
                  {FIELDS.map(([key, quantity, limits, label]) => (
                    <td key={key} className="bare" data-said={line.said[key] !== undefined}>
                      <QuantityField
                        label={`${label}, ${line.name}`}
                        quantity={quantity}
                        limits={limits}
                        value={line.said[key]}
                        {...(line[key] === undefined ? {} : { usual: line[key] })}
                        disabled={closed}
                        onChange={(value) => onSet(line, { [key]: value })}
                      />
                    </td>
                  ))}
                  <td className="num">
                    {line.price === undefined ? '' : formatText(line.price * line.quantity, 'price', reader)}
                  </td>
                </tr>
              ))}
            </tbody>
          );
        })}
      </table>
    </div>
  );
}
