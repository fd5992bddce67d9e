'use client';

import '@/words/later/bringIn';
import { Row } from '@/ui/layout/Row';
import { Note } from '@/ui/controls/Note';
import Button from '@mui/material/Button';
import type { Part } from '@/core/car/parts/parts';
import { formatText } from '@/core/base/units/formatQuantity';
import { useReader } from '@/ui/reader';
import type { SeenMesh } from '@/workers/parts.worker';
import { sentenceOf } from '../../api';
import { useBuild } from '../../session/BuildContext';
import { fileOf, keepFile } from '../../session/meshFiles';
import { workerOf } from '@/workers/clients';
import { problemOf } from '@/words/refusals/problemOf';
import { say, sayAll } from '@/words/findings';

/** What ails the mesh, each in a sentence, with the unit asked or the repair offered. */
export function MeshHealth({
  part,
  seen: { ailments, units },
  onDone: setDone,
}: {
  part: Part;
  seen: SeenMesh;
  onDone(text: string): void;
}) {
  const { edit, closed } = useBuild();
  const { reader } = useReader();
  const mesh = part.mesh!;
  const at = ['parts', 'items', part.id, 'mesh'];
  const sized = ailments.some(({ what }) => what === 'small' || what === 'large');
  const repair = async () => {
    try {
      const found = await workerOf('parts').repair(await fileOf(mesh.hash), mesh.name);
      if ('refused' in found) return setDone(`Not mended: it ${problemOf(found.refused, reader).message}.`);
      if (found.left.some(({ mendable, what }) => mendable || what === 'crossing' || what === 'flat'))
        return setDone(`Not mended: ${say(found.left[0]!.text, reader)}`);
      const hash = await keepFile(new Uint8Array(found.stl));
      edit([
        {
          path: at,
          value: { ...mesh, hash, name: `${mesh.name.replace(/\.\w+$/, '').slice(-100)}-mended.stl` },
        },
      ]);
      setDone(sayAll(found.done, reader));
    } catch (error) {
      setDone(`Not mended: ${sentenceOf(error)}`);
    }
  };
  return (
    <>
      {ailments.map(({ what, text, mendable }) => (
        <Note tone="bad" key={what} role="alert">
          {say(text, reader)}
          {mendable && !closed ? (
            <>
              {' '}
              <Button onClick={() => void repair()}>Mend it</Button>
            </>
          ) : null}
        </Note>
      ))}
      {sized && !closed ? (
        <Row role="group" aria-label="Unit of the file">
          In which unit was it written?
          {units.map(({ unitMm, name, longestMm }) => (
            <Button
              key={name}
              aria-pressed={mesh.unitMm === unitMm}
              onClick={() =>
                edit([
                  {
                    path: at,
                    value: {
                      ...mesh,
                      unitMm,
                      voxelMm: undefined,
                      held: undefined,
                      pulls: undefined,
                      solid: undefined,
                    },
                  },
                ])
              }
            >
              {name}: {formatText(longestMm, 'lengthMm', reader)}
            </Button>
          ))}
        </Row>
      ) : null}
    </>
  );
}
