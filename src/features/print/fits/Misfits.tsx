import Box from '@mui/material/Box';
import Typography from '@mui/material/Typography';
import { Note } from '@/ui/controls/Note';
import Button from '@mui/material/Button';
import { Select } from '@/ui/controls/Select';
import { useState } from 'react';
import type { BuildDocument } from '@/core/car/document/document';
import type { Part } from '@/core/car/parts/parts';
import { misfitWords } from '@/words/checks/parts';
import type { Misfit } from '@/core/physics/printing/misfit';
import { SplitTool } from '../SplitTool';

/** Parts that fit no bed, each with what would do; and cutting any part at a plane. */
export function Misfits({ document, misfits }: { document: BuildDocument; misfits: readonly Misfit[] }) {
  const [chosen, choose] = useState<string>();
  const meshed = document.parts.items.filter(({ mesh }) => mesh);
  if (meshed.length === 0) return null;
  const partOf = (id: string): Part | undefined => meshed.find((part) => part.id === id);
  const cut = chosen ? partOf(chosen) : undefined;
  return (
    <Box component="section" sx={{ mt: 1.5 }} aria-label="Parts too large">
      {misfits.map((misfit) => (
        <Note tone="bad" key={misfit.id}>
          <b>{partOf(misfit.id)?.name}</b> {misfitWords(misfit)}.{' '}
          <Button onClick={() => choose(misfit.id)}>Split it</Button>
        </Note>
      ))}
      {cut ? (
        <SplitTool key={cut.id} document={document} part={cut} onClose={() => choose(undefined)} />
      ) : (
        <Typography component="div" color="textSecondary">
          Split a part at a plane:{' '}
          <Select aria-label="Part to split" value="" onChange={(event) => choose(event.target.value)}>
            <option value="">choose a part</option>
            {meshed.map(({ id, name }) => (
              <option key={id} value={id}>
                {name}
              </option>
            ))}
          </Select>
        </Typography>
      )}
    </Box>
  );
}
