'use client';

import frameCss from '@/ui/layout/frame.module.css';
import dynamic from 'next/dynamic';
import Button from '@mui/material/Button';
import Link from 'next/link';
import { usePathname, useRouter } from 'next/navigation';
import { type ReactNode, useEffect, useMemo, useState } from 'react';
import { USUAL_CURRENCY } from '@/core/car/document/brief';
import { SEGMENTS } from '@/core/verdict/engine/segments';
import type { BuildRecord } from '@/core/car/records/records';
import { MoneyProvider } from '@/ui/reader';
import { onFirstAct } from '@/ui/onFirstAct';
import { useWorking, WorkingProvider } from '@/ui/working';
import { useAccess, useLooksOn } from '../session/access';
import { useAskedRivals } from '../session/askedRivals';
import { BuildProvider, useBuild, useSaveState } from '../session/BuildContext';
import { GhostPicker } from './Ghosts';
import { OfflineReady } from './OfflineReady';
import { unpackBuild } from '../session/packedBuild';
import { Preferences } from './Preferences';
import { Present } from './Present';
import { SaveMark } from './SaveMark';
import { segmentPath } from './segments';
import { Stripe } from './Stripe';
import { WaitingBar } from './WaitingBar';
import { HelpBeside } from '../help/HelpBeside';
import { toggleHelp } from '../help/shownHelp';
import { useFoundField } from './jump/useFoundField';
import { useKeys } from './useKeys';

const ConflictBar = dynamic(async () => (await import('./ConflictBar')).ConflictBar);
const SharedMark = dynamic(async () => (await import('../shared/SharedMark')).SharedMark);
const fetchPalette = async () => (await import('./jump/BuildPalette')).BuildPalette;
const BuildPalette = dynamic(fetchPalette);

interface BuildFrameProps {
  /** Of `packBuild`. */
  packed: string;
  revisionId: string;
  children: ReactNode;
}

/** Header, stripe and what every page of a build shares. */
export function BuildFrame({ packed, revisionId, children }: BuildFrameProps) {
  'use memo';
  const { builds, ...given } = useMemo(() => unpackBuild(packed), [packed]);
  return (
    <WorkingProvider>
      <BuildProvider {...given} revisionId={revisionId}>
        <WithMoney>
          <Frame builds={builds}>{children}</Frame>
        </WithMoney>
      </BuildProvider>
    </WorkingProvider>
  );
}

function WithMoney({ children }: { children: ReactNode }) {
  'use memo';
  const { document } = useBuild();
  return <MoneyProvider currency={document.brief.currency ?? USUAL_CURRENCY}>{children}</MoneyProvider>;
}

function Frame({ builds, children }: { builds: readonly BuildRecord[]; children: ReactNode }) {
  'use memo';
  const { root, build, revision, revisions, session, ghost, setGhost, document } = useBuild();
  const state = useSaveState();
  const shared = useAccess()?.shared;
  const looksOn = useLooksOn();
  const asked = useAskedRivals();
  const router = useRouter();
  const segment = usePathname().split('/').at(-1) ?? 'drive';
  const page = SEGMENTS.find((one) => one === segment) ?? 'start';
  const [over, setOver] = useState<'jump'>();
  const working = useWorking();
  const go = (path: string) => router.push(path);
  const at = revisions.findIndex(({ id }) => id === revision.id);
  const toRevision = (index: number) => {
    const next = revisions[index];
    if (next) go(`${root}/${next.letter}/${segment}`);
  };

  useKeys({
    ...Object.fromEntries(
      SEGMENTS.map((name, index) => [String(index + 1), () => go(segmentPath(root, revision.letter, name))]),
    ),
    ',': () => toRevision(at - 1),
    '.': () => toRevision(at + 1),
    r: () => go(segmentPath(root, revision.letter, 'field')),
    f: () => go(`${segmentPath(root, revision.letter, 'learn')}?open=failure`),
    p: () => setGhost(ghost ? undefined : { label: 'the pinned build', document }),
    w: () =>
      working.shown
        ? working.close()
        : window.document.querySelector<HTMLButtonElement>('.answer .figure')?.click(),
    g: () => go(shared ? root : '/'),
    '/': () => setOver('jump'),
    '?': () => toggleHelp(page),
    undo: () => session.undo(),
    redo: () => session.redo(),
  });

  useFoundField();
  // whoever asks for it types at once
  useEffect(() => onFirstAct(() => void fetchPalette()), []);

  return (
    <>
      <Button
        className={frameCss.skiplink}
        onClick={() => {
          const main = window.document.querySelector('main')!;
          main.tabIndex = -1;
          main.focus();
        }}
      >
        Skip to the page
      </Button>
      <header className={frameCss.head}>
        {shared ? (
          <Link href={segmentPath(root, revision.letter, 'brief')} className={frameCss.name}>
            {build.name}
          </Link>
        ) : (
          <Link href="/" className={frameCss.name} title="Garage (g)">
            {build.name}
          </Link>
        )}
        <nav className={frameCss.revs} aria-label="Revisions">
          {revisions.map(({ id, letter }) => (
            <Link
              key={id}
              href={`${root}/${letter}/${segment}`}
              aria-current={id === revision.id ? 'true' : undefined}
              aria-label={`Revision ${letter}`}
            >
              {letter}
            </Link>
          ))}
          {looksOn ? null : (
            <Link
              href={`${segmentPath(root, revision.letter, 'learn')}?open=next`}
              aria-label="Open the next revision"
              title="Open the next revision"
            >
              +
            </Link>
          )}
        </nav>
        {shared ? <SharedMark /> : <SaveMark state={state} />}
        <Present />
        <span className={frameCss.push} />
        {looksOn ? null : <UndoRedo />}
        <GhostPicker />
        <Preferences />
        <Button variant="text" onClick={() => setOver('jump')}>
          jump <kbd>/</kbd>
        </Button>
        <Button variant="text" className={frameCss.wide} onClick={() => toggleHelp(page)}>
          help <kbd>?</kbd>
        </Button>
      </header>
      <Stripe />
      {state.conflicts.length > 0 || asked.length > 0 ? <ConflictBar /> : null}
      {shared ? null : (
        <OfflineReady
          paths={[
            '/',
            segmentPath(root, revision.letter, 'field'),
            segmentPath(root, revision.letter, 'learn'),
          ]}
        />
      )}
      {children}
      {shared ? null : <WaitingBar />}
      {over === 'jump' ? <BuildPalette builds={builds} onGo={go} onClose={() => setOver(undefined)} /> : null}
      <HelpBeside page={page} />
    </>
  );
}

function UndoRedo() {
  'use memo';
  const { session } = useBuild();
  const { canUndo, canRedo } = useSaveState();
  return (
    <>
      <Button variant="text" disabled={!canUndo} onClick={() => session.undo()} aria-label="Undo">
        <span className={frameCss.wide}>undo</span>
        <span className={frameCss.narrow} aria-hidden>
          ↶
        </span>
      </Button>
      <Button variant="text" disabled={!canRedo} onClick={() => session.redo()} aria-label="Redo">
        <span className={frameCss.wide}>redo</span>
        <span className={frameCss.narrow} aria-hidden>
          ↷
        </span>
      </Button>
    </>
  );
}
