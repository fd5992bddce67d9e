'use client';

import { Fold } from '@/ui/controls/Fold';
import { materialForBuild } from '@/core/car/library/items';
import type { Stage } from '@/core/car/stages/stage';
import { pitchesOf, USUAL_PROFILE } from '@/core/worked/transmissions/beltOfBuild';
import { USUAL_CARRIER_MM, USUAL_PLANET_FIT, USUAL_PLAY_MM } from '@/core/worked/transmissions/made';
import { Tick } from '@/ui/controls/Tick';
import { gearName } from '@/words/terms';
import { firstUp } from '@/words/lists';
import { BELT_PROFILE_NAMES, MOUNT_SUPPORT_NAMES } from '@/words/labels/stages';
import { DocumentChoice, DocumentField, Group } from '../../fields/fields';
import { useBuild } from '../../session/BuildContext';
import { FitField, RimFields, SeatFields } from './SeatFields';
import { FromLibrary, FromSolved } from './TakeFrom';
import { LibraryPick } from '../../fields/LibraryPick';

type Gear = 'pinion' | 'wheel';

const TITLES = {
  bevel: 'Bevel pair',
  differential: 'Differential',
  internal: 'Pinion in its ring',
} as const;

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
            <DocumentField path={path('backlashMm')} usual={USUAL_PLAY_MM} />
          </Group>
          <Made {...field} gear="pinion" />
          <Group title={named('Planets')}>
            <LibraryPick kind="material" path={path('planet', 'material')} copy={materialForBuild} />
            <DocumentField path={path('planet', 'fillFactor')} label="Filled" usual={1} />
            <DocumentField path={path('planet', 'boreMm')} label="Bore, for the pin" example={4} />
            <FitField path={path('planet', 'boreFit')} usual={USUAL_PLANET_FIT} />
          </Group>
          <Group title={named('Carrier')}>
            <DocumentField path={path('carrier', 'thicknessMm')} label="Thickness" usual={USUAL_CARRIER_MM} />
            <SeatFields path={path} of="carrier" bore={5} />
          </Group>
          <Made {...field} gear="wheel" ringed />
        </>
      );
    case 'bevel':
    case 'differential':
    case 'internal':
      return (
        <>
          <Group title={named(TITLES[stage.kind])}>
            <DocumentField
              path={path('moduleMm')}
              example={1}
              label={stage.kind === 'internal' ? 'Module' : 'Module, large end'}
            />
            <DocumentField path={path('faceWidthMm')} example={6} />
            {stage.kind === 'differential' ? <DocumentField path={path('planets')} example={2} /> : null}
            <DocumentField path={path('backlashMm')} usual={USUAL_PLAY_MM} />
          </Group>
          <Made {...field} gear="pinion" shifted={stage.kind !== 'internal'} />
          <Made {...field} gear="wheel" ringed={stage.kind === 'internal'} />
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
            {stage.helixDeg ? <DoubleField stage={stage} path={path} /> : null}
            <Slot path={path} />
          </Group>
          <Made {...field} gear="pinion" shifted />
          <Made {...field} gear="wheel" shifted />
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

/** What a gear is made of, and how it sits on its shaft; a ring has an outside instead. */
function Made({
  stage,
  path,
  named,
  gear,
  shifted = false,
  ringed = false,
}: Shared & { gear: Gear; shifted?: boolean; ringed?: boolean }) {
  const title = stage.kind === 'spur' && gear === 'wheel' ? 'Wheel' : firstUp(gearName(stage.kind, gear));
  return (
    <Group title={named(title)}>
      <LibraryPick kind="material" path={path(gear, 'material')} copy={materialForBuild} />
      <DocumentField path={path(gear, 'fillFactor')} label="Filled" usual={1} />
      {shifted ? <DocumentField path={path(gear, 'shift')} label="Profile shift" usual={0} /> : null}
      {ringed ? (
        <RimFields path={path} />
      ) : (
        <SeatFields
          path={path}
          of={gear}
          bore={gear === 'pinion' ? 3.17 : 8}
          {...(stage.kind === 'differential' && gear === 'pinion' ? { fit: USUAL_PLANET_FIT } : {})}
        />
      )}
    </Group>
  );
}

function DoubleField({ stage, path }: Pick<Shared, 'stage' | 'path'>) {
  const { edit, closed } = useBuild();
  return (
    <label>
      <Tick
        checked={stage.doubleHelix ?? false}
        disabled={closed}
        onChange={(event) =>
          edit([{ path: path('doubleHelix'), value: event.target.checked ? true : undefined }])
        }
      />{' '}
      double, each half the other way
    </label>
  );
}

function BeltFields({ stage, path, named }: Shared) {
  const small = (stage.pinionTeeth ?? 0) <= (stage.wheelTeeth ?? 0) ? 'pinion' : 'wheel';
  const large = small === 'pinion' ? 'wheel' : 'pinion';
  const [usual] = pitchesOf(stage.beltProfile ?? USUAL_PROFILE);
  return (
    <>
      <Group title={named('Belt')}>
        <FromLibrary
          kind="belt"
          label="Take a belt of the library"
          take={({ profile, pitchMm, teeth, widthMm }) => [
            { path: path('beltProfile'), value: profile },
            { path: path('pitchMm'), value: pitchMm },
            { path: path('beltTeeth'), value: teeth },
            { path: path('faceWidthMm'), value: widthMm },
          ]}
        />
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
        <SeatFields path={path} of={small} bore={5} />
      </Group>
      <Group title={named('Large pulley')}>
        <LibraryPick kind="material" path={path(large, 'material')} copy={materialForBuild} />
        <SeatFields path={path} of={large} bore={8} />
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
        <FromLibrary
          kind="bearing"
          label="Take the play of two bearings"
          take={({ playMm }) => [{ path: path('bearingPlayMm'), value: 2 * playMm }]}
        />
        <DocumentField path={path('mount', 'stiffnessNPerMm')} example={400} />
        <FromSolved path={path('mount', 'stiffnessNPerMm')} />
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
