'use client';

import Typography from '@mui/material/Typography';
import { materialForBuild } from '@/core/car/library/items';
import { USUAL_GEAR_HOURS } from '@/core/verdict/drive/gears/wear.check';
import { spurStages } from '@/core/worked/drive/stageMesh';
import { useBuild } from '../../session/BuildContext';
import { DocumentField, Group } from '../../fields/fields';
import { LibraryPick } from '../../fields/LibraryPick';
import { Knocks } from '../joints/Knocks';
import { Stages } from './Stages';
import { Fields } from '../../frame/Guarded';

/** Teeth, module and slot of the spur gears, and how each gear is made. */
export function GearBench() {
  const { document } = useBuild();
  const stages = spurStages(document.drive);
  const several = stages.length > 1;
  return (
    <Fields>
      <Stages />
      {stages.map(({ id }, index) => {
        const path = (key: string) => ['drive', 'stages', id, key];
        const named = (title: string) => (several ? `${title}, pair ${index + 1}` : title);
        return (
          <div key={id}>
            <Group title={named('Mesh')}>
              <DocumentField path={path('moduleMm')} example={0.8} />
              <DocumentField
                path={path('wheelModuleMm')}
                usual={document.drive.stages.find((stage) => stage.id === id)?.moduleMm}
                label="Module of the wheel"
              />
              <DocumentField path={path('faceWidthMm')} example={8} />
              <DocumentField path={path('backlashMm')} usual={0} />
              <DocumentField path={path('helixDeg')} usual={0} label="Helix of the pinion" />
              <DocumentField path={path('slotMinMm')} example={34} />
              <DocumentField path={path('slotMaxMm')} example={40} />
            </Group>
            {(['pinion', 'wheel'] as const).map((gear) => (
              <Group key={gear} title={named(gear === 'pinion' ? 'Pinion' : 'Wheel')}>
                <LibraryPick
                  kind="material"
                  path={['drive', 'stages', id, gear, 'material']}
                  copy={materialForBuild}
                />
                <DocumentField path={['drive', 'stages', id, gear, 'fillFactor']} label="Filled" usual={1} />
                <DocumentField
                  path={['drive', 'stages', id, gear, 'shift']}
                  label="Profile shift"
                  usual={0}
                />
                <DocumentField
                  path={['drive', 'stages', id, gear, 'boreMm']}
                  label="Bore"
                  example={gear === 'pinion' ? 3.17 : 8}
                />
                <DocumentField path={['drive', 'stages', id, gear, 'flatDepthMm']} label="Flat, depth" />
                <DocumentField
                  path={['drive', 'stages', id, gear, 'hexAcrossFlatsMm']}
                  label="Or hex, across flats"
                />
              </Group>
            ))}
          </div>
        );
      })}
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
