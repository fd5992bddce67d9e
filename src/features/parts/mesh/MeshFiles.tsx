import { Row } from '@/ui/layout/Row';
import Button from '@mui/material/Button';
import type { Part } from '@/core/car/parts/parts';
import { handOver } from '../../session/handOver';
import { workerOf } from '@/workers/clients';

const TYPES = { stl: 'model/stl', '3mf': 'model/3mf' } as const;

/** The mesh as it lies on the bed, to be handed to the printer's own program. */
export function MeshFiles({ part, meshReady }: { part: Part; meshReady: string }) {
  const hand = async (kind: 'stl' | '3mf') => {
    const found = await workerOf('parts').write(meshReady, kind, part.mesh!.up);
    if (!('refused' in found))
      handOver(
        `${part.name.toLowerCase().replace(/[^a-z0-9]+/g, '-')}.${kind}`,
        TYPES[kind],
        new Uint8Array(found),
      );
  };
  return (
    <Row sx={{ mt: 1.25 }}>
      As it lies on the bed: <Button onClick={() => void hand('stl')}>STL</Button>
      <Button onClick={() => void hand('3mf')}>3MF</Button>
    </Row>
  );
}
