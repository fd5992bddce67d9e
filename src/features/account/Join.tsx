'use client';

import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import { useEffect, useState } from 'react';
import type { Role } from '@/core/car/records/roles';
import { Note } from '@/ui/controls/Note';
import { Problem } from '@/ui/controls/Problem';
import { ROLE_MAY, ROLE_WORDS } from '@/words/people/roles';
import { callApi, sentenceOf } from '../api';
import { AccountForm } from './AccountForm';
import { EMAIL, NAME, NEW_PASSWORD, openAnew, PASSWORD } from './fields';
import { Gate } from './Gate';
import { useLinkToken } from './useLinkToken';

interface Invited {
  workshop: string;
  role: Role;
  invitedBy?: string;
}

interface JoinProps {
  /** Who is signed in already. */
  email?: string | undefined;
}

/** The link of an invitation: what it invites to, and the way in. */
export function Join({ email }: JoinProps) {
  const token = useLinkToken();
  const [found, setFound] = useState<Invited>();
  const [problem, setProblem] = useState<string>();
  const [hasAccount, setHasAccount] = useState(false);
  useEffect(() => {
    if (!token) return;
    let current = true;
    callApi<Invited>('POST', '/api/invitations/look', { token }).then(
      (invited) => current && setFound(invited),
      (error: unknown) => current && setProblem(sentenceOf(error)),
    );
    return () => {
      current = false;
    };
  }, [token]);
  const accept = async () => {
    await callApi('POST', '/api/invitations/accept', { token });
    openAnew('/');
  };
  return (
    <Gate
      question={
        found
          ? `${found.invitedBy ?? 'Somebody'} invites you into ${found.workshop} as ${ROLE_WORDS[found.role]}.`
          : 'An invitation into a workshop.'
      }
    >
      {token === '' ? (
        <Note>This address has letters behind a #: open the whole of the link that you were sent.</Note>
      ) : null}
      <Problem>{problem}</Problem>
      {found ? (
        <>
          <Typography component="p" sx={{ mt: 1 }}>
            You may {ROLE_MAY[found.role]}.
          </Typography>
          {email === undefined ? (
            <>
              {hasAccount ? (
                <AccountForm<{ email: string; password: string }>
                  key="in"
                  label="Sign in"
                  fields={[EMAIL, PASSWORD]}
                  verb="Sign in and join"
                  onSend={async (values) => {
                    await callApi('POST', '/api/account/sign-in', values);
                    await accept();
                  }}
                />
              ) : (
                <AccountForm<{ name: string; email: string; password: string }>
                  key="up"
                  label="Make an account"
                  fields={[NAME, EMAIL, NEW_PASSWORD]}
                  verb="Make an account and join"
                  onSend={async (values) => {
                    await callApi('POST', '/api/account/sign-up', { ...values, invitation: token });
                    openAnew('/');
                  }}
                />
              )}
              <Button variant="text" onClick={() => setHasAccount(!hasAccount)}>
                {hasAccount ? 'I have no account yet' : 'I have an account'}
              </Button>
            </>
          ) : (
            <Button
              variant="contained"
              sx={{ mt: 1.5 }}
              onClick={() => void accept().catch((error: unknown) => setProblem(sentenceOf(error)))}
            >
              Join as {email}
            </Button>
          )}
        </>
      ) : null}
    </Gate>
  );
}
