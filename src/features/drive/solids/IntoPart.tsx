'use client';

import Button from '@mui/material/Button';
import { useState } from 'react';
import { formatText } from '@/core/base/units/formatQuantity';
import type { Part, PartMesh } from '@/core/car/parts/parts';
import type { Stage } from '@/core/car/stages/stage';
import type { Body } from '@/core/physics/making/body';
import { heldPiece } from '@/core/worked/transmissions/heldPiece';
import type { Piece } from '@/core/worked/transmissions/made';
import { Select } from '@/ui/controls/Select';
import { Row } from '@/ui/layout/Row';
import { useReader } from '@/ui/reader';
import { workerOf } from '@/workers/clients';
import { droppedSays, pieceName } from '@/words/driving/pieces';
import { firstUp } from '@/words/lists';
import type { Refusal } from '@/workers/refusal';
import { newId } from '../../api';
import { useBuild } from '../../session/BuildContext';
import { keepFile } from '../../session/meshFiles';

/** Cells of the solid analysis across the face of a gear. */
const VOXELS = 20;
const NEW = 'new';

interface IntoPartProps {
  stage: Stage;
  pieces: readonly (Piece & { body: Body })[];
  disabled: boolean;
  run(says: string, work: () => Promise<void>): Promise<void>;
  say(text: string): void;
  refused(piece: Piece, why: Refusal): void;
}

/** A piece as the mesh of a part, held and pulled as its stage loads it. */
export function IntoPart({ stage, pieces, disabled, run, say, refused }: IntoPartProps) {
  const { document, surface, edit, closed } = useBuild();
  const { reader } = useReader();
  const [chosen, choose] = useState<string>();
  const [into, setInto] = useState<string>(NEW);
  const piece = pieces.find((one) => one.piece === chosen) ?? pieces[0];
  if (!piece || closed) return null;
  const name = pieceName(stage.kind, piece.piece);
  const part = document.parts.items.find(({ id }) => id === into);
  const drop = () =>
    run(`Making the ${name}…`, async () => {
      const [bytes, peak] = await Promise.all([
        workerOf('solids').file(piece.body, 'stl'),
        surface ? workerOf('drive').stagePeakNm(document, surface, stage.id) : undefined,
      ]);
      if ('refused' in bytes) return refused(piece, bytes);
      const pinionNm = peak && 'ok' in peak && peak.ok ? peak.value : undefined;
      const { held, pulls } = heldPiece(stage, piece.piece, piece.body, pinionNm);
      const mesh: PartMesh = {
        hash: await keepFile(new Uint8Array(bytes)),
        name: `${name.replace(/\s+/g, '-')}.stl`,
        unitMm: 1,
        up: [0, 0, 1],
        held,
        pulls,
        voxelMm: Number(((stage.faceWidthMm ?? VOXELS / 2) / VOXELS).toPrecision(2)),
      };
      const id = part?.id ?? `part-${newId().slice(0, 8)}`;
      const material = materialOf(stage, piece.piece);
      edit(
        part
          ? [{ path: ['parts', 'items', id, 'mesh'], value: mesh }]
          : [
              {
                path: ['parts', 'items', id],
                value: {
                  id,
                  name: firstUp(name),
                  kind: piece.piece === 'pinion' ? 'pinion' : 'gear',
                  ...(material ? { material } : {}),
                  mesh,
                } satisfies Part,
              },
            ],
      );
      setInto(id);
      const [pull] = pulls;
      say(
        droppedSays(
          name,
          part?.name ?? firstUp(name),
          pull?.forceN === undefined ? undefined : formatText(pull.forceN, 'forceN', reader, 3),
        ),
      );
    });
  return (
    <Row as="span" sx={{ ml: 'auto' }}>
      <Select
        aria-label="Piece to analyse"
        value={piece.piece}
        onChange={(event) => choose(event.target.value)}
      >
        {pieces.map((one) => (
          <option key={one.piece} value={one.piece}>
            {pieceName(stage.kind, one.piece)}
          </option>
        ))}
      </Select>
      <Select
        aria-label="Part that gets it"
        value={part?.id ?? NEW}
        onChange={(event) => setInto(event.target.value)}
      >
        <option value={NEW}>into a new part</option>
        {document.parts.items.map(({ id, name: called }) => (
          <option key={id} value={id}>
            into {called.toLowerCase()}
          </option>
        ))}
      </Select>
      <Button disabled={disabled} onClick={() => void drop()}>
        Analyse it
      </Button>
    </Row>
  );
}

/** What a piece is made of. */
const materialOf = (stage: Stage, piece: Piece['piece']) =>
  piece === 'pinion' || piece === 'pinionFlange'
    ? stage.pinion?.material
    : piece === 'wheel' || piece === 'wheelFlange'
      ? stage.wheel?.material
      : stage.planet?.material;
