'use client';

import { useEffect, useState } from 'react';
import { RUN_KIND_NAMES, type FailureSheet, type RunRecord, type RunSheet } from '@/core/field/records';
import type { FailureRecord, Versioned } from '@/core/field/records';
import { useBuild } from './BuildContext';
import { handOver } from './handOver';
import type { Waiting } from './outbox';
import { giveUp, handTo, onTaken, sendNow, useWaiting } from './waiting';

const nameOf = ({ kind, sheet, letter }: Waiting) => `${kind === 'run' ? RUN_KIND_NAMES[(sheet as RunSheet).kind] : `failure of ${(sheet as FailureSheet).partName}`}, ${letter}`;

/** What waits on this device to be sent, and what the workshop would not take. */
export function WaitingBar() {
  const { build, revisions, keepRun, keepFailure } = useBuild();
  const waiting = useWaiting();
  const [sending, setSending] = useState(false);
  useEffect(() => onTaken(({ one, answer }) => {
    if (one.buildId !== build.id) return;
    if (one.kind === 'run') keepRun(answer as RunRecord);
    else keepFailure(answer as Versioned<FailureRecord>);
  }), [build.id, keepRun, keepFailure]);
  if (waiting.length === 0) return null;
  const refused = waiting.filter((one) => one.refused !== undefined);
  const free = waiting.length - refused.length;
  const send = async () => {
    setSending(true);
    await sendNow().finally(() => setSending(false));
  };
  return (
    <div className="waitingbar" role="status" data-testid="waiting">
      {free > 0 ? <div className="row"><span><b>{free === 1 ? 'One entry waits' : `${free} entries wait`}</b> on this device for a connection: {waiting.filter((one) => one.refused === undefined).map(nameOf).join('; ')}.</span><button type="button" className="btn" disabled={sending} onClick={() => void send()}>{sending ? 'Sending' : 'Send now'}</button></div> : null}
      {refused.map((one) => (
        <div key={one.id} className="row">
          <span><b>{nameOf(one)} was not taken:</b> {one.refused} It stays on this device.</span>
          <select className="plainselect" aria-label={`Hand ${nameOf(one)} to a revision`} value="" onChange={(event) => { const revision = revisions.find(({ id }) => id === event.target.value); if (revision) void handTo({ ...one, buildId: build.id }, revision); }}>
            <option value="">hand it to…</option>
            {revisions.map(({ id, letter }) => <option key={id} value={id}>{build.name} {letter}</option>)}
          </select>
          {one.photos.length > 0 ? <button type="button" className="btn" onClick={() => void handTo({ ...one, photos: [] }, { id: one.revisionId, letter: one.letter })}>Send it without its photographs</button> : null}
          <button type="button" className="btn" onClick={() => handOver(`${one.kind}-${one.id}.json`, 'application/json', `${JSON.stringify(one.sheet, null, 2)}\n`)}>Save it as a file</button>
          <button type="button" className="plain" onClick={() => void giveUp(one.id, nameOf(one))}>throw it away</button>
        </div>
      ))}
    </div>
  );
}
