'use client';

import Box from '@mui/material/Box';
import Typography from '@mui/material/Typography';
import { Row } from '@/ui/layout/Row';
import Button from '@mui/material/Button';
import { useState } from 'react';
import type { GearBody, Stage } from '@/core/car/stages/stage';
import { refusalInWords } from '@/words/labels/labels';
import { CalcError } from '@/core/base/errors';
import { useBuild } from '../../session/BuildContext';
import { handOver } from '../../session/handOver';
import { useReader } from '@/ui/reader';
import { say } from '@/words/findings';

const DRAWINGS = {
  svg: { type: 'image/svg+xml', says: 'drawing' },
  dxf: { type: 'image/vnd.dxf', says: 'for CAD and cutters' },
} as const;
type Drawing = keyof typeof DRAWINGS;

/** Each gear of the pair as a drawing of its section at true size; the play lies in the distance of the shafts. */
export function GearFiles({ stage }: { stage: Stage }) {
  const { reader } = useReader();
  const { build } = useBuild();
  const [said, setSaid] = useState<string>();
  const save = async (gear: 'pinion' | 'wheel', kind: Drawing) => {
    const teeth = gear === 'pinion' ? stage.pinionTeeth! : stage.wheelTeeth!;
    const body: GearBody = stage[gear] ?? {};
    if (body.boreMm === undefined) return setSaid(`Give the bore of the ${gear} first.`);
    const { gearOutline } = await import('@/core/physics/gears/outline');
    try {
      const { files, notes } = gearOutline({
        teeth,
        moduleMm: stage.moduleMm!,
        boreMm: body.boreMm,
        shift: body.shift ?? 0,
        helixDeg: (gear === 'pinion' ? 1 : -1) * (stage.helixDeg ?? 0),
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
      handOver(name, DRAWINGS[kind].type, files[kind]!);
      setSaid(notes[0] ? say(notes[0], reader) : `${name} is in your downloads, in millimetres.`);
    } catch (error) {
      if (!(error instanceof CalcError)) throw error;
      setSaid(`Not made: ${refusalInWords(error.refused, ['drive', 'stages', stage.id, gear], reader)}.`);
    }
  };
  return (
    <Box component="section" sx={{ mt: 1.25 }} aria-label="Gears as drawings">
      <Typography component="h2" variant="label">
        As drawings, in millimetres
      </Typography>
      {(['pinion', 'wheel'] as const).map((gear) => (
        <Row sx={{ p: '3px 0' }} key={gear}>
          <Box component="b" sx={{ minWidth: 150 }}>
            {gear === 'pinion' ? `Pinion, ${stage.pinionTeeth} teeth` : `Wheel, ${stage.wheelTeeth} teeth`}
          </Box>
          {(Object.keys(DRAWINGS) as Drawing[]).map((kind) => (
            <Button
              key={kind}
              aria-label={`${gear} as ${kind.toUpperCase()}`}
              title={DRAWINGS[kind].says}
              onClick={() => void save(gear, kind)}
            >
              {kind.toUpperCase()}
            </Button>
          ))}
        </Row>
      ))}
      <Typography color="textSecondary" sx={{ minHeight: 20 }} role="status">
        {said ?? 'The section at true size: SVG to look at, DXF for CAD and cutters.'}
      </Typography>
    </Box>
  );
}
