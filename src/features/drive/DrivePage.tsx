'use client';

import { Page } from '@/ui/layout/Page';
import Typography from '@mui/material/Typography';
import { Fold } from '@/ui/controls/Fold';
import { MOTOR_KINDS } from '@/core/car/document/power';
import { MOTOR_KIND_NAMES } from '@/words/labels/heatWords';
import { useWriter } from '@/ui/reader';
import { topSpeedFacts } from '@/core/physics/motion/topSpeedFacts';
import dynamic from 'next/dynamic';
import { Suspense } from 'react';
import { motorsInAll } from '@/core/car/document/motors';
import { meanOfRuns } from '@/core/worked/field/measured';
import { isTimed } from '@/core/car/records/records';
import { workingTopSpeed } from '@/words/workings/motion';
import { tyreForBuild } from '@/core/car/library/items';
import { WorkingPanel } from '@/ui/working';
import { useBuild } from '../session/BuildContext';
import { DocumentChoice, DocumentField, Group } from '../fields/fields';
import { LibraryPick } from '../fields/LibraryPick';
import { SegmentChecks } from '../frame/SegmentChecks';
import { SurfaceSwitch } from '../frame/SurfaceSwitch';
import { Apart, Bench, Fields, Guarded, Readings } from '../frame/Guarded';
import { listed } from '@/words/lists';
import { needName } from '@/words/needs';
import { DriveAnswer } from './DriveAnswer';
import { DriveBand } from './DriveBand';
import { DriveCharts } from './DriveCharts';
import { SegmentSides } from '../frame/SegmentSides';
import { useSide } from '../frame/sides';
import { HandLimits } from './HandLimits';
import { Stages } from './gears/Stages';
import { WishProvider } from './search/wish';
import { type DriveView, useDriveView } from './useDriveView';
import { Ask } from '../frame/Ask';

const FirstSteps = dynamic(() => import('../brief/FirstSteps').then((found) => found.FirstSteps));
const Heat = dynamic(() => import('./heat/HeatView').then(({ HeatView }) => HeatView));
const HeatBench = dynamic(() => import('./heat/HeatBench').then((found) => found.HeatBench));
const LayoutBench = dynamic(() => import('./layout/LayoutBench').then((found) => found.LayoutBench));
const GearBench = dynamic(() => import('./gears/GearBench').then((found) => found.GearBench));
const JointBench = dynamic(() => import('./joints/JointBench').then((found) => found.JointBench));
const TyreBench = dynamic(() => import('./tyres/TyreBench').then((found) => found.TyreBench));
const Standstill = dynamic(() => import('./Standstill').then((found) => found.Standstill));
const Ratio = dynamic(() => import('./ratio/RatioView').then(({ RatioView }) => RatioView));
const Explorer = dynamic(() => import('./explorer/ExplorerView').then(({ ExplorerView }) => ExplorerView));
const Gears = dynamic(() => import('./gears/GearsView').then(({ GearsView }) => GearsView));
const Search = dynamic(() => import('./search/SearchView').then(({ SearchView }) => SearchView));
const SearchBench = dynamic(() => import('./search/SearchBench').then((found) => found.SearchBench));
const Joints = dynamic(() => import('./joints/JointsView').then(({ JointsView }) => JointsView));
const Tyres = dynamic(() => import('./tyres/TyresView').then(({ TyresView }) => TyresView));
const Place = dynamic(() => import('./place/PlaceView').then(({ PlaceView }) => PlaceView));
const PlaceBench = dynamic(() => import('./place/PlaceBench').then((found) => found.PlaceBench));
const Lap = dynamic(() => import('./lap/LapView').then(({ LapView }) => LapView));
const LapSegments = dynamic(() => import('./lap/LapBench').then(({ LapBench }) => LapBench));
const Layout = dynamic(() => import('./layout/LayoutView').then(({ LayoutView }) => LayoutView));

/** Motor, pack, controller, reduction and tyre against force, speed, heat and the wish. */
export function DrivePage() {
  'use memo';
  const { document, surface } = useBuild();
  const { side: tab, show } = useSide('drive');
  const view = useDriveView(document, surface);
  return (
    <WishProvider>
      <Page>
        <Bench>
          {tab === 'place' ? (
            <PlaceBench />
          ) : tab === 'lap' ? (
            <LapSegments />
          ) : tab === 'heat' ? (
            <HeatBench />
          ) : tab === 'layout' ? (
            <LayoutBench />
          ) : tab === 'gears' ? (
            <GearBench />
          ) : tab === 'search' ? (
            <SearchBench />
          ) : tab === 'joints' ? (
            <JointBench />
          ) : tab === 'tyres' ? (
            <TyreBench />
          ) : (
            <DriveBench view={view} />
          )}
        </Bench>
        <Readings>
          <SegmentSides segment="drive" label="Sides of the drive" shown={tab} onShow={show} />
          {tab === 'layout' ? (
            <Layout />
          ) : tab === 'gears' ? (
            <Gears />
          ) : tab === 'search' ? (
            <Search />
          ) : tab === 'tyres' ? (
            <Tyres view={view} />
          ) : !view.run || !view.input ? (
            <>
              <Missing missing={view.missing} />
              <Fold title="Checks that wait for it">
                <SegmentChecks segment="drive" />
              </Fold>
            </>
          ) : tab === 'place' ? (
            <Place />
          ) : tab === 'lap' ? (
            <Lap />
          ) : tab === 'heat' ? (
            <Heat />
          ) : tab === 'ratio' ? (
            <Ratio />
          ) : tab === 'explorer' ? (
            <Explorer />
          ) : tab === 'joints' ? (
            <Joints />
          ) : (
            <RunView view={view} />
          )}
        </Readings>
      </Page>
    </WishProvider>
  );
}

