'use client';

import { Page } from '@/ui/layout/Page';
import Typography from '@mui/material/Typography';
import { Fold } from '@/ui/controls/Fold';
import { useMemo } from 'react';
import { briefDemand, type BriefDemandInput, type BriefDemandResult } from '@/core/physics/motion/demand';
import { demandInputOf } from '@/core/worked/motion/demandOfBuild';
import { workingDemand } from '@/words/workings/demand';
import { useWriter } from '@/ui/reader';
import { WorkingPanel } from '@/ui/working';
import { useBuild } from '../session/BuildContext';
import { DocumentField, Group } from '../fields/fields';
import { LibraryPick } from '../fields/LibraryPick';
import { SegmentChecks } from '../frame/SegmentChecks';
import { Bench, Readings } from '../frame/Guarded';
import { needNames } from '@/words/needs';
import { FirstSteps } from './FirstSteps';
import { Surfaces } from './Surfaces';
import { sound } from '../frame/sound';
import { CameFrom } from './CameFrom';
import { Demand, nameOf } from './Demand';

const path = (key: string) => ['brief', key];

/** What the car is for, and what that demands before any motor is chosen. */
export function BriefPage() {
  const { build, document } = useBuild();
  const demand = useMemo((): {
    worked?: { input: BriefDemandInput; result: BriefDemandResult };
    missing: readonly string[];
  } => {
    const found = sound(() => {
      const input = demandInputOf(document, document.brief.surfaces);
      return input.ok ? { ok: true, value: { input: input.value, result: briefDemand(input.value) } } : input;
    });
    return found.ok ? { worked: found.value, missing: [] } : { missing: found.missing };
  }, [document]);
  return (
    <Page>
      <Bench>
        <Surfaces />
        <Group title="The wish">
          <DocumentField path={path('targetMps')} example={30 / 3.6} />
          <DocumentField path={path('runTimeMinutes')} example={25} />
          <DocumentField path={path('distanceM')} example={20} />
          <DocumentField path={path('timeToDistanceS')} example={4} />
          <DocumentField path={path('gradePct')} example={8} />
          <DocumentField path={path('dropHeightM')} example={0.25} />
          <DocumentField path={path('budget')} example={250} />
        </Group>
        <Group title="Size and load">
          <LibraryPick
            kind="sizeClass"
            path={path('sizeClass')}
            copy={({ id, data }) => ({ libraryId: id, ...data })}
          />
          {document.brief.sizeClass ? <DocumentField path={['brief', 'sizeClass', 'massBudgetG']} /> : null}
          <DocumentField path={path('payloadG')} example={350} />
        </Group>
        <Fold title="How the run time is worked out">
          <DocumentField path={path('meanSpeedShare')} example={0.6} />
        </Fold>
      </Bench>
      <Readings>
        {demand.worked ? <Demand {...demand.worked} /> : <NotYet missing={demand.missing} />}
        <SegmentChecks segment="brief" />
        {build.origin ? <CameFrom origin={build.origin} /> : null}
        <DemandWorking worked={demand.worked} />
      </Readings>
    </Page>
  );
}

function DemandWorking({
  worked,
}: {
  worked: { input: BriefDemandInput; result: BriefDemandResult } | undefined;
}) {
  const write = useWriter();
  const { document } = useBuild();
  const first = worked?.result.surfaces[0];
  return (
    <WorkingPanel
      fallback={
        worked && first
          ? {
              title: `the demand on ${nameOf(first.id, document.brief.surfaces)}`,
              steps: workingDemand(worked.input, first, write),
            }
          : undefined
      }
    />
  );
}

function NotYet({ missing }: { missing: readonly string[] }) {
  const { document } = useBuild();
  const wished = document.brief.surfaces.length > 0 && document.brief.targetMps !== undefined;
  return (
    <>
      <Typography variant="answer">
        {wished
          ? `To say what this wish demands it still needs ${needNames(missing)}.`
          : 'What should it do? Choose a surface, type the speed, choose a size class.'}
      </Typography>
      <p>The orchard car of the demo is for mown grass and gravel, 30 km/h, 25 minutes per pack.</p>
      <FirstSteps on="brief" />
    </>
  );
}
