'use client';

import { Fold } from '@/ui/controls/Fold';
import { materialForBuild } from '@/core/car/library/items';
import type { Stage } from '@/core/car/stages/stage';
import { pitchesOf, USUAL_PROFILE } from '@/core/worked/transmissions/beltOfBuild';
import { gearName } from '@/words/terms';
import { firstUp } from '@/words/lists';
import { BELT_PROFILE_NAMES, MOUNT_SUPPORT_NAMES } from '@/words/labels/stages';
import { DocumentChoice, DocumentField, Group } from '../../fields/fields';
import { LibraryPick } from '../../fields/LibraryPick';

type Gear = 'pinion' | 'wheel';

/** What one stage is made of, by its kind. */
export function StageFields({ stage, number }: { stage: Stage; number: number | undefined }) {
  const path = (...keys: string[]) => ['drive', 'stages', stage.id, ...keys];
  const named = (title: string) => (number === undefined ? title : `${title}, stage ${number}`);
  const field = { stage, path, named };
  switch (stage.kind) {
    case 'belt':
      return <BeltFields {...field} />;
    case 'chain':
      return (
        <Group title={named('Chain')}>
          <DocumentField path={path('pitchMm')} example={4} />
          <DocumentField path={path('links')} example={40} />
          <Slot path={path} />
        </Group>
      );
    case 'planetary':
      return (
        <>
          <Group title={named('Planetary set')}>
            <DocumentField path={path('planets')} example={3} />
            <DocumentField path={path('moduleMm')} example={0.8} />
            <DocumentField path={path('faceWidthMm')} example={8} />
            <DocumentField path={path('ringAddendum')} usual={1} />
          </Group>
          <Made {...field} gear="pinion" bored />
          <Group title={named('Planets')}>
            <LibraryPick kind="material" path={path('planet', 'material')} copy={materialForBuild} />
            <DocumentField path={path('planet', 'fillFactor')} label="Filled" usual={1} />
          </Group>
          <Made {...field} gear="wheel" />
        </>
      );
    case 'bevel':
    case 'internal':
      return (
        <>
          <Group title={named(stage.kind === 'bevel' ? 'Bevel pair' : 'Pinion in its ring')}>
            <DocumentField
              path={path('moduleMm')}
              example={1}
              label={stage.kind === 'bevel' ? 'Module, large end' : 'Module'}
            />
            <DocumentField path={path('faceWidthMm')} example={6} />
          </Group>
          <Made {...field} gear="pinion" shifted={stage.kind === 'bevel'} />
          <Made {...field} gear="wheel" />
        </>
      );
    default:
      return (
        <>
          <Group title={named('Mesh')}>
            <DocumentField path={path('moduleMm')} example={0.8} />
            <DocumentField path={path('wheelModuleMm')} usual={stage.moduleMm} label="Module of the wheel" />
            <DocumentField path={path('faceWidthMm')} example={8} />
            <DocumentField path={path('backlashMm')} usual={0} />
            <DocumentField path={path('helixDeg')} usual={0} label="Helix of the pinion" />
            <Slot path={path} />
          </Group>
          <Made {...field} gear="pinion" shifted bored />
          <Made {...field} gear="wheel" shifted bored />
          <MountFields {...field} />
        </>
      );
  }
}

interface Shared {
  stage: Stage;
  path(...keys: string[]): string[];
  named(title: string): string;
}

function Slot({ path }: Pick<Shared, 'path'>) {
  return (
    <>
      <DocumentField path={path('slotMinMm')} example={34} />
      <DocumentField path={path('slotMaxMm')} example={40} />
    </>
  );
}

/** What a gear is made of, and its hole where it has one of its own. */
function Made({
  stage,
  path,
  named,
  gear,
  shifted = false,
  bored = false,
}: Shared & { gear: Gear; shifted?: boolean; bored?: boolean }) {
  const title = stage.kind === 'spur' && gear === 'wheel' ? 'Wheel' : firstUp(gearName(stage.kind, gear));
  return (
    <Group title={named(title)}>
      <LibraryPick kind="material" path={path(gear, 'material')} copy={materialForBuild} />
      <DocumentField path={path(gear, 'fillFactor')} label="Filled" usual={1} />
      {shifted ? <DocumentField path={path(gear, 'shift')} label="Profile shift" usual={0} /> : null}
      {bored ? (
        <>
          <DocumentField path={path(gear, 'boreMm')} label="Bore" example={gear === 'pinion' ? 3.17 : 8} />
          <DocumentField path={path(gear, 'flatDepthMm')} label="Flat, depth" />
          <DocumentField path={path(gear, 'hexAcrossFlatsMm')} label="Or hex, across flats" />
        </>
      ) : null}
    </Group>
  );
}

function BeltFields({ stage, path, named }: Shared) {
  const small = (stage.pinionTeeth ?? 0) <= (stage.wheelTeeth ?? 0) ? 'pinion' : 'wheel';
  const [usual] = pitchesOf(stage.beltProfile ?? USUAL_PROFILE);
  return (
    <>
      <Group title={named('Belt')}>
        <DocumentChoice
          path={path('beltProfile')}
          options={Object.entries(BELT_PROFILE_NAMES) as [keyof typeof BELT_PROFILE_NAMES, string][]}
          empty={BELT_PROFILE_NAMES[USUAL_PROFILE]}
        />
        <DocumentField path={path('pitchMm')} example={usual} />
        <DocumentField path={path('beltTeeth')} example={90} />
        <DocumentField path={path('faceWidthMm')} label="Width" example={6} />
        <DocumentField path={path('pretensionN')} example={20} />
        <Slot path={path} />
      </Group>
      <Group title={named('Small pulley')}>
        <LibraryPick kind="material" path={path(small, 'material')} copy={materialForBuild} />
        <DocumentField path={path(small, 'fillFactor')} label="Filled" usual={1} />
      </Group>
    </>
  );
}

/** What keeps the two shafts apart, by a stiffness or by the beam that it is. */
function MountFields({ stage, path, named }: Shared) {
  return (
    <Group title={named('Mount between the shafts')}>
      <Fold title="How stiff it is" open={stage.mount !== undefined}>
        <DocumentField path={path('bearingPlayMm')} usual={0} />
        <DocumentField path={path('mount', 'stiffnessNPerMm')} example={400} />
        <DocumentChoice
          path={path('mount', 'support')}
          label="Or a beam, held"
          options={Object.entries(MOUNT_SUPPORT_NAMES) as [keyof typeof MOUNT_SUPPORT_NAMES, string][]}
          empty="not said"
        />
        <DocumentField path={path('mount', 'lengthMm')} example={30} />
        <DocumentField path={path('mount', 'widthMm')} example={20} />
        <DocumentField path={path('mount', 'thicknessMm')} example={4} />
        <LibraryPick kind="material" path={path('mount', 'material')} copy={materialForBuild} />
      </Fold>
    </Group>
  );
}
