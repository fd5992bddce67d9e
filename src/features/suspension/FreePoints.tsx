'use client';

import { type Corner, POINT_NAMES, type PointName } from '@/core/physics/corner/corner';
import type { EndOfBuild } from '@/core/worked/suspension/endOfBuild';
import { pointLabel } from './corner/points';

export const AXES = ['ahead', 'left', 'up'] as const;

export function FreePoints({
  drawn: { corner },
  free,
  onFree,
}: {
  drawn: EndOfBuild;
  free: ReadonlySet<string>;
  onFree(free: ReadonlySet<string>): void;
}) {
  const names = POINT_NAMES.filter((name) => name !== 'wheelCentre' && placeOf(corner, name) !== undefined);
  const toggle = (key: string) => {
    const next = new Set(free);
    if (!next.delete(key)) next.add(key);
    onFree(next);
  };
  return (
    <table className="points" aria-label="Points that may move">
      <thead>
        <tr>
          <th />
          {AXES.map((axis) => (
            <th key={axis}>{axis}</th>
          ))}
        </tr>
      </thead>
      <tbody>
        {names.map((name) => (
          <tr key={name}>
            <th scope="row">{pointLabel(name)}</th>
            {AXES.map((axis, index) => (
              <td key={axis} style={{ textAlign: 'right' }}>
                <input
                  type="checkbox"
                  aria-label={`${pointLabel(name)} may move ${axis}`}
                  checked={free.has(`${name}-${index}`)}
                  onChange={() => toggle(`${name}-${index}`)}
                />
              </td>
            ))}
          </tr>
        ))}
      </tbody>
    </table>
  );
}

export const placeOf = (corner: Corner, point: PointName) =>
  (corner as unknown as Record<string, unknown>)[point];
