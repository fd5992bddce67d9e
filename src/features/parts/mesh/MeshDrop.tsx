'use client';

import '@/words/later/bringIn';
import Box from '@mui/material/Box';
import { FileDrop } from '@/ui/controls/FileDrop';
import { Note } from '@/ui/controls/Note';
import { useState } from 'react';
import type { Part, PartMesh } from '@/core/car/parts/parts';
import { sentenceOf } from '../../api';
import { useBuild } from '../../session/BuildContext';
import { keepFile, MOST_BYTES } from '../../session/meshFiles';
import { workerOf } from '@/workers/clients';
import { refusalText } from '@/words/refusals/problemOf';
import { useReader } from '@/ui/reader';

const TARGET_VOXELS = 20_000;

/** A voxel that gives a part about so many, to two figures. */
const voxelFor = (volumeMm3: number) =>
  Number(Math.max(0.1, Math.min(50, Math.cbrt(volumeMm3 / TARGET_VOXELS))).toPrecision(2));

/** Takes the part's mesh by drop or by choice: read first, then kept. */
export function MeshDrop({ part, again = false }: { part: Part; again?: boolean }) {
  const { edit, closed } = useBuild();
  const { reader } = useReader();
  const [says, setSays] = useState<{ bad: boolean; text: string }>();
  if (closed) return again ? null : <Note>{part.name} has no mesh in this revision.</Note>;
  const take = async (file: File) => {
    if (file.size > MOST_BYTES)
      return setSays({ bad: true, text: `${file.name} is larger than 50 MB: export it coarser.` });
    setSays({ bad: false, text: `Reading ${file.name}…` });
    try {
      const bytes = new Uint8Array(await file.arrayBuffer());
      const found = await workerOf('parts').read('dropped', bytes, file.name, 1);
      if ('refused' in found)
        return setSays({
          bad: true,
          text: `${file.name} ${refusalText(found.refused, reader)}.`,
        });
      const hash = await keepFile(bytes);
      edit([
        {
          path: ['parts', 'items', part.id, 'mesh'],
          value: {
            hash,
            name: file.name.slice(-120),
            unitMm: 1,
            up: [0, 0, 1],
            voxelMm: voxelFor(found.measure.volumeMm3),
          } satisfies PartMesh,
        },
      ]);
      setSays(undefined);
    } catch (error) {
      setSays({ bad: true, text: sentenceOf(error) });
    }
  };
  return (
    <Box component="section" sx={{ mt: 1.5 }} aria-label="Mesh of the part">
      <FileDrop label="File of the mesh" accept=".stl,.3mf,.obj" onFile={(file) => void take(file)}>
        {again
          ? `Another mesh for ${part.name.toLowerCase()}: `
          : `Drop the mesh of ${part.name.toLowerCase()} here: `}
        STL, 3MF or OBJ, at most 50 MB
      </FileDrop>
      {says ? (
        <Note tone={says.bad ? 'bad' : 'ok'} role={says.bad ? 'alert' : 'status'}>
          {says.text}
        </Note>
      ) : null}
    </Box>
  );
}
