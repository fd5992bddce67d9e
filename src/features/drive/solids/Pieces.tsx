'use client';

import '@/words/later/bringIn';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Table from '@mui/material/Table';
import TableBody from '@mui/material/TableBody';
import TableCell from '@mui/material/TableCell';
import TableContainer from '@mui/material/TableContainer';
import TableHead from '@mui/material/TableHead';
import TableRow from '@mui/material/TableRow';
import Typography from '@mui/material/Typography';
import dynamic from 'next/dynamic';
import { useState } from 'react';
import type { Stage } from '@/core/car/stages/stage';
import type { Body } from '@/core/physics/making/body';
import { type Piece, type PieceName, piecesOf } from '@/core/worked/transmissions/made';
import { Row } from '@/ui/layout/Row';
import { useReader } from '@/ui/reader';
import { workerOf } from '@/workers/clients';
import type { Refusal } from '@/workers/refusal';
import type { SeenBody, SolidFile } from '@/workers/solids.worker';
import { boreSays, madeSays, pieceName } from '@/words/driving/pieces';
import { refusalInWords } from '@/words/labels/labels';
import { firstUp, listed } from '@/words/lists';
import { needNames } from '@/words/needs';
import { useBuild } from '../../session/BuildContext';
import { handOver } from '../../session/handOver';
import { sentenceOf } from '../../api';
import { IntoPart } from './IntoPart';

const PieceScene = dynamic(() => import('@/ui/PieceScene').then(({ PieceScene: scene }) => scene), {
  ssr: false,
});

/** Files that a piece is written as, and what each is for. */
const FILES: Readonly<Record<SolidFile, { type: string; says: string }>> = {
  stl: { type: 'model/stl', says: 'solid, for the slicer' },
  '3mf': { type: 'model/3mf', says: 'solid with its unit, for the slicer' },
  step: { type: 'model/step', says: 'exact solid, for CAD' },
};
const FILE_KINDS = Object.keys(FILES) as SolidFile[];

type Made = Piece & { body: Body };
const isMade = (piece: Piece): piece is Made => piece.body !== undefined;

