'use client';

import '@/words/later/bringIn';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import dynamic from 'next/dynamic';
import { useEffect, useMemo, useState } from 'react';
import { CalcError } from '@/core/base/errors';
import type { Part, PartMesh } from '@/core/car/parts/parts';
import { MADE_KINDS, type MadeKind, usuallyMade } from '@/core/car/parts/partMade';
import { type MadePart } from '@/core/worked/making/drawer';
import { drawnOfPart, sectionsOfPart } from '@/core/worked/making/drawnOfPart';
import { heldDrawn } from '@/core/worked/making/heldDrawn';
import { Note } from '@/ui/controls/Note';
import { Select } from '@/ui/controls/Select';
import { dimmedWhen } from '@/ui/layout/dimmedWhen';
import { Row } from '@/ui/layout/Row';
import { useReader } from '@/ui/reader';
import { besideSays, drawnSays, heldSays, takeMassWords } from '@/words/checks/made';
import { MADE_NAMES } from '@/words/labels/made';
import { refusalInWords } from '@/words/labels/labels';
import { refusalText } from '@/words/refusals/problemOf';
import { workerOf } from '@/workers/clients';
import type { Refusal as Refused } from '@/workers/refusal';
import { type SolidFile } from '@/workers/solids.worker';
import { sentenceOf } from '../../api';
import { StillNeeds } from '../../fields/StillNeeds';
import { Ask } from '../../frame/Ask';
import { Apart } from '../../frame/Guarded';
import { SurfaceSwitch } from '../../frame/SurfaceSwitch';
import { useBuild } from '../../session/BuildContext';
import { handOver } from '../../session/handOver';
import { keepFile } from '../../session/meshFiles';
import { useWorked } from '../../session/useWorked';
import { SolidRun } from '../mesh/SolidRun';
import { meshKey, useMesh } from '../mesh/useMesh';
import { useSolid } from '../mesh/useSolid';
import { isMadeHere } from './MadeFields';

const PieceScene = dynamic(() => import('@/ui/PieceScene').then(({ PieceScene: Scene }) => Scene), {
  ssr: false,
  loading: () => <Box sx={{ height: 360 }} />,
});

const TYPES: Readonly<Record<SolidFile, string>> = {
  stl: 'model/stl',
  '3mf': 'model/3mf',
  step: 'model/step',
};
const FILES = Object.keys(TYPES) as SolidFile[];
/** Cells of the solid analysis through the thinnest that carries. */
const CELLS_THROUGH = 5;
const LEAST_CELL_MM = 0.5;

/** A part that is drawn from the document, looked at, taken to the printer, and solved where the car holds and pulls it. */
export function MadeSide({ part }: { part: Part }) {
  return isMadeHere(part) ? <Made key={part.id} part={part} /> : <Begin part={part} />;
}

function Begin({ part }: { part: Part }) {
  const { edit, closed } = useBuild();
  const [as, choose] = useState<MadeKind>(usuallyMade(part.kind) ?? 'plate');
  if (closed) return <Typography>Nothing was drawn here for {part.name.toLowerCase()}.</Typography>;
  return (
    <Apart>
      <Typography variant="answer">
        Draw {part.name.toLowerCase()} from the car’s own points and a few dimensions.
      </Typography>
      <Typography color="textSecondary" sx={{ maxWidth: 620 }}>
        Holes come as large as your test piece asks for, and the loads of the car come with it. A mesh of your
        own stays an equal way in.
      </Typography>
      <Row sx={{ mt: 1.25 }}>
        <Select
          aria-label="Draw it as"
          value={as}
          onChange={(event) => choose(event.target.value as MadeKind)}
        >
          {MADE_KINDS.map((one) => (
            <option key={one} value={one}>
              {MADE_NAMES[one]}
            </option>
          ))}
        </Select>
        <Button
          variant="contained"
          onClick={() => edit([{ path: ['parts', 'items', part.id, 'made'], value: { as } }])}
        >
          Draw it here
        </Button>
      </Row>
    </Apart>
  );
}

