'use client';

import TableContainer from '@mui/material/TableContainer';
import Table from '@mui/material/Table';
import TableHead from '@mui/material/TableHead';
import TableRow from '@mui/material/TableRow';
import TableCell from '@mui/material/TableCell';
import TableBody from '@mui/material/TableBody';
import { linksOf } from '@/core/worked/suspension/playOfBuild';
import { endOf } from '@/core/worked/suspension/endOfBuild';
import { formatNumber, formatText } from '@/core/base/units/formatQuantity';
import { useReader } from '@/ui/reader';
import { useBuild } from '../session/BuildContext';
import { DocumentChoice, DocumentField, Group } from '../fields/fields';

export function LinkKinds() {
  const { document } = useBuild();
  return (
    <>
      {(['front', 'rear'] as const)
        .filter((end) => document.suspension[end]?.corner)
        .map((end) => (
          <Group key={end} title={`Links of the ${end}`}>
            <DocumentChoice
              path={['suspension', end, 'links']}
              label="Made"
              options={[
                ['fixed', 'printed to length'],
                ['threaded', 'threaded, adjustable'],
              ]}
              empty="not chosen"
            />
            {document.suspension[end]?.links === 'threaded' ? (
              <DocumentField
                path={['suspension', end, 'linkMmPerTurn']}
                label="A turn changes it by"
                usual={USUAL_MM_PER_TURN}
              />
            ) : null}
          </Group>
        ))}
    </>
  );
}

const LINK_WORDS = { tie: 'tie rod', upper: 'camber link' } as const;

/** M3 at one end. */
const USUAL_MM_PER_TURN = 0.5;

/** What a printed link errs by. */
const PRINT_ERROR_MM = 0.3;

/** Every link with the length to make it, and what an error or a turn does to the wheel. */
export function Links() {
  const { document } = useBuild();
  const { reader } = useReader();
  const rows = (['front', 'rear'] as const).flatMap((end) => {
    const found = endOf(document, end);
    if (!found.ok) return [];
    const { links, linkMmPerTurn = USUAL_MM_PER_TURN } = document.suspension[end]!;
    return linksOf(found.value.corner).map((link) => ({
      end,
      link,
      threaded: links === 'threaded',
      byMm: links === 'threaded' ? linkMmPerTurn : PRINT_ERROR_MM,
    }));
  });
  if (rows.length === 0) return null;
  const deg = (value: number) => `${formatNumber(Math.abs(value) < 0.005 ? 0 : value, reader.locale, 2)}°`;
  return (
    <TableContainer component="section" sx={{ mt: 1.25 }} aria-label="Links as drawn">
      <Table size="small">
        <TableHead>
          <TableRow>
            <TableCell>Links as drawn</TableCell>
            <TableCell align="right">Between the balls</TableCell>
            <TableCell>Made</TableCell>
            <TableCell>Longer by</TableCell>
            <TableCell align="right">Toe</TableCell>
            <TableCell align="right">Camber</TableCell>
            <TableCell />
          </TableRow>
        </TableHead>
        <TableBody>
          {rows.map(({ end, link, threaded, byMm }) => (
            <TableRow key={`${end}-${link.id}`} data-link={`${end}-${link.id}`}>
              <TableCell>
                {end === 'front' ? 'Front' : 'Rear'} {LINK_WORDS[link.id]}
              </TableCell>
              <TableCell align="right">{formatText(link.lengthMm, 'lengthMm', reader, 4)}</TableCell>
              <TableCell>{threaded ? 'threaded' : 'to length'}</TableCell>
              <TableCell>
                {threaded
                  ? `a turn, ${formatText(byMm, 'lengthMm', reader)}`
                  : `a print’s error, ${formatText(byMm, 'lengthMm', reader)}`}
              </TableCell>
              <TableCell align="right">{deg(link.toeDegPerMm * byMm)}</TableCell>
              <TableCell align="right">{deg(link.camberDegPerMm * byMm)}</TableCell>
              <TableCell data-tone="quiet">
                {threaded ? 'can be set at the field' : 'print a test piece, then scale the length'}
              </TableCell>
            </TableRow>
          ))}
        </TableBody>
      </Table>
    </TableContainer>
  );
}