/** Every piece of a stage as an exact solid: drawn for this printer, looked at, taken away as a file or into a part. */
export function Pieces({ stage }: { stage: Stage }) {
  const { build, document, library } = useBuild();
  const { reader } = useReader();
  const [busy, setBusy] = useState<string>();
  const [said, setSaid] = useState<string>();
  const [shown, show] = useState<{ name: string; says: string; seen: SeenBody }>();
  const pieces = piecesOf(document, stage, library);
  if (pieces.length === 0) return null;
  const nameOf = ({ piece }: Piece) => pieceName(stage.kind, piece);
  const refused = ({ piece }: Piece, { refused: why }: Refusal) => {
    const path = fieldOf(piece, why.path).join('.');
    setSaid(`Not made: ${refusalInWords({ ...why, path }, ['drive', 'stages', stage.id], reader)}.`);
  };
  const run = async (says: string, work: () => Promise<void>) => {
    setBusy(says);
    setSaid(undefined);
    try {
      await work();
    } catch (error) {
      setSaid(sentenceOf(error));
    }
    setBusy(undefined);
  };
  const see = (piece: Made) =>
    run(`Making the ${nameOf(piece)}…`, async () => {
      const seen = await workerOf('solids').see(piece.body);
      if ('refused' in seen) return refused(piece, seen);
      const says = madeSays(nameOf(piece), seen.measure, piece.densityGPerCm3, reader);
      show({ name: nameOf(piece), says, seen });
      setSaid(says);
    });
  const fileName = (...words: (string | number)[]) =>
    [build.name, ...words].join(' ').toLowerCase().replace(/\s+/g, '-');
  const save = (piece: Made, kind: SolidFile) =>
    run(`Making the ${nameOf(piece)}…`, async () => {
      const bytes = await workerOf('solids').file(piece.body, kind);
      if ('refused' in bytes) return refused(piece, bytes);
      const name = fileName(nameOf(piece), ...sizeOf(piece.body)) + `.${kind}`;
      handOver(name, FILES[kind].type, new Uint8Array(bytes));
      setSaid(`${name} is in your downloads, in millimetres.`);
    });
  const whole = pieces.filter(isMade);
  const together = () =>
    run(`Making ${whole.length} pieces…`, async () => {
      const bytes = await workerOf('solids').together(whole.map(({ body, copies }) => ({ body, copies })));
      if ('refused' in bytes) return refused(whole[bytes.at]!, bytes);
      const name = fileName(stage.kind, 'all pieces') + '.3mf';
      handOver(name, FILES['3mf'].type, new Uint8Array(bytes));
      setSaid(`${name} is in your downloads: ${countAll(whole)} pieces side by side, in millimetres.`);
    });
  return (
    <Box component="section" sx={{ mt: 2 }} aria-label="As printed solids" aria-busy={busy !== undefined}>
      <Typography variant="heading">To print</Typography>
      <TableContainer>
        <Table size="small" data-testid="pieces">
          <TableHead>
            <TableRow>
              <TableCell>Piece</TableCell>
              <TableCell>Bore, as drawn</TableCell>
              <TableCell>Made of</TableCell>
              <TableCell>Files</TableCell>
            </TableRow>
          </TableHead>
          <TableBody>
            {pieces.map((piece) => (
              <TableRow key={piece.piece} data-piece={piece.piece}>
                <TableCell>
                  <b>{firstUp(nameOf(piece))}</b>
                  {piece.copies > 1 ? ` × ${piece.copies}` : ''}
                </TableCell>
                <TableCell>{piece.bore ? boreSays(piece.bore, reader) : '—'}</TableCell>
                <TableCell data-tone={piece.material ? undefined : 'quiet'}>
                  {piece.material ?? 'not chosen'}
                </TableCell>
                <TableCell>
                  {isMade(piece) ? (
                    <Row sx={{ flexWrap: 'nowrap' }}>
                      <Button
                        disabled={busy !== undefined}
                        aria-label={`Look at the ${nameOf(piece)}`}
                        onClick={() => void see(piece)}
                      >
                        Look
                      </Button>
                      {FILE_KINDS.map((kind) => (
                        <Button
                          key={kind}
                          disabled={busy !== undefined}
                          aria-label={`${nameOf(piece)} as ${kind.toUpperCase()}`}
                          title={FILES[kind].says}
                          onClick={() => void save(piece, kind)}
                        >
                          {kind.toUpperCase()}
                        </Button>
                      ))}
                    </Row>
                  ) : (
                    <Typography color="textSecondary">Needs {needNames(piece.missing)}.</Typography>
                  )}
                </TableCell>
              </TableRow>
            ))}
          </TableBody>
        </Table>
      </TableContainer>
      <Row sx={{ mt: 0.75 }}>
        {whole.length > 1 ? (
          <Button variant="contained" disabled={busy !== undefined} onClick={() => void together()}>
            All as one 3MF
          </Button>
        ) : null}
        <IntoPart
          stage={stage}
          pieces={whole}
          disabled={busy !== undefined}
          run={run}
          say={setSaid}
          refused={refused}
        />
      </Row>
      <Typography color="textSecondary" sx={{ minHeight: 20, mt: 0.5 }} role="status">
        {busy ??
          said ??
          `Exact solids of ${listed(pieces.map(nameOf))}. The first one fetches the geometry kernel and takes a few seconds.`}
      </Typography>
      {shown ? <PieceScene seen={shown.seen} says={shown.says} /> : null}
    </Box>
  );
}

/** Where a field of a body stands in its stage. */
function fieldOf(piece: PieceName, path: string): string[] {
  if (OF_THE_STAGE.has(path)) return [path];
  // pins are as thick as the planets' bores, and bodies count their own teeth
  if (path === 'pinMm') return ['planet', 'boreMm'];
  if (path === 'teeth')
    return [piece === 'pinion' || piece === 'pinionFlange' ? 'pinionTeeth' : 'wheelTeeth'];
  const of = piece === 'pinionFlange' ? 'pinion' : piece === 'wheelFlange' ? 'wheel' : piece;
  return [of, path];
}

const OF_THE_STAGE: ReadonlySet<string> = new Set([
  'pitchMm',
  'faceWidthMm',
  'moduleMm',
  'pinionTeeth',
  'wheelTeeth',
]);

const countAll = (pieces: readonly Piece[]) => pieces.reduce((sum, { copies }) => sum + copies, 0);

/** What tells one file from another. */
function sizeOf(body: Body): (string | number)[] {
  switch (body.kind) {
    case 'bevel':
      return [body.gear === 'pinion' ? body.pinionTeeth : body.wheelTeeth, 'teeth module', body.moduleMm];
    case 'gear':
    case 'ring':
      return [body.teeth, 'teeth module', body.moduleMm];
    case 'pulley':
    case 'flange':
      return [body.teeth, 'teeth pitch', body.pitchMm];
    case 'carrier':
      return [body.planets, 'planets'];
  }
}