function Made({ part }: { part: MadePart }) {
  const { build, document, surface, library, edit, closed } = useBuild();
  const { reader } = useReader();
  const drawn = useMemo(() => drawnOrRefused(document, library, part), [document, library, part]);
  const found = 'ok' in drawn && drawn.ok ? drawn.value : undefined;
  const holding = useMemo(
    () => (found ? heldDrawn(document, surface, part, found) : undefined),
    [document, surface, part, found],
  );
  const key = found ? JSON.stringify(found.drawing) : '';
  const seen = useWorked(
    found ? () => workerOf('solids').see({ kind: 'drawn', ...found.drawing }) : undefined,
    [key],
  );
  const [busy, setBusy] = useState<string>();
  const [said, say] = useState<string>();
  const own = useMesh(part.mesh);
  const solid = useSolid(document, surface, part);
  const [toSolve, solveSoon] = useState<string>();
  const { start } = solid;
  const ready = own.seen !== undefined && part.mesh ? meshKey(part.mesh) : undefined;
  useEffect(() => {
    if (toSolve === undefined || toSolve !== ready) return;
    void Promise.resolve().then(() => {
      solveSoon(undefined);
      return start(toSolve, false);
    });
  }, [toSolve, ready, start]);
  const refusedWords = ({ refused }: Refused) =>
    refused.path === 'made'
      ? `it ${refusalText(refused, reader)}`
      : refusalInWords(refused, ['parts', 'items', part.id, 'made'], reader);
  const run = async (words: string, work: () => Promise<void>) => {
    setBusy(words);
    say(undefined);
    try {
      await work();
    } catch (error) {
      say(sentenceOf(error));
    }
    setBusy(undefined);
  };
  const name = part.name.toLowerCase();
  const save = (kind: SolidFile) =>
    run(`Writing ${name}…`, async () => {
      const pieces = sectionsOfPart(document, library, part);
      const bodies = (pieces.ok ? pieces.value : []).map((drawing) => ({
        body: { kind: 'drawn' as const, ...drawing },
        copies: 1,
      }));
      const bytes =
        kind === '3mf'
          ? await workerOf('solids').together(bodies)
          : await workerOf('solids').file(bodies[0]!.body, kind);
      if ('refused' in bytes) return say(`Not written: ${refusedWords(bytes)}.`);
      const file = `${build.name} ${part.name}`.toLowerCase().replace(/[^\p{L}\p{N}]+/gu, '-') + `.${kind}`;
      handOver(file, TYPES[kind], new Uint8Array(bytes));
      say(
        bodies.length > 1 && kind !== '3mf'
          ? `${file} is in your downloads: the front one of ${bodies.length} pieces; the 3MF holds them all.`
          : `${file} is in your downloads, in millimetres.`,
      );
    });
  const intoPart = () =>
    run(`Making ${name}…`, async () => {
      if (!found || !holding) return;
      const bytes = await workerOf('solids').file({ kind: 'drawn', ...found.drawing }, 'stl');
      if ('refused' in bytes) return say(`Not made: ${refusedWords(bytes)}.`);
      const mesh: PartMesh = {
        hash: await keepFile(new Uint8Array(bytes)),
        name: `${name.replace(/\s+/g, '-')}.stl`,
        unitMm: 1,
        up: [0, 0, 1],
        madeOf: holding.mark,
        held: holding.held,
        pulls: holding.pulls,
        voxelMm: Math.max(
          LEAST_CELL_MM,
          Number((thickness(part, seen.value?.measure) / CELLS_THROUGH).toPrecision(2)),
        ),
      };
      edit([{ path: ['parts', 'items', part.id, 'mesh'], value: mesh }]);
      solveSoon(meshKey(mesh));
    });
  if ('refused' in drawn)
    return (
      <Note tone="bad" role="alert">
        Not drawn: {refusedWords(drawn)}.
      </Note>
    );
  if (!drawn.ok) return <StillNeeds missing={drawn.missing} />;
  const measure = seen.value?.measure;
  const isIts = part.mesh?.madeOf !== undefined;
  const overlaid = !isIts && own.seen && measure ? own.seen : undefined;
  return (
    <Apart>
      <Ask>
        <Typography variant="answer" data-testid="drawn">
          {measure
            ? drawnSays(part.made.as, measure, part.material?.densityGPerCm3, reader)
            : 'Being drawn; the first one fetches the geometry kernel.'}
        </Typography>
        <SurfaceSwitch />
      </Ask>
      {holding ? (
        <Typography color="textSecondary">{heldSays(holding.held.length, holding.pulls)}</Typography>
      ) : null}
      {seen.refused ? (
        <Note tone="bad" role="alert">
          Not drawn: {refusedWords({ refused: seen.refused })}. The last good one stays.
        </Note>
      ) : null}
      {seen.value ? (
        <Box sx={dimmedWhen(seen.stale)}>
          <PieceScene
            seen={seen.value}
            over={overlaid}
            says={drawnSays(part.made.as, seen.value.measure, part.material?.densityGPerCm3, reader)}
          />
        </Box>
      ) : null}
      {overlaid && measure ? (
        <Typography data-testid="beside-own">{besideSays(overlaid.measure, measure, reader)}</Typography>
      ) : null}
      {measure && !closed ? <TakeMass part={part} volumeMm3={measure.volumeMm3} /> : null}
      <Row sx={{ mt: 0.75 }}>
        {closed ? null : (
          <Button
            variant="contained"
            disabled={busy !== undefined || !measure || solid.running !== undefined}
            onClick={() => void intoPart()}
          >
            {isIts || !part.mesh ? 'Make it and solve it' : 'Make it in place of your mesh, and solve it'}
          </Button>
        )}
        {FILES.map((kind) => (
          <Button
            key={kind}
            disabled={busy !== undefined || !measure}
            aria-label={`${part.name} as ${kind.toUpperCase()}`}
            onClick={() => void save(kind)}
          >
            {kind.toUpperCase()}
          </Button>
        ))}
      </Row>
      <Typography color="textSecondary" sx={{ minHeight: 20, mt: 0.5 }} role="status">
        {busy ?? said ?? ''}
      </Typography>
      {isIts && part.mesh!.madeOf !== holding?.mark ? (
        <Note tone="caution" data-testid="drawn-anew">
          The car or a dimension has changed since it was made: make it again before you print or trust its
          margin.
        </Note>
      ) : null}
      {isIts && ready ? <SolidRun part={part} solid={solid} meshReady={ready} /> : null}
    </Apart>
  );
}

