'use client';

import Button from '@mui/material/Button';
import List from '@mui/material/List';
import ListItem from '@mui/material/ListItem';
import Typography from '@mui/material/Typography';
import { useState } from 'react';
import type { Person, WorkshopOfPerson } from '@/core/car/records/roles';
import { FileButton } from '@/ui/controls/FileButton';
import { Fold } from '@/ui/controls/Fold';
import { Note } from '@/ui/controls/Note';
import { Problem } from '@/ui/controls/Problem';
import { Row } from '@/ui/layout/Row';
import { ROLE_WORDS } from '@/words/people/roles';
import { counted } from '@/words/lists';
import { callApi, sentenceOf } from '../api';
import { useWaiting } from '../session/waiting';
import { AccountForm } from './AccountForm';
import { forgetPages, NEW_PASSWORD, openAnew, PASSWORD } from './fields';
import { House } from './House';

interface AccountPageProps {
  person: Person;
  workshops: readonly WorkshopOfPerson[];
  /** The one that is worked in. */
  current: string | undefined;
}

/** Who you are here, which workshops you are in, and the way out. */
export function AccountPage({ person, workshops, current }: AccountPageProps) {
  const [problem, setProblem] = useState<string>();
  const [changed, setChanged] = useState(false);
  const [busy, setBusy] = useState(false);
  const waiting = useWaiting();
  const doing = async (work: () => Promise<unknown>, then = '/') => {
    setProblem(undefined);
    setBusy(true);
    try {
      await work();
      await forgetPages();
      openAnew(then);
    } catch (error) {
      setProblem(sentenceOf(error));
      setBusy(false);
    }
  };
  const bring = (file: File | undefined) =>
    file &&
    doing(() =>
      callApi('POST', '/api/workshops/import', undefined, {
        body: file,
        headers: { 'content-type': 'application/zip' },
      }),
    );
  return (
    <House at="/account">
      <Typography variant="answer">You are {person.name}.</Typography>
      <Typography component="p" color="textSecondary" sx={{ mt: 0.5 }}>
        {person.email}
      </Typography>
      <Problem>{problem}</Problem>
      {waiting.length > 0 ? (
        <Note sx={{ mt: 1.5, maxWidth: 720 }}>
          {counted(waiting.length, 'entry', 'entries')} of the field {waiting.length === 1 ? 'waits' : 'wait'}{' '}
          on this device. Send {waiting.length === 1 ? 'it' : 'them'} before you sign out.
        </Note>
      ) : null}
      <Row sx={{ mt: 1.5 }}>
        <Button
          disabled={busy}
          onClick={() => void doing(() => callApi('POST', '/api/account/sign-out'), '/sign-in')}
        >
          Sign out
        </Button>
        <Button
          disabled={busy}
          onClick={() => void doing(() => callApi('POST', '/api/account/sign-out-everywhere'), '/sign-in')}
        >
          Sign out on all devices
        </Button>
      </Row>
      <Typography component="h2" variant="label" sx={{ mt: 2.5 }}>
        Your workshops
      </Typography>
      {workshops.length === 0 ? (
        <Note>You are in no workshop yet. Make one here, or open the link of an invitation.</Note>
      ) : null}
      <List dense aria-label="Your workshops" sx={{ maxWidth: 560 }}>
        {workshops.map(({ id, name, role }) => (
          <ListItem key={id} disableGutters>
            <span>
              {name}{' '}
              <Typography component="span" color="textSecondary">
                {ROLE_WORDS[role]}
              </Typography>
            </span>
            {id === current ? (
              <Typography component="span" color="textSecondary">
                you are in it
              </Typography>
            ) : (
              <Button
                disabled={busy}
                aria-label={`Go to ${name}`}
                onClick={() => void doing(() => callApi('PUT', '/api/workshops/current', { id }))}
              >
                Go there
              </Button>
            )}
          </ListItem>
        ))}
      </List>
      <Fold title="One more workshop" open={workshops.length === 0}>
        <AccountForm<{ name: string }>
          label="A new workshop"
          fields={[{ name: 'name', label: 'Name of a new workshop', autoComplete: 'off' }]}
          verb="Make it"
          onSend={async (values) => {
            await callApi('POST', '/api/workshops', values);
            openAnew('/');
          }}
        />
        <Row>
          <FileButton
            label="Open the file of a workshop"
            accept=".zip,application/zip"
            disabled={busy}
            onFiles={([file]) => void bring(file)}
          >
            Open the file of a workshop
          </FileButton>
          <Typography component="span" color="textSecondary" role="status">
            {busy ? 'one moment' : 'as it was exported; it becomes one of your workshops'}
          </Typography>
        </Row>
      </Fold>
      <Fold title="Change your password">
        <AccountForm<{ password: string; next: string }>
          label="Change your password"
          fields={[
            { ...PASSWORD, label: 'Your password' },
            { ...NEW_PASSWORD, name: 'next', label: 'The new one' },
          ]}
          verb="Change it"
          onSend={async (values) => {
            setChanged(false);
            await callApi('PUT', '/api/account/password', values);
            setChanged(true);
          }}
        />
        {changed ? (
          <Note tone="ok" role="status">
            Changed. All other devices are signed out.
          </Note>
        ) : null}
      </Fold>
      <Fold title="Delete your account">
        <Note>
          Your name goes; workshops stay with their other owners. One that only you own is deleted on its own
          page first, after it was exported.
        </Note>
        <AccountForm<{ password: string }>
          label="Delete your account"
          fields={[{ ...PASSWORD, label: 'Your password' }]}
          verb="Delete it for good"
          onSend={async (values) => {
            await callApi('DELETE', '/api/account', values);
            await forgetPages();
            openAnew('/sign-in');
          }}
        />
      </Fold>
    </House>
  );
}
