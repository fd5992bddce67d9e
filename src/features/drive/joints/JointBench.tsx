'use client';

import fieldsCss from '@/ui/fields.module.css';
import Typography from '@mui/material/Typography';
import Box from '@mui/material/Box';
import { Fold } from '@/ui/controls/Fold';
import Button from '@mui/material/Button';
import { Tick } from '@/ui/controls/Tick';
import { useReader } from '@/ui/reader';
import { materialForBuild } from '@/core/car/library/items';
import type { Shaft } from '@/core/car/document/drive';
import { stageRatio } from '@/core/car/stages/stage';
import { PINION_JOINTS } from '@/core/car/document/heat';
import { describeValue } from '@/words/labels/describe';
import { USUAL_PIN_MM, USUAL_SCREW_N, usualInterferenceMm } from '@/core/worked/drive/jointOfBuild';
import { motorStage } from '@/core/car/document/drive';
import { newId } from '../../api';
import { AddFrom } from '../../fields/AddFrom';
import { useBuild } from '../../session/BuildContext';
import { DocumentChoice, DocumentField, Group } from '../../fields/fields';
import { LibraryPick } from '../../fields/LibraryPick';
import { Knocks } from './Knocks';
import { Fields } from '../../frame/Guarded';

const HELD_BY = ['drive', 'heat', 'pinionJoint'];
const SHAFT_NAMES: Readonly<Record<Shaft['kind'], string>> = { axle: 'Wheel axle', long: 'Long shaft' };

/** How pinion and wheel are held, and every shaft. */
export function JointBench() {
  const { document, edit, closed } = useBuild();
  const { reader } = useReader();
  const stage = motorStage(document);
  const { shafts = [] } = document.drive;
  const add = (kind: string) => {
    const id = `shaft-${newId().slice(0, 8)}`;
    edit([{ path: ['drive', 'shafts'], value: [...shafts, { id, kind }] }]);
  };
  return (
    <Fields>
      <Group title="Pinion on the motor's shaft">
        <DocumentChoice
          path={HELD_BY}
          label="Held by"
          empty="not said"
          options={PINION_JOINTS.map((one) => [one, describeValue(HELD_BY, one, reader)] as const)}
        />
        {stage ? (
          <PinionFields
            id={stage.id}
            usualInterference={
              stage.pinion?.material ? usualInterferenceMm(stage.pinion.material) : undefined
            }
            usualLength={stage.faceWidthMm}
          />
        ) : (
          <Typography color="textSecondary">Add a stage under Drive first.</Typography>
        )}
      </Group>
      <Group title="Wheel on its hex">
        <LibraryPick kind="material" path={['drive', 'wheelHex', 'material']} copy={materialForBuild} />
        <DocumentField path={['drive', 'wheelHex', 'acrossFlatsMm']} label="Across flats" example={12} />
        <DocumentField path={['drive', 'wheelHex', 'lengthMm']} label="Depth" example={5} />
      </Group>
      {shafts.map((shaft, index) => (
        <ShaftFields
          key={shaft.id}
          shaft={shaft}
          title={`${SHAFT_NAMES[shaft.kind]}${shafts.filter(({ kind }) => kind === shaft.kind).length > 1 ? ` ${index + 1}` : ''}`}
        />
      ))}
      {closed || shafts.length >= 8 ? null : (
        <AddFrom
          label="Add a shaft"
          path="drive.shafts"
          options={[
            { id: 'axle', name: 'Wheel axle' },
            { id: 'long', name: 'Long shaft' },
          ]}
          onAdd={add}
        />
      )}
      <Box sx={{ height: 12 }} />
      <Knocks kerb />
      <Typography variant="small" color="textSecondary">
        Retaining compound and instant glue give off fumes and bond skin: gloves and fresh air. Let a motor
        cool before you pull a pinion.
      </Typography>
    </Fields>
  );
}

function PinionFields({
  id,
  usualInterference,
  usualLength,
}: {
  id: string;
  usualInterference?: number;
  usualLength?: number;
}) {
  const { document } = useBuild();
  const path = (key: string) => ['drive', 'stages', id, 'pinion', key];
  const joint = document.drive.heat?.pinionJoint;
  return (
    <>
      <LibraryPick kind="material" path={path('material')} copy={materialForBuild} />
      <DocumentField path={path('boreMm')} label="Shaft" example={3.17} />
      <DocumentField path={path('hubLengthMm')} label="Length on the shaft" usual={usualLength} />
      <DocumentField path={path('flatDepthMm')} label="Flat, depth" example={0.4} />
      <Fold
        title="Press fit, screw and pin"
        open={joint === 'printed' || joint === 'screw' || joint === 'pin'}
      >
        <DocumentField
          path={path('interferenceMm')}
          label="Bore under the shaft by"
          usual={usualInterference}
          digits={3}
        />
        <DocumentField path={path('screwForceN')} label="Set screw presses with" usual={USUAL_SCREW_N} />
        <DocumentField path={path('pinMm')} label="Cross pin" usual={USUAL_PIN_MM} />
      </Fold>
    </>
  );
}

function ShaftFields({ shaft, title }: { shaft: Shaft; title: string }) {
  const { document, edit, closed } = useBuild();
  const path = (key: string) => ['drive', 'shafts', shaft.id, key];
  const stages = document.drive.stages.filter((stage) => stageRatio(stage) !== undefined);
  return (
    <Group
      title={title}
      aside={
        closed ? undefined : (
          <Button
            variant="link"
            aria-label={`Remove: ${title}`}
            onClick={() => edit([{ path: ['drive', 'shafts', shaft.id], value: undefined }])}
          >
            remove
          </Button>
        )
      }
    >
      <LibraryPick kind="material" path={path('material')} copy={materialForBuild} />
      <DocumentField path={path('diameterMm')} label="Diameter" example={5} />
      <DocumentField path={path('boreMm')} label="Bored" usual={0} />
      {shaft.kind === 'axle' ? (
        <DocumentField path={path('overhangMm')} example={12} />
      ) : (
        <>
          <DocumentField path={path('spanMm')} example={190} />
          <div className={fieldsCss.field}>
            <label>
              <Tick
                checked={shaft.halves ?? false}
                disabled={closed}
                onChange={(event) =>
                  edit([{ path: path('halves'), value: event.target.checked || undefined }])
                }
                sx={{ width: 'auto' }}
              />{' '}
              a bearing in the middle
            </label>
          </div>
          <DocumentChoice
            path={path('behind')}
            empty="the first stage"
            options={stages.map(({ id, kind }, index) => [id, `stage ${index + 1}, ${kind}`] as const)}
          />
        </>
      )}
    </Group>
  );
}
