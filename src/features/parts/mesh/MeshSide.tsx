'use client';

import Typography from '@mui/material/Typography';
import { Note } from '@/ui/controls/Note';
import { Problem } from '@/ui/controls/Problem';
import dynamic from 'next/dynamic';
import { useState } from 'react';
import type { Part, PartBox, PartPull } from '@/core/car/parts/parts';
import type { MeshFace } from '@/core/physics/solid/faces';
import { scale, type Vec3 } from '@/core/base/vec3';
import { formatText } from '@/core/base/units/formatQuantity';
import { useReader } from '@/ui/reader';
import { newId } from '../../api';
import { useBuild } from '../../session/BuildContext';
import { CutChart } from './CutChart';
import { useMeasured } from '../../session/useMeasured';
import { Apart, Charts } from '../../frame/Guarded';
import { Faces } from './Faces';
import { Held } from './Held';
import { MeshDrop } from './MeshDrop';
import { MeshFiles } from './MeshFiles';
import { MeshHealth } from './MeshHealth';
import { Orientations } from './Orientations';
import { SolidRun } from './SolidRun';
import { meshKey, useMesh } from './useMesh';
import { useSolid } from './useSolid';

const PartScene = dynamic(() => import('./PartScene').then(({ PartScene: Scene }) => Scene), { ssr: false });

/** Boxes reach this far to both sides of the face that was clicked, voxels: enough for one layer of nodes. */
const REACH = 0.6;
const USUAL_VOXEL_MM = 1;

/** A part from its own mesh: held and pulled by its faces, cut, turned on the bed, solved as a solid. */
export function MeshSide({ part }: { part: Part }) {
  const { document, surface, edit, closed } = useBuild();
  const { reader } = useReader();
  useMeasured();
  const { seen, problem } = useMesh(part.mesh);
  const solid = useSolid(document, surface, part);
  const [mended, setMended] = useState<string>();
  const [mode, setMode] = useState<'hold' | 'pull'>('hold');
  const mesh = part.mesh;
  if (!mesh) return <MeshDrop part={part} />;
  const at = (...keys: string[]) => ['parts', 'items', part.id, 'mesh', ...keys];
  const place = (face: MeshFace, as: 'hold' | 'pull') => {
    if (closed) return;
    const reach = REACH * (mesh.voxelMm ?? USUAL_VOXEL_MM);
    const box: PartBox = {
      id: `box-${newId().slice(0, 8)}`,
      min: face.min.map((one) => one - reach) as unknown as Vec3,
      max: face.max.map((one) => one + reach) as unknown as Vec3,
    };
    if (as === 'hold') edit([{ path: at('held'), value: [...(mesh.held ?? []), box] }]);
    else
      edit([
        {
          path: at('pulls'),
          value: [
            ...(mesh.pulls ?? []),
            { ...box, from: 'landingOneWheel', direction: inwards(face.normal) } satisfies PartPull,
          ],
        },
      ]);
  };
  return (
    <Apart>
      <Problem>{problem}</Problem>
      {seen ? (
        <Typography variant="note" color="textSecondary" data-testid="mesh-facts">
          {mesh.name}: {seen.measure.triangles.toLocaleString(reader.locale)} triangles,{' '}
          {([0, 1, 2] as const)
            .map((axis) =>
              formatText(
                seen.measure.boundsMm.max[axis] - seen.measure.boundsMm.min[axis],
                'lengthMm',
                reader,
              ),
            )
            .join(' × ')}
          ,{' '}
          {formatText(
            (seen.measure.volumeMm3 / 1000) * (part.material?.densityGPerCm3 ?? 1.24),
            'massG',
            reader,
          )}{' '}
          solid.
        </Typography>
      ) : problem ? null : (
        <Typography color="textSecondary">Reading the mesh…</Typography>
      )}
      {mended ? <Note role="status">{mended}</Note> : null}
      {seen ? <MeshHealth part={part} seen={seen} onDone={setMended} /> : null}
      {seen && seen.ailments.length === 0 ? (
        <>
          <PartScene
            seen={seen}
            mesh={mesh}
            solved={solid.solved}
            mode={mode}
            onMode={closed ? undefined : setMode}
            onFace={(face) => place(seen.faces.faces[face]!, mode)}
          />
          <SolidRun part={part} solid={solid} meshReady={meshKey(mesh)} />
          <Charts>
            <Held part={part} />
            <Faces faces={seen.faces.faces} locked={closed} onPlace={place} />
          </Charts>
          <CutChart part={part} bounds={seen.measure.boundsMm} meshReady={meshKey(mesh)} />
          <MeshFiles part={part} meshReady={meshKey(mesh)} />
          <Orientations part={part} seen={seen} meshReady={meshKey(mesh)} />
        </>
      ) : null}
      <MeshDrop part={part} again />
    </Apart>
  );
}

const inwards = (normal: Vec3): Vec3 =>
  normal.every((one) => one === 0)
    ? [0, 0, 1]
    : (scale(normal, -1).map((one) => (Math.abs(one) < 1e-9 ? 0 : one)) as unknown as Vec3);
