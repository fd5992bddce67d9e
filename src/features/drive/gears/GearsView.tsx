'use client';

import Typography from '@mui/material/Typography';
import { Toggle, Toggles } from '@/ui/controls/Toggle';
import { Note } from '@/ui/controls/Note';
import { refusalInWords } from '@/words/labels/labels';
import { inSentence } from '@/core/base/units/words';
import { whyOf } from '@/words/checkWords';
import { useState } from 'react';
import type { Stage } from '@/core/car/stages/stage';
import { meshOrRefusal } from '@/core/worked/drive/stageMesh';
import { spurStages } from '@/core/worked/drive/stageMesh';
import { formatNumber, formatText } from '@/core/base/units/formatQuantity';
import { useReader } from '@/ui/reader';
import { WorkingPanel } from '@/ui/working';
import { useBuild, useBuildChecks } from '../../session/BuildContext';
import { CheckFigure } from '../../frame/CheckFigure';
import { SegmentChecks } from '../../frame/SegmentChecks';
import { GearFiles } from './GearFiles';
import { MeshSketch } from './MeshSketch';
import { Teeth } from './Teeth';
import { Apart } from '../../frame/Guarded';
import { Ask } from '../../frame/Ask';
import { say } from '@/words/findings';

type Found = ReturnType<typeof meshOrRefusal> | undefined;

/** Whether the spur gears mesh, drawn to scale and turning, and each as a file. */
export function GearsView() {
  const { document } = useBuild();
  const { reader } = useReader();
  const stages = spurStages(document.drive);
  const [chosen, choose] = useState<string>();
  const stage = stages.find(({ id }) => id === chosen) ?? stages[0];
  const found = stage ? meshed(stage) : undefined;
  return (
    <Apart>
      <Ask>
        {stage ? (
          <GearsAnswer stage={stage} found={found} />
        ) : (
          <Typography variant="answer">
            No spur gears with their teeth yet: add a stage of spur gears on the left.
          </Typography>
        )}
        {stages.length > 1 ? (
          <Toggles label="Pair of gears">
            {stages.map(({ id }, index) => (
              <Toggle key={id} pressed={stage?.id === id} onPress={() => choose(id)}>
                pair {index + 1}
              </Toggle>
            ))}
          </Toggles>
        ) : null}
      </Ask>
      {stage && found && 'mesh' in found ? (
        <>
          <MeshSketch stage={stage} centreMm={found.mesh.centreDistanceMm} />
          {found.mesh.notes.map((note) => (
            <Note key={note.code}>{say(note, reader)}</Note>
          ))}
        </>
      ) : null}
      {stage ? <Teeth /> : null}
      <SegmentChecks segment="drive" side="gears" />
      {stage && found && 'mesh' in found ? <GearFiles stage={stage} /> : null}
      <WorkingPanel />
    </Apart>
  );
}

const meshed = (stage: Stage): Found => (stage.moduleMm === undefined ? undefined : meshOrRefusal(stage));

function GearsAnswer({ stage, found }: { stage: Stage; found: Found }) {
  const checks = useBuildChecks();
  const { reader } = useReader();
  const pair = `${stage.pinionTeeth} and ${stage.wheelTeeth} teeth`;
  if (!found)
    return <Typography variant="answer">{pair}: give the module, and the mesh is worked out.</Typography>;
  if ('refused' in found)
    return (
      <Typography variant="answer">
        {pair} do <b>not mesh</b>:{' '}
        {refusalInWords(found.refused.refused, ['drive', 'stages', stage.id], reader)}.
      </Typography>
    );
  const { mesh } = found;
  const apart = formatText(mesh.centreDistanceMm, 'lengthMm', reader, 4);
  const undercut = mesh.undercut[0]
    ? ` The pinion is undercut: ${mesh.minTeethNoUndercut[0]} teeth would not be.`
    : '';
  const slot =
    mesh.fitsSlot === undefined ? '' : mesh.fitsSlot ? ' The slot reaches it' : ' The slot does not reach it';
  const tooth = checks.find(
    ({ id, state }) => id === 'gears.tooth' && (state === 'over' || state === 'tight'),
  );
  return (
    <Typography variant="answer">
      {tooth ? (
        <>
          <CheckFigure check="gears.tooth" title="the weakest tooth" tone={tooth.state}>
            {tooth.state === 'over' ? 'It strips' : 'It holds, just'}
          </CheckFigure>
          : {inSentence(whyOf(tooth, reader))}{' '}
        </>
      ) : null}
      {tooth ? 'Shafts' : `${pair} mesh with the shafts`}{' '}
      <CheckFigure check="gears.mesh" title="the mesh" tone={mesh.fitsSlot === false ? 'over' : ''}>
        <span data-testid="centre-distance">{apart}</span>
      </CheckFigure>{' '}
      apart
      {tooth ? (
        '.'
      ) : (
        <>
          , {formatNumber(mesh.contactRatioOpened, reader.locale, 3)} pairs in touch.{undercut}
        </>
      )}
      {tooth && mesh.fitsSlot !== false ? '' : slot}
      {slot && !(tooth && mesh.fitsSlot !== false)
        ? mesh.pinionRange
          ? `; it takes pinions of ${mesh.pinionRange.min} to ${mesh.pinionRange.max} teeth.`
          : '.'
        : ''}
    </Typography>
  );
}
