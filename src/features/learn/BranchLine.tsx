import Box from '@mui/material/Box';
import learnCss from '@/features/learn/learn.module.css';
import Typography from '@mui/material/Typography';
import ButtonBase from '@mui/material/ButtonBase';
import { useMemo } from 'react';
import { branchesOf } from '@/core/advice/learn/branches';
import { gainsOf } from '@/core/advice/learn/gains';
import { gainText } from '@/words/learn/gain';
import { useReader } from '@/ui/reader';
import { When } from '@/ui/When';
import { useBuild } from '../session/BuildContext';

const [ROW, LANE, MIDDLE, NODE] = [86, 26, 26, 13];
/** Of the ribbon: where nothing was measured, and what the fastest revision adds. */
const [THIN, BROAD] = [2, 12];

/** Every revision from the first down, its branches beside it; one is chosen to be looked at. */
export function BranchLine({ chosen, onChoose }: { chosen: string; onChoose(id: string): void }) {
  const { revisions, runs, failures } = useBuild();
  const { reader } = useReader();
  const placed = useMemo(() => branchesOf(revisions), [revisions]);
  const width = LANE * (1 + Math.max(...placed.map(({ lane }) => lane))) + 6;
  const [x, y] = [(lane: number) => LANE * lane + LANE / 2 + 2, (row: number) => row * ROW + MIDDLE];
  const gains = useMemo(() => gainsOf(revisions, runs), [revisions, runs]);
  const half = (row: number) => (THIN + BROAD * (gains[row]!.share ?? 0)) / 2;
  const stands = new Set(revisions.map(({ parentId }) => parentId));
  return (
    <Box sx={{ position: 'relative', pl: `${width + 8}px` }} data-testid="line">
      <svg width={width} height={revisions.length * ROW} className={learnCss.ribbons} aria-hidden="true">
        {placed.map(({ id, row, lane, from }) =>
          from ? (
            <path
              key={id}
              d={ribbon(
                { x: x(from.lane), y: y(from.row), half: half(from.row) },
                { x: x(lane), y: y(row), half: half(row) },
              )}
              fill="var(--slate)"
              fillOpacity="0.55"
              stroke="var(--ink)"
              strokeWidth="1"
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
                fontSize={13}
                fontWeight={700}
                fill={on ? 'var(--paper)' : 'var(--ink)'}
              >
                {revisions[at]!.letter}
              </text>
            </g>
          );
        })}
      </svg>
      {revisions.map((one, at) => {
        const gained = gainText(gains[at]!, reader);
        const broke = failures.filter(({ revisionId }) => revisionId === one.id).length;
        return (
          <ButtonBase
            key={one.id}
            className={learnCss.branchRow}
            style={{ height: ROW }}
            aria-pressed={one.id === chosen}
            aria-label={`Revision ${one.letter}`}
            onClick={() => onChoose(one.id)}
          >
            <Typography component="span" variant="small" color="textSecondary">
              <When at={one.createdAt} />
              {one.closedAt && !stands.has(one.id) ? ', closed' : ''}
              {gained ? (
                <Typography component="span" color="info">
                  {' '}
                  · {gained}
                </Typography>
              ) : (
                ''
              )}
              {broke > 0 ? ` · ${broke} broke` : ''}
            </Typography>
            <span className={learnCss.clamp}>{one.why ?? 'The first.'}</span>
          </ButtonBase>
        );
      })}
    </Box>
  );
}

interface End {
  x: number;
  y: number;
  half: number;
}

/** A band from one revision down to the next, as broad at either end as that one was fast. */
function ribbon(from: End, to: End): string {
  const turn = from.x === to.x ? to.y : Math.min(to.y, from.y + ROW);
  const middle = (from.y + turn) / 2;
  const side = (sign: 1 | -1) =>
    [
      [from.x + sign * from.half, from.y],
      [from.x + sign * from.half, middle],
      [to.x + sign * to.half, middle],
      [to.x + sign * to.half, turn],
      [to.x + sign * to.half, to.y],
    ] as const;
  const [right, left] = [side(1), side(-1)];
  const text = ([a, b]: readonly [number, number]) => `${a},${b}`;
  return `M${text(right[0])}C${right.slice(1, 4).map(text).join(' ')}L${text(right[4])}L${text(left[4])}L${text(left[3])}C${text(left[2])} ${text(left[1])} ${text(left[0])}Z`;
}
