'use client';

import Box from '@mui/material/Box';
import Typography from '@mui/material/Typography';
import { Row } from '@/ui/layout/Row';
import Button from '@mui/material/Button';
import { useState } from 'react';
import { fromBase64 } from '@/core/base/base64';
import type { GearBody, Stage } from '@/core/car/stages/stage';
import { refusalInWords } from '@/words/labels/labels';
import { CalcError } from '@/core/base/errors';
import { OUTLINE_FILES, type OutlineFile } from '@/core/physics/gears/outline';
import { useBuild } from '../../session/BuildContext';
import { handOver } from '../../session/handOver';
import { useReader } from '@/ui/reader';
import { say } from '@/words/findings';

const TYPES: Readonly<Record<OutlineFile, string>> = {
  svg: 'image/svg+xml',
  dxf: 'image/vnd.dxf',
  stl: 'model/stl',
};
const SAYS: Readonly<Record<OutlineFile, string>> = {
  svg: 'drawing',
  dxf: 'for CAD and cutters',
  stl: 'solid, for the slicer',
};

/** Each gear of the pair as files at true size. */
export function GearFiles({ stage }: { stage: Stage }) {
  const { reader } = useReader();
  const { build } = useBuild();
  const [said, setSaid] = useState<string>();
  const save = async (gear: 'pinion' | 'wheel', kind: OutlineFile) => {
    const teeth = gear === 'pinion' ? stage.pinionTeeth! : stage.wheelTeeth!;
    const body: GearBody = stage[gear] ?? {};
    if (body.boreMm === undefined) return setSaid(`Give the bore of the ${gear} first.`);
    const { gearOutline } = await import('@/core/physics/gears/outline');
    try {
      const { files, notes } = gearOutline({
        teeth,
        moduleMm: stage.moduleMm!,
        boreMm: body.boreMm,
        backlashMm: stage.backlashMm ?? 0,
        shift: body.shift ?? 0,
        helixDeg: (gear === 'pinion' ? 1 : -1) * (stage.helixDeg ?? 0),
        ...(stage.faceWidthMm === undefined ? {} : { faceWidthMm: stage.faceWidthMm }),
        ...(body.hexAcrossFlatsMm !== undefined
          ? { hexAcrossFlatsMm: body.hexAcrossFlatsMm }
          : body.flatDepthMm !== undefined
            ? { flatDepthMm: body.flatDepthMm }
            : {}),
        files: [kind],
      });
      const name = `${build.name} ${gear} ${teeth} teeth module ${stage.moduleMm}.${kind}`
        .toLowerCase()
        .replace(/\s+/g, '-');
      handOver(name, TYPES[kind], kind === 'stl' ? fromBase64(files.stl!, 'stl') : files[kind]!);
      setSaid(notes[0] ? say(notes[0], reader) : `${name} is in your downloads, in millimetres.`);
    } catch (error) {
      if (!(error instanceof CalcError)) throw error;
      setSaid(
        `Not made: ${refusalInWords(error.refused, ['drive', 'stages', stage.id, ...(error.path === 'faceWidthMm' ? [] : [gear])], reader)}.`,
      );
    }
  };
  return (
    <Box component="section" sx={{ mt: 1.25 }} aria-label="Gears as files">
      <Typography component="h2" variant="label">
        As files, in millimetres
      </Typography>
      {(['pinion', 'wheel'] as const).map((gear) => (
        <Row sx={{ p: '3px 0' }} key={gear}>
          <Box component="b" sx={{ minWidth: 150 }}>
            {gear === 'pinion' ? `Pinion, ${stage.pinionTeeth} teeth` : `Wheel, ${stage.wheelTeeth} teeth`}
          </Box>
          {OUTLINE_FILES.map((kind) => (
            <Button
              key={kind}
              aria-label={`${gear} as ${kind.toUpperCase()}`}
              title={SAYS[kind]}
              onClick={() => void save(gear, kind)}
            >
              {kind.toUpperCase()}
            </Button>
          ))}
        </Row>
      ))}
      <Typography color="textSecondary" sx={{ minHeight: 20 }} role="status">
        {said ?? 'SVG is a drawing, DXF goes to CAD and cutters, STL is a solid for the slicer.'}
      </Typography>
    </Box>
  );
}
