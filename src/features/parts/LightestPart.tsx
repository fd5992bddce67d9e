import { dimmedWhen } from '@/ui/layout/dimmedWhen';
import tablesCss from '@/ui/controls/tables.module.css';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Table from '@mui/material/Table';
import TableBody from '@mui/material/TableBody';
import TableCell from '@mui/material/TableCell';
import TableContainer from '@mui/material/TableContainer';
import TableHead from '@mui/material/TableHead';
import TableRow from '@mui/material/TableRow';
import Typography from '@mui/material/Typography';
import { useMemo, useState } from 'react';
import { formatNumber, formatText } from '@/core/base/units/formatQuantity';
import { itemsOf, materialForBuild } from '@/core/car/library/items';
import type { Part } from '@/core/car/parts/parts';
import { becoming, type LightestAsk } from '@/core/worked/parts/lightestOfPart';
import { QuantityField } from '@/ui/QuantityField';
import { useReader } from '@/ui/reader';
import { lightestWords, sectionWords } from '@/words/checks/lightest';
import { workerOf } from '@/workers/clients';
import { useBuild } from '../session/BuildContext';
import { useWorked } from '../session/useWorked';
import { Refusal } from '../fields/Refusal';

const [USUAL_MARGIN, LARGER, LEAST_MM] = [2, 1.5, 12];

/** The lightest bar of the materials at hand that holds everything that acts on a part. */
export function LightestPart({ part }: { part: Part }) {
  const [open, setOpen] = useState(false);
  return (
    <Box component="section" sx={{ mt: 1.75 }} aria-label="Lightest that holds">
      <Button onClick={() => setOpen(!open)}>
        {open ? 'Put the lightest away' : `Find the lightest ${part.name.toLowerCase()} that holds`}
      </Button>
      {open ? (
        <Box sx={{ maxWidth: 620 }}>
          <Lightest key={part.id} part={part} />
        </Box>
      ) : null}
    </Box>
  );
}

function Lightest({ part }: { part: Part }) {
  const { document, surface, library, edit, closed } = useBuild();
  const { reader } = useReader();
  const materials = useMemo(() => itemsOf(library, 'material').map(materialForBuild), [library]);
  const usual = {
    widthMostMm: Math.max(LEAST_MM, LARGER * (part.shape?.widthMm ?? part.shape?.heightMm ?? LEAST_MM)),
    heightMostMm: Math.max(LEAST_MM, LARGER * (part.shape?.heightMm ?? LEAST_MM)),
  };
  const [said, say] = useState<Partial<LightestAsk>>({});
  const ask: LightestAsk = { marginWanted: USUAL_MARGIN, ...usual, ...said };
  const worked = useWorked(
    () => workerOf('parts').lightest(document, surface, part, materials, ask),
    [document, surface, part, materials, JSON.stringify(ask)],
  );
  const found = worked.value?.ok ? worked.value.value : undefined;
  const set = (key: keyof LightestAsk) => (value: number | undefined) => {
    const { [key]: _, ...rest } = said;
    say(value === undefined ? rest : { ...rest, [key]: value });
  };
  return (
    <>
      <QuantityField
        label="Margin wanted"
        quantity="coefficient"
        limits={{ above: 0, to: 20 }}
        usual={USUAL_MARGIN}
        value={said.marginWanted}
        onChange={set('marginWanted')}
      />
      <QuantityField
        label="Wide at most"
        quantity="lengthMm"
        limits={{ from: 4, to: 120 }}
        usual={usual.widthMostMm}
        value={said.widthMostMm}
        onChange={set('widthMostMm')}
      />
      <QuantityField
        label="High at most"
        quantity="lengthMm"
        limits={{ from: 4, to: 120 }}
        usual={usual.heightMostMm}
        value={said.heightMostMm}
        onChange={set('heightMostMm')}
      />
      <QuantityField
        label="Gives at most"
        quantity="lengthMm"
        limits={{ above: 0, to: 100 }}
        value={said.deflectionMaxMm}
        onChange={set('deflectionMaxMm')}
      />
      <Refusal of={worked} />
      {found ? (
        <Box sx={dimmedWhen(worked.stale)}>
          <Typography data-testid="lightest">{lightestWords(found, part.massG, reader)}</Typography>
          {found.alternatives ? (
            <TableContainer>
              <Table size="small" className={tablesCss.slim} data-testid="lightest-table">
                <TableHead>
                  <TableRow>
                    <TableCell>Section</TableCell>
                    <TableCell>Material</TableCell>
                    <TableCell align="right">Weighs</TableCell>
                    <TableCell align="right">Margin</TableCell>
                    <TableCell />
                  </TableRow>
                </TableHead>
                <TableBody>
                  {found.alternatives.map((one) => (
                    <TableRow key={JSON.stringify([one.material, one.layers, one.section.shape])}>
                      <TableCell>{sectionWords(one.section, reader)}</TableCell>
                      <TableCell>
                        {one.material}, layers {one.layers === 'along' ? 'along it' : 'across it'}
                      </TableCell>
                      <TableCell align="right">{formatText(one.massG, 'massG', reader, 3)}</TableCell>
                      <TableCell align="right">
                        {one.margin === undefined ? '' : formatNumber(one.margin, reader.locale, 3)}
                      </TableCell>
                      <TableCell>
                        {closed ? null : (
                          <Button variant="link" onClick={() => edit(becoming(part, one, materials))}>
                            take it
                          </Button>
                        )}
                      </TableCell>
                    </TableRow>
                  ))}
                </TableBody>
              </Table>
            </TableContainer>
          ) : null}
        </Box>
      ) : null}
    </>
  );
}
