'use client';

import tablesCss from '@/ui/controls/tables.module.css';
import Box from '@mui/material/Box';
import TableContainer from '@mui/material/TableContainer';
import Table from '@mui/material/Table';
import TableHead from '@mui/material/TableHead';
import TableRow from '@mui/material/TableRow';
import TableCell from '@mui/material/TableCell';
import TableBody from '@mui/material/TableBody';
import Button from '@mui/material/Button';
import { type MeshFace, sideOf } from '@/core/physics/solid/faces';
import { formatText } from '@/core/base/units/formatQuantity';
import { useReader } from '@/ui/reader';

const MOST_FACES = 10;

/** The largest faces by name, for who works without a pointer or without 3D. */
export function Faces({
  faces,
  locked,
  onPlace,
}: {
  faces: readonly MeshFace[];
  locked: boolean;
  onPlace(face: MeshFace, as: 'hold' | 'pull'): void;
}) {
  const { reader } = useReader();
  const at = ({ centre }: MeshFace) =>
    centre.map((one) => formatText(one, 'lengthMm', reader, 2).replace(/\s*\D+$/, '')).join(', ');
  return (
    <Box component="section" sx={{ flex: 1, minWidth: 300 }} aria-label="Faces of the mesh">
      <TableContainer>
        <Table size="small" className={tablesCss.slim}>
          <TableHead>
            <TableRow>
              <TableCell>Face</TableCell>
              <TableCell align="right">Area</TableCell>
              <TableCell className={tablesCss.minor}>At x, y, z</TableCell>
              <TableCell />
            </TableRow>
          </TableHead>
          <TableBody>
            {faces.slice(0, MOST_FACES).map((face, index) => (
              <TableRow key={index}>
                <TableCell>looks {sideOf(face)}</TableCell>
                <TableCell align="right">{formatText(face.areaMm2, 'surfaceMm2', reader)}</TableCell>
                <TableCell className={tablesCss.minor}>{at(face)}</TableCell>
                <TableCell>
                  {locked ? null : (
                    <>
                      <Button
                        variant="text"
                        aria-label={`Hold face ${index + 1}, looks ${sideOf(face)}`}
                        onClick={() => onPlace(face, 'hold')}
                      >
                        hold
                      </Button>{' '}
                      <Button
                        variant="text"
                        aria-label={`Pull face ${index + 1}, looks ${sideOf(face)}`}
                        onClick={() => onPlace(face, 'pull')}
                      >
                        pull
                      </Button>
                    </>
                  )}
                </TableCell>
              </TableRow>
            ))}
          </TableBody>
        </Table>
      </TableContainer>
    </Box>
  );
}
