'use client';

import cornerCss from '@/features/suspension/corner/corner.module.css';
import fieldsCss from '@/ui/fields.module.css';
import ButtonBase from '@mui/material/ButtonBase';
import Table from '@mui/material/Table';
import TableHead from '@mui/material/TableHead';
import TableRow from '@mui/material/TableRow';
import TableCell from '@mui/material/TableCell';
import TableBody from '@mui/material/TableBody';
import type { DrawnCorner, End } from '@/core/car/document/suspension';
import type { Refused } from '@/core/base/errors';
import { namedPoints } from '@/core/worked/suspension/namedPoints';
import { isUnfinished } from '@/core/car/unfinished/unfinished';
import { unitOf } from '@/core/base/units/quantities';
import { QuantityField } from '@/ui/QuantityField';
import { useReader } from '@/ui/reader';
import { useBuild } from '../../session/BuildContext';
import { coordinate, pointLabel } from './points';
import { problemOf } from '@/words/refusals/problemOf';

const AXES = ['ahead', 'to the left', 'up'] as const;
const LIMITS = { from: -5000, to: 5000 } as const;

interface PointsTableProps {
  end: End;
  corner: DrawnCorner;
  refused: Refused | undefined;
  chosen: string | undefined;
  onChoose(point: string): void;
}

/** Every hard point of a corner as three numbers, the one that makes no corner marked with the reason. */
export function PointsTable({ end, corner, refused, chosen, onChoose }: PointsTableProps) {
  const { document, edit, session, closed } = useBuild();
  const { reader } = useReader();
  return (
    <Table size="small" className={cornerCss.points} aria-label="Hard points">
      <TableHead>
        <TableRow>
          <TableCell>{unitOf('lengthMm', reader.units).symbol}</TableCell>
          <TableCell>ahead</TableCell>
          <TableCell>left</TableCell>
          <TableCell>up</TableCell>
        </TableRow>
      </TableHead>
      <TableBody>
        {namedPoints(corner).map(([name, place]) => (
          <TableRow
            key={name}
            data-row={name}
            className={
              name === chosen ? cornerCss.chosen : refused?.path === name ? cornerCss.bad : undefined
            }
          >
            <TableCell component="th" scope="row">
              <ButtonBase className={cornerCss.pointname} onClick={() => onChoose(name)}>
                {pointLabel(name)}
              </ButtonBase>
              {refused?.path === name ? (
                <small role="alert">{problemOf(refused, reader).message}</small>
              ) : null}
            </TableCell>
            {AXES.map((axis, index) => (
              <TableCell
                className={fieldsCss.bare}
                key={axis}
                onBlur={() => session.endStep()}
                onFocus={() => onChoose(name)}
              >
                <QuantityField
                  label={`${pointLabel(name)}, ${axis}`}
                  quantity="lengthMm"
                  limits={LIMITS}
                  value={place[index]}
                  unfinished={isUnfinished(document, coordinate(end, name, index))}
                  disabled={closed}
                  onChange={(value) =>
                    edit([{ path: coordinate(end, name, index), value }], `point-${end}-${name}`)
                  }
                />
              </TableCell>
            ))}
          </TableRow>
        ))}
      </TableBody>
    </Table>
  );
}
