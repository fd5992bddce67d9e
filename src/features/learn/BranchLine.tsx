import ButtonBase from '@mui/material/ButtonBase';
import { useMemo } from 'react';
import { branchesOf } from '@/core/advice/learn/branches';
import { meanOfRuns } from '@/core/worked/field/measured';
import { formatText } from '@/core/base/units/formatQuantity';
import { useReader } from '@/ui/reader';
import { When } from '@/ui/When';
import { useBuild } from '../session/BuildContext';

const [ROW, LANE, MIDDLE, NODE] = [86, 26, 26, 13];

/** Every revision from the first down, its branches beside it; one is chosen to be looked at. */
export function BranchLine({ chosen, onChoose }: { chosen: string; onChoose(id: string): void }) {
  const { revisions, runs, failures } = useBuild();
  const { reader } = useReader();
  const placed = useMemo(() => branchesOf(revisions), [revisions]);
  const width = LANE * (1 + Math.max(...placed.map(({ lane }) => lane))) + 6;
  const [x, y] = [(lane: number) => LANE * lane + LANE / 2 + 2, (row: number) => row * ROW + MIDDLE];
  const stands = new Set(revisions.map(({ parentId }) => parentId));
  return (
    <div style={{ position: 'relative', paddingLeft: width + 8 }} data-testid="line">
      <svg
        width={width}
        height={revisions.length * ROW}
        style={{ position: 'absolute', left: 0, top: 0 }}
        aria-hidden="true"
      >
        {placed.map(({ id, row, lane, from }) =>
          from ? (
            <path
              key={id}
              d={`M${x(from.lane)},${y(from.row)} ${from.lane === lane ? '' : `C${x(from.lane)},${y(from.row) + ROW / 2} ${x(lane)},${y(from.row) + ROW / 2} ${x(lane)},${y(from.row + 1)}`} L${x(lane)},${y(row)}`}
              fill="none"
              stroke="var(--ink)"
              strokeWidth="2"
            />
          ) : null,
        )}
        {placed.map(({ id, row, lane }, at) => {
          const on = id === chosen;
          return (
            <g key={id}>
              <circle
                cx={x(lane)}
                cy={y(row)}
                r={NODE}
                fill={on ? 'var(--ink)' : 'var(--sheet)'}
                stroke="var(--ink)"
                strokeWidth="2"
              />
              <text
                x={x(lane)}
                y={y(row) + 5}
                textAnchor="middle"
                style={{ font: '700 13px var(--sans)', fill: on ? 'var(--paper)' : 'var(--ink)' }}
              >
                {revisions[at]!.letter}
              </text>
            </g>
          );
        })}
      </svg>
      {revisions.map((one) => {
        const own = runs.filter(({ revisionId }) => revisionId === one.id);
        const measured = meanOfRuns(own, 'timedDistance');
        const broke = failures.filter(({ revisionId }) => revisionId === one.id).length;
        return (
          <ButtonBase
            key={one.id}
            className="branch-row"
            style={{ height: ROW }}
            aria-pressed={one.id === chosen}
            aria-label={`Revision ${one.letter}`}
            onClick={() => onChoose(one.id)}
          >
            <span className="quiet" style={{ fontSize: 12 }}>
              <When at={one.createdAt} />
              {one.closedAt && !stands.has(one.id) ? ', closed' : ''}
              {measured ? (
                <span className="slate"> · {formatText(measured.mean, 'speedMps', reader)}</span>
              ) : (
                ''
              )}
              {broke > 0 ? ` · ${broke} broke` : ''}
            </span>
            <span className="clamp">{one.why ?? 'The first.'}</span>
          </ButtonBase>
        );
      })}
    </div>
  );
}
