'use client';

import fieldsCss from '@/ui/fields.module.css';
import Typography from '@mui/material/Typography';
import { Row } from '@/ui/layout/Row';
import { SheetForm } from '@/ui/controls/SheetForm';
import { TextArea } from '@/ui/controls/TextInput';
import Button from '@mui/material/Button';
import { useRouter } from 'next/navigation';
import { useState } from 'react';
import { nextLetter } from '@/core/base/letters';
import { applyPatch, type Patch } from '@/core/base/patch';
import type { RevisionRecord } from '@/core/car/records/records';
import { callApi, newId, sentenceOf } from '../api';
import { useBuild } from '../session/BuildContext';
import { segmentPath } from '../frame/segments';

/** A change that the next revision begins with. */
export interface Proposal {
  why: string;
  expected: string;
  patch: Patch;
}

/** Opens the next revision with its reason, and with the change that was proposed. */
export function NextRevision({ proposal, onDone }: { proposal?: Proposal; onDone(): void }) {
  const { root, revision, revisions, failures, session } = useBuild();
  const router = useRouter();
  const [id] = useState(newId);
  const open = failures.filter(({ fix, revisionId }) => !fix && revisionId === revision.id);
  const [typedWhy, setWhy] = useState<string>();
  const [typedExpected, setExpected] = useState<string>();
  const [problem, setProblem] = useState<string>();
  const [sending, setSending] = useState(false);
  const letter = nextLetter(revisions.map((one) => one.letter));
  const why = typedWhy ?? proposal?.why ?? '';
  const expected = typedExpected ?? proposal?.expected ?? '';

  async function send() {
    if (why.trim() === '') return setProblem('Say why: in three weeks nobody remembers.');
    setSending(true);
    try {
      await session.flush();
      const made = await callApi<RevisionRecord>('POST', `/api/revisions/${revision.id}/next`, {
        id,
        why: why.trim(),
        ...(expected.trim() === '' ? {} : { expected: expected.trim() }),
      });
      if (proposal && made.version === 1)
        await callApi('PUT', `/api/revisions/${made.id}`, {
          version: made.version,
          document: applyPatch(made.document, proposal.patch),
        });
      router.push(segmentPath(root, made.letter, 'drive'));
      router.refresh();
    } catch (error) {
      setProblem(`Not opened, kept here: ${sentenceOf(error)}`);
      setSending(false);
    }
  }

  return (
    <SheetForm label="Open the next revision" ok onSubmit={() => void send()}>
      <p>
        Revision {letter} starts as a copy of {revision.letter}
        {proposal ? ' with this change in it' : ''}. {revision.letter} is closed from then on, so that its
        runs stay true.
      </p>
      <div className={fieldsCss.textField}>
        <TextArea
          aria-label="Why"
          rows={2}
          maxLength={2000}
          placeholder={
            open[0]
              ? `e.g. ${open[0].partName}: what you will change`
              : 'Why: what you will change and what for'
          }
          value={why}
          onChange={(event) => setWhy(event.target.value)}
        />
      </div>
      <div className={fieldsCss.textField}>
        <TextArea
          aria-label="What it should do"
          rows={2}
          maxLength={2000}
          placeholder="What it should do, with a number if you can"
          value={expected}
          onChange={(event) => setExpected(event.target.value)}
        />
      </div>
      {problem ? (
        <Typography color="error" sx={{ p: '4px 0' }} role="alert">
          {problem}
        </Typography>
      ) : null}
      <Row sx={{ mt: 1 }}>
        <Button variant="contained" type="submit" disabled={sending}>
          {sending ? 'Opening' : `Open revision ${letter}`}
        </Button>
        <Button onClick={onDone}>Cancel</Button>
      </Row>
    </SheetForm>
  );
}