function RunView({ view }: { view: DriveView }) {
  'use memo';
  const write = useWriter();
  const { document, surface, ghost, runs, revision } = useBuild();
  const other = useDriveView(ghost?.document, surface);
  const ghostRun = ghost && other.run ? { label: ghost.label, run: other.run } : undefined;
  const own = runs
    .filter(isTimed)
    .filter((run) => run.revisionId === revision.id && run.conditions.surfaceId === surface?.id);
  if (!view.run || !view.input || !surface) return null;
  return (
    <Apart>
      <Ask>
        <DriveAnswer
          surface={surface.name}
          input={view.input}
          run={view.run}
          targetMps={document.brief.targetMps}
          measured={meanOfRuns(own, 'timedDistance')}
          ghost={ghost ? { label: ghost.label, run: other.run } : undefined}
        />
        <SurfaceSwitch />
      </Ask>
      <DriveCharts
        run={view.run}
        ghost={ghostRun}
        targetMps={document.brief.targetMps}
        distanceM={view.input.distanceM!}
        runs={own}
        surface={surface.name}
      />
      <DriveBand surface={surface} />
      <Standstill />
      <SegmentChecks segment="drive" />
      <WorkingPanel
        fallback={{ title: 'top speed', steps: workingTopSpeed(topSpeedFacts(view.input, view.run), write) }}
      />
    </Apart>
  );
}

function DriveBench({ view }: { view: DriveView }) {
  'use memo';
  const { library, document } = useBuild();
  const count = motorsInAll(document.drive);
  return (
    <Fields>
      <Group title="Motor" aside={count === 1 ? '1 motor' : `${count} motors`}>
        <LibraryPick
          kind="motor"
          path={['drive', 'motor']}
          copy={({ id, data }) => ({ libraryId: id, ...data })}
        />
        {document.drive.motor ? (
          <>
            <DocumentField path={['drive', 'motor', 'kvRpmPerV']} label="Constant" />
            <DocumentField path={['drive', 'motor', 'resistanceMilliOhm']} />
            <Fold title="More of the motor">
              <DocumentChoice
                path={['drive', 'motor', 'kind']}
                label="Kind"
                empty="not said"
                options={MOTOR_KINDS.map((one) => [one, MOTOR_KIND_NAMES[one]] as const)}
              />
              <DocumentField path={['drive', 'motor', 'noLoadCurrentA']} />
              <DocumentField path={['drive', 'motor', 'rotorInertiaKgM2']} />
              <DocumentField path={['drive', 'motor', 'maxV']} label="Highest voltage" />
              <DocumentField path={['drive', 'motor', 'massG']} />
            </Fold>
          </>
        ) : null}
      </Group>
      <Group title="Pack">
        <LibraryPick
          kind="battery"
          path={['power', 'battery']}
          copy={({ id, data }) => ({ libraryId: id, ...data })}
        />
        {document.power.battery ? (
          <Fold
            title={
              <>
                {document.power.battery.cells} cells, {document.power.battery.capacityMah} mAh
              </>
            }
          >
            <DocumentField path={['power', 'battery', 'cells']} />
            <DocumentField path={['power', 'battery', 'capacityMah']} />
            <DocumentField path={['power', 'battery', 'cellResistanceMilliOhm']} />
            <DocumentField path={['power', 'battery', 'maxDischargeC']} />
          </Fold>
        ) : null}
      </Group>
      <Group title="Controller">
        <LibraryPick
          kind="controller"
          path={['power', 'controller']}
          copy={({ id, data }) => ({ libraryId: id, ...data })}
        />
        {document.power.controller ? <DocumentField path={['power', 'controller', 'currentLimitA']} /> : null}
      </Group>
      <Stages />
      <Group title="Tyre">
        <LibraryPick kind="tyre" path={['drive', 'tyre']} copy={(item) => tyreForBuild(item, library)} />
        {document.drive.tyre ? <DocumentField path={['drive', 'tyre', 'radiusMm']} label="Radius" /> : null}
        <DocumentChoice
          path={['drive', 'drivenAxles']}
          label="Driven"
          options={[
            ['front', 'front axle'],
            ['rear', 'rear axle'],
            ['all', 'both axles'],
          ]}
        />
      </Group>
      <Guarded>
        <Suspense fallback={null}>
          <HandLimits view={view} />
        </Suspense>
      </Guarded>
      <Typography variant="small" color="textSecondary">
        Before the first spin on the bench: wheels off the ground, pinion out, signal loss tested. Local rules
        go before anything here.
      </Typography>
    </Fields>
  );
}

function Missing({ missing }: { missing: readonly string[] }) {
  'use memo';
  return (
    <>
      <Typography variant="answer">No speed yet: it needs {listed(missing.map(needName))}.</Typography>
      <FirstSteps on="drive" />
    </>
  );
}
