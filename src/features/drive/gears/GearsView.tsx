'use client';

import Typography from '@mui/material/Typography';
import { Toggle, Toggles } from '@/ui/controls/Toggle';
import { Note } from '@/ui/controls/Note';
import { refusalInWords } from '@/words/labels/labels';
import { inSentence } from '@/core/base/units/words';
import { whyOf } from '@/words/checkWords';
import { useState } from 'react';
import type { Check } from '@/core/verdict/engine/check';
import type { Stage } from '@/core/car/stages/stage';
import type { MeshResult } from '@/core/physics/gears/mesh';
import { hasTeeth } from '@/core/worked/drive/stageKinds';
import { type StageSeen, stageSeen } from '@/core/worked/transmissions/stageSeen';
import { seenStages } from '@/core/worked/drive/stageKinds';
import { stageAnswer, stageLines } from '@/words/driving/stages';
import { needNames } from '@/words/needs';
import { formatNumber, formatText } from '@/core/base/units/formatQuantity';
import { useReader } from '@/ui/reader';
import { WorkingPanel } from '@/ui/working';
import { useBuild, useBuildChecks } from '../../session/BuildContext';
import { CheckFigure } from '../../frame/CheckFigure';
import { SegmentChecks } from '../../frame/SegmentChecks';
import { BeltByEar } from './BeltByEar';
import { GearFiles } from './GearFiles';
import { SideBySide } from './SideBySide';
import { StageFigures } from './StageFigures';
import { StageSketch } from './StageSketch';
import { Teeth } from './Teeth';
import { Pieces } from '../solids/Pieces';
import { Apart } from '../../frame/Guarded';
import { Ask } from '../../frame/Ask';
import { say } from '@/words/findings';

/** Every stage to scale and turning, with its figures, what strips its teeth, and its pieces as files. */
export function GearsView() {
  const { document } = useBuild();
  const { reader } = useReader();
  const stages = seenStages(document.drive.stages);
  const [chosen, choose] = useState<string>();
  const stage = stages.find(({ id }) => id === chosen) ?? stages[0];
  const seen = stage ? stageSeen(stage) : undefined;
  return (
    <Apart>
      <Ask>
        {stage && seen ? (
          <StageAnswer stage={stage} seen={seen} />
        ) : (
          <Typography variant="answer">No stage yet: add gears, a belt or a chain on the left.</Typography>
        )}
        {stages.length > 1 ? (
          <Toggles label="Stage">
            {stages.map(({ id, kind }, index) => (
              <Toggle key={id} pressed={stage?.id === id} onPress={() => choose(id)}>
                {index + 1} {kind}
              </Toggle>
            ))}
          </Toggles>
        ) : null}
      </Ask>
      {stage && seen ? <StageSketch key={stage.id} stage={stage} seen={seen} /> : null}
      {stage && seen ? <StageFigures lines={stageLines(stage, seen, reader)} /> : null}
      {stage && seen?.by === 'belt' ? <BeltByEar stage={stage} /> : null}
      {seen?.by === 'spur'
        ? seen.mesh.notes.map((note) => <Note key={note.code}>{say(note, reader)}</Note>)
        : null}
      {stages.some(hasTeeth) ? <Teeth /> : null}
      <SegmentChecks segment="drive" side="gears" />
      {stage && seen?.by === 'spur' ? (
        <>
          <SideBySide stage={stage} />
          <GearFiles stage={stage} />
        </>
      ) : null}
      {stage ? <Pieces key={`${stage.id} pieces`} stage={stage} /> : null}
      <WorkingPanel />
    </Apart>
  );
}

function StageAnswer({ stage, seen }: { stage: Stage; seen: StageSeen }) {
  const { reader } = useReader();
  switch (seen.by) {
    case 'spur':
      return <GearsAnswer stage={stage} mesh={seen.mesh} />;
    case 'missing':
      return (
        <Typography variant="answer">
          The {stage.kind} is drawn and worked out once it has a {needNames(seen.missing)}.
        </Typography>
      );
    case 'refused':
      return (
        <Typography variant="answer">
          {stage.pinionTeeth} and {stage.wheelTeeth} teeth do{' '}
          <b>not {stage.kind === 'spur' ? 'mesh' : 'go'}</b>:{' '}
          {refusalInWords(seen.refused.refused, ['drive', 'stages', stage.id], reader)}.
        </Typography>
      );
    default:
      return (
        <Typography variant="answer">
          {hasTeeth(stage) ? <WeakestTooth /> : null}
          {stageAnswer(stage, seen, reader)}
        </Typography>
      );
  }
}

function GearsAnswer({ stage, mesh }: { stage: Stage; mesh: MeshResult }) {
  const checks = useBuildChecks();
  const { reader } = useReader();
  const pair = `${stage.pinionTeeth} and ${stage.wheelTeeth} teeth`;
  const apart = formatText(mesh.centreDistanceMm, 'lengthMm', reader, 4);
  const undercut = mesh.undercut[0]
    ? ` The pinion is undercut: ${mesh.minTeethNoUndercut[0]} teeth would not be.`
    : '';
  const slot =
    mesh.fitsSlot === undefined ? '' : mesh.fitsSlot ? ' The slot reaches it' : ' The slot does not reach it';
  const tooth = weakestTooth(checks);
  return (
    <Typography variant="answer">
      <WeakestTooth />
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

const weakestTooth = (checks: readonly Check[]) =>
  checks.find(({ id, state }) => id === 'gears.tooth' && (state === 'over' || state === 'tight'));

/** What strips first, where that does not hold or only just. */
function WeakestTooth() {
  const checks = useBuildChecks();
  const { reader } = useReader();
  const tooth = weakestTooth(checks);
  return tooth ? (
    <>
      <CheckFigure check="gears.tooth" title="the weakest tooth" tone={tooth.state}>
        {tooth.state === 'over' ? 'It strips' : 'It holds, just'}
      </CheckFigure>
      : {inSentence(whyOf(tooth, reader))}{' '}
    </>
  ) : null;
}
