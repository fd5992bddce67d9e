'use client';

import Box from '@mui/material/Box';
import { Row } from '@/ui/layout/Row';
import { Note } from '@/ui/controls/Note';
import Button from '@mui/material/Button';
import { firstUp } from '@/words/lists';
import { caseWords } from '@/words/checks/loads';
import { needNames } from '@/words/needs';
import type { Part, SolidCase, SolidResult } from '@/core/car/parts/parts';
import type { FemResult } from '@/core/physics/fem/definition';
import { formatNumber, formatText } from '@/core/base/units/formatQuantity';
import { useReader } from '@/ui/reader';
import { useBuild } from '../../session/BuildContext';
import { DocumentField } from '../../fields/fields';
import type { SolidWork } from './useSolid';

/** The result of a closed revision is shown, not kept. */
const shownOnly = ({
  margin,
  failsBy,
  atMm,
  maxDisplacementMm,
  voxelMm,
  voxels,
}: FemResult): SolidResult => ({
  of: '',
  shape: '',
  margin,
  failsBy,
  atMm,
  moveMm: maxDisplacementMm,
  voxelMm,
  voxels,
});

/** The load case under which it carries least, in words. */
const weakestLoad = (cases: readonly SolidCase[]) =>
  caseWords(cases.reduce((a, b) => (b.margin < a.margin ? b : a)));

/** A margin of two sizes that differs by less than this has settled. */
const SETTLED = 0.1;

/** Starts and stops the solid analysis and says what it found, in a sentence. */
export function SolidRun({ part, solid, meshReady }: { part: Part; solid: SolidWork; meshReady: string }) {
  const { closed } = useBuild();
  const { reader } = useReader();
  const kept: SolidResult | undefined =
    part.mesh!.solid ?? (closed && solid.solved ? shownOnly(solid.solved.result) : undefined);
  const current = solid.current || (closed && solid.solved !== undefined);
  const number = (value: number) => formatNumber(value, reader.locale, 3);
  const length = (value: number) => formatText(value, 'lengthMm', reader, 2);
  const shift = kept?.finer ? Math.abs(kept.finer.margin / kept.margin - 1) : undefined;
  return (
    <Box component="section" sx={{ m: '10px 0' }} aria-label="Solid analysis">
      {solid.missing.length > 0 ? <Note>To solve it as a solid, say {needNames(solid.missing)}.</Note> : null}
      <Row>
        <Box sx={{ width: 210 }}>
          <DocumentField path={['parts', 'items', part.id, 'mesh', 'voxelMm']} example={1} />
        </Box>
        {solid.running ? (
          <>
            <span role="status">
              {solid.running.of > 1
                ? `${firstUp(caseWords(solid.running))}, ${solid.running.at} of ${solid.running.of}: `
                : ''}
              {solid.running.iterations === 0
                ? 'Laying out the voxels…'
                : `${solid.running.iterations} iterations, ${solid.running.residual.toExponential(0)} of the pull is left`}
            </span>
            <Button onClick={solid.cancel}>Cancel</Button>
          </>
        ) : (
          <>
            <Button
              variant="contained"
              disabled={solid.missing.length > 0}
              onClick={() => void solid.start(meshReady, false)}
            >
              Solve it as a solid
            </Button>
            {kept && current && !closed ? (
              <Button onClick={() => void solid.start(meshReady, true)}>Look again with finer voxels</Button>
            ) : null}
          </>
        )}
      </Row>
      {solid.problem ? (
        <Note tone="bad" role="alert">
          {solid.problem}
        </Note>
      ) : null}
      {kept ? (
        <Note
          tone={current ? (kept.margin < 1 ? 'bad' : 'ok') : 'caution'}
          data-testid="solid"
          data-stale={!current}
        >
          {current ? null : <b>Stale: the mesh, its material, layers, holds or loads have changed since. </b>}
          It carries <b data-testid="solid-margin">{number(kept.margin)}</b> times{' '}
          {kept.cases && kept.cases.length > 1 ? weakestLoad(kept.cases) : 'its load'} and fails{' '}
          {kept.failsBy === 'in the layer' ? 'in the layer' : `between the layers: ${kept.failsBy}`}, at{' '}
          {kept.atMm.map((one) => formatNumber(one, reader.locale, 3)).join(', ')} mm; it deflects by{' '}
          {length(kept.moveMm)}. {kept.voxels.toLocaleString(reader.locale)} voxels of {length(kept.voxelMm)}.
          {kept.cases && kept.cases.length > 1
            ? ` Each load by itself: ${kept.cases.map((one) => `${caseWords(one)} ${number(one.margin)}`).join('; ')}.`
            : ''}
          {kept.finer ? (
            <>
              {' '}
              With {length(kept.finer.voxelMm)}: {number(kept.finer.margin)} times,{' '}
              {length(kept.finer.moveMm)}:{' '}
              {shift! <= SETTLED
                ? 'the answer has settled.'
                : 'it has not settled; a clamp or an inner corner grows with every finer look, so round it or read beside it.'}
            </>
          ) : null}
        </Note>
      ) : null}
    </Box>
  );
}
