'use client';

import { Page } from '@/ui/layout/Page';
import frameCss from '@/ui/layout/frame.module.css';
import Typography from '@mui/material/Typography';
import Button from '@mui/material/Button';
import { type ReactNode, useState } from 'react';
import { changeLog } from '@/words/learn/changeLog';
import { useReader } from '@/ui/reader';
import { Working } from '../session/access';
import { useBuild } from '../session/BuildContext';
import { handOver } from '../session/handOver';
import { Bench, Readings } from '../frame/Guarded';
import { BranchLine } from './BranchLine';
import { Lessons } from './Lessons';
import { NextRevision } from './NextRevision';
import { SideBySide } from './SideBySide';

/** The line of revisions with its branches, any two side by side, and what each taught. */
export function RevisionsSide({ tabs }: { tabs: ReactNode }) {
  const { build, failures, revisions, revision, runs } = useBuild();
  const { reader } = useReader();
  const [chosen, choose] = useState(revision.id);
  const [against, setAgainst] = useState<string>();
  const [opening, setOpening] = useState(false);
  const after = revisions.find(({ id }) => id === chosen) ?? revision;
  const before =
    revisions.find(({ id }) => id === against && id !== after.id) ??
    revisions.find(({ id }) => id === after.parentId) ??
    revisions.find(({ id }) => id !== after.id);
  const log = () =>
    handOver(
      `${build.name}-changes.md`.toLowerCase().replace(/[^a-z0-9.]+/g, '-'),
      'text/markdown',
      changeLog({ build, revisions: [...revisions], runs: [...runs], failures: [...failures] }, reader),
    );
  return (
    <Page>
      <Bench>
        <div className={frameCss.group}>
          <h2>
            <Typography variant="strong">The line</Typography>
            <Button variant="link" onClick={log}>
              Change log as Markdown
            </Button>
          </h2>
          <BranchLine chosen={after.id} onChoose={choose} />
        </div>
        <Working>
          <Button variant="contained" onClick={() => setOpening(true)}>
            Open the next revision
          </Button>
          {opening ? <NextRevision onDone={() => setOpening(false)} /> : null}
        </Working>
      </Bench>
      <Readings>
        {tabs}
        {before ? (
          <SideBySide before={before} after={after} onAgainst={setAgainst} />
        ) : (
          <Typography variant="answer">
            {after.letter} stands alone so far: open the next revision, change one thing, and both stand side
            by side here.
          </Typography>
        )}
        <Working
          instead={
            after.learned ? (
              <Typography sx={{ mt: 2.25, whiteSpace: 'pre-line', maxWidth: 880 }}>
                {after.learned}
              </Typography>
            ) : null
          }
        >
          <Lessons key={after.id} revision={after} />
        </Working>
      </Readings>
    </Page>
  );
}
