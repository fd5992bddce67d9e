'use client';

import Typography from '@mui/material/Typography';
import { Row } from '@/ui/layout/Row';
import Button from '@mui/material/Button';
import { usePathname, useRouter, useSearchParams } from 'next/navigation';
import { type ReactNode, useState } from 'react';
import { isOpen } from '@/core/car/records/openFailure';
import { Working } from '../session/access';
import { useBuild } from '../session/BuildContext';
import { SegmentChecks } from '../frame/SegmentChecks';
import { FailureForm } from './FailureForm';
import { FailureList } from './FailureList';
import { NextRevision } from './NextRevision';
import { Score } from './Score';
import { Readings } from '../frame/Guarded';

/** What broke, in which way, why, and what was done about it. */
export function FailuresSide({ tabs }: { tabs: ReactNode }) {
  const { failures, revisions, revision } = useBuild();
  const asked = useSearchParams().get('open');
  const path = usePathname();
  const router = useRouter();
  const [shown, setShown] = useState<'failure' | 'next'>();
  const open = shown ?? asked;
  const openCount = failures.filter(isOpen).length;
  const many = (count: number, word: string) => `${count} ${word}${count === 1 ? '' : 's'}`;
  const done = () => {
    setShown(undefined);
    router.replace(path, { scroll: false });
  };
  return (
    <main>
      <Readings sx={{ maxWidth: 1240 }}>
        {tabs}
        <Typography variant="answer">
          {failures.length === 0
            ? `Nothing has failed in ${many(revisions.length, 'revision')}.`
            : `${many(failures.length, 'failure')} in ${many(revisions.length, 'revision')}, ${openCount} still open.`}
        </Typography>
        <Working>
          <Row sx={{ m: '10px 0' }}>
            <Button onClick={() => setShown('failure')}>Note a failure of {revision.letter}</Button>
            <Button variant="contained" onClick={() => setShown('next')}>
              Open the next revision
            </Button>
          </Row>
          {open === 'failure' ? <FailureForm onDone={done} /> : null}
          {open === 'next' ? <NextRevision onDone={done} /> : null}
        </Working>
        <FailureList />
        <Score />
        <SegmentChecks segment="learn" />
      </Readings>
    </main>
  );
}
