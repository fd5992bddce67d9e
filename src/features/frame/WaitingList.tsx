'use client';

import clsx from 'clsx';
import frameCss from '@/ui/layout/frame.module.css';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Stack from '@mui/material/Stack';
import TextField from '@mui/material/TextField';
import dynamic from 'next/dynamic';
import Link from 'next/link';
import { useState } from 'react';
import type { FailureSheet, RunSheet } from '@/core/car/records/records';
import { RUN_KIND_NAMES } from '@/words/learn/runKinds';
import { useBuild } from '../session/BuildContext';
import { handOver } from '../session/handOver';
import type { Waiting } from '../session/outbox';
import { giveUp, handTo, sendNow } from '../session/waiting';
import { segmentPath } from './segments';

const ChangeEntry = dynamic(() => import('./ChangeEntry').then((module) => module.ChangeEntry));

const nameOf = ({ kind, sheet, letter }: Waiting) =>
  `${kind === 'run' ? RUN_KIND_NAMES[(sheet as RunSheet).kind] : `failure of ${(sheet as FailureSheet).partName}`}, ${letter}`;

/** Entries that wait on this device, and those that were not taken. It stands at the foot, where its coming and going moves nothing. */
export function WaitingList({ waiting }: { waiting: readonly Waiting[] }) {
  const free = waiting.filter(({ refused }) => refused === undefined);
  return (
    <Box
      role="status"
      data-testid="waiting"
      className={clsx(frameCss.notice, frameCss.waiting)}
      sx={{
        position: 'sticky',
        bottom: 0,
        zIndex: 'appBar',
        px: 1.5,
        py: 1,
      }}
    >
      {free.length > 0 ? <Free waiting={free} /> : null}
      {waiting
        .filter(({ refused }) => refused !== undefined)
        .map((one) => (
          <Refused key={one.id} one={one} />
        ))}
    </Box>
  );
}

/** What goes by itself as soon as there is a connection. */
function Free({ waiting }: { waiting: readonly Waiting[] }) {
  const [sending, setSending] = useState(false);
  const send = async () => {
    setSending(true);
    await sendNow().finally(() => setSending(false));
  };
  return (
    <Row>
      <span>
        <b>{waiting.length === 1 ? 'One entry waits' : `${waiting.length} entries wait`}</b> on this device
        for a connection: {waiting.map(nameOf).join('; ')}.
      </span>
      <Button variant="outlined" disabled={sending} onClick={() => void send()}>
        {sending ? 'Sending' : 'Send now'}
      </Button>
    </Row>
  );
}

/** What was not taken, with why: changed, handed on, saved or thrown away. */
function Refused({ one }: { one: Waiting }) {
  const { root, build, revision, revisions } = useBuild();
  const [changing, setChanging] = useState(false);
  const isOfThisPage = one.revisionId === revision.id;
  const ofAnother = revisions.find(({ id }) => id === one.revisionId);
  const hand = (id: string) => {
    const to = revisions.find((other) => other.id === id);
    if (to) void handTo({ ...one, buildId: build.id }, to);
  };
  return (
    <Row>
      <span>
        <b>{nameOf(one)} was not taken:</b> {one.refused?.replace(/\.?$/, '.')} It stays on this device.
      </span>
      {isOfThisPage ? (
        <Button variant="outlined" onClick={() => setChanging(true)}>
          Change it
        </Button>
      ) : ofAnother ? (
        <Button
          variant="outlined"
          component={Link}
          href={segmentPath(root, ofAnother.letter, one.kind === 'run' ? 'field' : 'learn')}
        >
          Change it in {ofAnother.letter}
        </Button>
      ) : null}
      <TextField
        select
        size="small"
        value=""
        onChange={(event) => hand(event.target.value)}
        slotProps={{
          select: { native: true },
          htmlInput: { 'aria-label': `Hand ${nameOf(one)} to a revision` },
        }}
      >
        <option value="">hand it to…</option>
        {revisions.map(({ id, letter }) => (
          <option key={id} value={id}>
            {build.name} {letter}
          </option>
        ))}
      </TextField>
      {one.photos.length > 0 ? (
        <Button
          variant="outlined"
          onClick={() => void handTo({ ...one, photos: [] }, { id: one.revisionId, letter: one.letter })}
        >
          Send it without its photographs
        </Button>
      ) : null}
      <Button
        variant="outlined"
        onClick={() =>
          handOver(
            `${one.kind}-${one.id}.json`,
            'application/json',
            `${JSON.stringify(one.sheet, null, 2)}\n`,
          )
        }
      >
        Save it as a file
      </Button>
      <Button color="error" onClick={() => void giveUp(one.id, nameOf(one))}>
        Throw it away
      </Button>
      {changing ? <ChangeEntry name={nameOf(one)} one={one} onDone={() => setChanging(false)} /> : null}
    </Row>
  );
}

const Row = ({ children }: { children: React.ReactNode }) => (
  <Stack direction="row" spacing={1} useFlexGap sx={{ alignItems: 'center', flexWrap: 'wrap', py: 0.5 }}>
    {children}
  </Stack>
);