/** Masses that differ by less are the same. */
const SAME_MASS = 0.02;

/** What the drawn part weighs in place of what is written, where it is printed full. */
function TakeMass({ part, volumeMm3 }: { part: MadePart; volumeMm3: number }) {
  const { edit } = useBuild();
  const { reader } = useReader();
  const { material, massG, infill = 1, id } = part;
  if (!material || massG === undefined || infill < 1) return null;
  const drawnG = (volumeMm3 / 1000) * material.densityGPerCm3;
  if (Math.abs(drawnG / massG - 1) < SAME_MASS) return null;
  return (
    <Button
      variant="link"
      onClick={() => edit([{ path: ['parts', 'items', id, 'massG'], value: Math.round(10 * drawnG) / 10 }])}
    >
      {takeMassWords(drawnG, massG, reader)}
    </Button>
  );
}

const thickness = (
  { made, shape }: MadePart,
  measure: { boundsMm: { min: readonly number[]; max: readonly number[] } } | undefined,
): number =>
  made.thicknessMm ??
  shape?.heightMm ??
  (measure
    ? Math.min(...[0, 1, 2].map((axis) => measure.boundsMm.max[axis]! - measure.boundsMm.min[axis]!))
    : 5);

function drawnOrRefused(...given: Parameters<typeof drawnOfPart>): ReturnType<typeof drawnOfPart> | Refused {
  try {
    return drawnOfPart(...given);
  } catch (error) {
    if (!(error instanceof CalcError)) throw error;
    return { refused: error.refused };
  }
}
