'use client';

import Typography from '@mui/material/Typography';
import { USUAL_GEAR_HOURS } from '@/core/verdict/drive/gears/wear.check';
import { seenStages } from '@/core/worked/drive/stageKinds';
import { useBuild } from '../../session/BuildContext';
import { DocumentField, Group } from '../../fields/fields';
import { Knocks } from '../joints/Knocks';
import { StageFields } from './StageFields';
import { Stages } from './Stages';
import { Fields } from '../../frame/Guarded';

/** Teeth and figures of every stage, and how each gear is made. */
export function GearBench() {
  const { document } = useBuild();
  const stages = seenStages(document.drive.stages);
  return (
    <Fields>
      <Stages />
      {stages.map((stage, index) => (
        <StageFields key={stage.id} stage={stage} number={stages.length > 1 ? index + 1 : undefined} />
      ))}
      <Knocks />
      <Group title="How long they should last">
        <DocumentField path={['drive', 'gearHours']} usual={USUAL_GEAR_HOURS} />
      </Group>
      <Typography variant="small" color="textSecondary">
        Turn a fresh mesh by hand before it sees a motor: wheels off the ground, fingers and hair away. Local
        rules go before anything here.
      </Typography>
    </Fields>
  );
}
