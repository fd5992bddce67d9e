'use client';

import { StillNeeds } from '@/features/fields/StillNeeds';
import { Page } from '@/ui/layout/Page';
import frameCss from '@/ui/layout/frame.module.css';
import Box from '@mui/material/Box';
import { Hidden } from '@/ui/layout/Hidden';
import Typography from '@mui/material/Typography';
import { Note } from '@/ui/controls/Note';
import { useReader } from '@/ui/reader';
import { inSentence } from '@/core/base/units/words';
import { whyOf } from '@/words/checkWords';
import { checkTitle } from '@/words/checks/names';
import { stepsOf } from '@/words/workings';
import dynamic from 'next/dynamic';
import { useState } from 'react';
import type { Check } from '@/core/verdict/engine/check';
import { byUrgency } from '@/core/verdict/states';
import { StateMark } from '@/ui/StateMark';
import { STATE_WORDS } from '@/words/states';
import { WorkingPanel } from '@/ui/working';
import { useBuild, useBuildChecks } from '../session/BuildContext';
import { SegmentChecks } from '../frame/SegmentChecks';
import { SurfaceSwitch } from '../frame/SurfaceSwitch';
import { Bench, Readings } from '../frame/Guarded';
import { PackBench } from './PackBench';
import { SegmentSides } from '../frame/SegmentSides';
import { useSide } from '../frame/sides';
import type { SideOf } from '@/core/verdict/engine/segments';
import { RadioBench, RadioView } from './Radio';
import { SupplyBench } from './SupplyBench';
import { nameOf } from '@/core/worked/power/supplyOfBuild';
import { meteredWords } from '@/words/metered';
import { type SupplyView, useSupply } from './useSupply';
import { VoltsChart } from './VoltsChart';
import { WiringTable } from './WiringTable';
import { Ask } from '../frame/Ask';

/** Of what is missing. */
const MOST_NAMED = 6;

const SupplySteps = dynamic(() => import('./SupplySteps').then(({ SupplySteps: Steps }) => Steps), {
  ssr: false,
  loading: () => <Box sx={{ height: 260 }} />,
});
const SupplyTree = dynamic(() => import('./SupplyTree').then(({ SupplyTree: Tree }) => Tree), {
  ssr: false,
  loading: () => <Box sx={{ height: 330 }} />,
});

const WELL: Readonly<Record<SideOf<'power'>, string>> = {
  supply: 'Everything gets its volts, charged and low.',
  pack: 'Pack and controller carry what the drive draws.',
  wiring: 'Every plug that is named fits, and every wire carries its current.',
  radio: 'The link reaches, and every test of the fail-safe list is passed.',
};

/** Whether everything gets its volts: the supply tree, the pack under load, the wiring, the radio and what it fails to. */
export function PowerPage() {
  const { reader } = useReader();
  const { document } = useBuild();
  const checks = useBuildChecks();
  const { side: tab, show } = useSide('power');
  const [chosen, choose] = useState<string>();
  const view = useSupply();
  const own = checks.filter(({ segment }) => segment === 'power');
  const here = own.filter((check) => check.side === tab);
  const working = here.filter((check) => check.working).sort(byUrgency)[0];
  return (
    <Page>
      <Bench>
        {tab === 'supply' ? (
          <SupplyBench chosen={chosen} onChoose={choose} />
        ) : tab === 'radio' ? (
          <RadioBench />
        ) : (
          <PackBench />
        )}
      </Bench>
      <Readings>
        <SegmentSides
          segment="power"
          label="Sides of the power"
          shown={tab}
          onShow={show}
          mark={(side) => <TabMark checks={own.filter((check) => check.side === side)} />}
        />
        <Ask>
          <Answer
            checks={here}
            well={WELL[tab]}
            empty={
              tab === 'supply'
                ? 'Hang receiver and servo on the pack, and their volts are worked out, charged and low.'
                : undefined
            }
          />
          <SurfaceSwitch />
        </Ask>
        {tab === 'supply' ? (
          <>
            <SupplyTree view={view} chosen={chosen} onChoose={choose} />
            {view.supply.ok ? (
              <SupplySteps power={document.power} input={view.supply.input} result={view.supply.result} />
            ) : null}
            <MeteredNotes view={view} />
          </>
        ) : tab === 'pack' ? (
          <VoltsChart />
        ) : tab === 'wiring' ? (
          <WiringTable view={view} />
        ) : (
          <RadioView />
        )}
        <SegmentChecks segment="power" side={tab} />
        <WorkingPanel
          fallback={
            working
              ? { title: inSentence(checkTitle(working)), steps: stepsOf(working.working, reader) }
              : undefined
          }
        />
      </Readings>
    </Page>
  );
}

/** What metered plugs lose, one line each. */
function MeteredNotes({ view: { supply } }: { view: SupplyView }) {
  const { document } = useBuild();
  const { reader } = useReader();
  if (!supply.ok || supply.metered.length === 0) return null;
  return (
    <Note data-testid="metered">
      {supply.metered.map((plug) => (
        <Box component="p" sx={{ m: 0 }} key={plug.id}>
          {meteredWords(plug, nameOf(document.power, plug.id), reader)}
        </Box>
      ))}
    </Note>
  );
}

const bad = (checks: readonly Check[]) =>
  checks
    .filter(({ state }) => state === 'over' || state === 'tight')
    .sort((a, b) => byUrgency(a, b) || Number(b.id.includes('load:')) - Number(a.id.includes('load:')));

/** A side that holds something bad says so on its tab. */
function TabMark({ checks }: { checks: readonly Check[] }) {
  const [worst] = bad(checks);
  return worst ? (
    <span className={frameCss.tabmark}>
      <StateMark state={worst.state} size={10} />
      <Hidden>, {STATE_WORDS[worst.state]}</Hidden>
    </span>
  ) : null;
}

function Answer({
  checks,
  well,
  empty,
}: {
  checks: readonly Check[];
  well: string;
  empty: string | undefined;
}) {
  const { reader } = useReader();
  const worked = checks.filter(({ state }) => state !== 'unknown');
  const found = bad(worked);
  const tree = worked.some(({ id }) => id.includes(':'));
  if (found[0])
    return (
      <Typography variant="answer">
        {whyOf(found[0], reader)}
        {found.length > 1 ? (
          <Typography component="span" color="textSecondary">
            {' '}
            {found.length - 1} more below.
          </Typography>
        ) : null}
      </Typography>
    );
  if (empty && !tree && !checks.some(({ id }) => id.includes(':')))
    return <Typography variant="answer">{empty}</Typography>;
  if (worked.length === 0 || worked.length < checks.length)
    return (
      <StillNeeds missing={[...new Set(checks.flatMap(({ missing }) => missing))].slice(0, MOST_NAMED)} />
    );
  return <Typography variant="answer">{well}</Typography>;
}
