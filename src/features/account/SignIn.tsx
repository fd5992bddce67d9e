'use client';

import Box from '@mui/material/Box';
import { useState } from 'react';
import Button from '@mui/material/Button';
import { callApi } from '../api';
import { AccountForm } from './AccountForm';
import { EMAIL, NAME, NEW_PASSWORD, openAnew, PASSWORD, pathWithin } from './fields';
import { Gate } from './Gate';

interface SignInProps {
  /** Where to go then. */
  to?: string | undefined;
  /** Whether anybody may make an account. */
  open: boolean;
}

/** Who are you? */
export function SignIn({ to, open }: SignInProps) {
  const [isNew, setNew] = useState(false);
  const onward = () => openAnew(pathWithin(to));
  return (
    <Gate question={isNew ? 'A workshop of your own.' : 'Sign in to your workshop.'}>
      {isNew ? (
        <AccountForm<{ name: string; email: string; password: string }>
          label="Make an account"
          fields={[NAME, EMAIL, NEW_PASSWORD]}
          verb="Make an account"
          onSend={async (values) => {
            await callApi('POST', '/api/account/sign-up', values);
            onward();
          }}
        />
      ) : (
        <AccountForm<{ email: string; password: string }>
          label="Sign in"
          fields={[EMAIL, PASSWORD]}
          verb="Sign in"
          onSend={async (values) => {
            await callApi('POST', '/api/account/sign-in', values);
            onward();
          }}
        />
      )}
      {open ? (
        <Button variant="text" onClick={() => setNew(!isNew)}>
          {isNew ? 'I have an account' : 'I have none yet: make one'}
        </Button>
      ) : null}
      <Box component="p" sx={{ mt: 1.5, maxWidth: 440 }}>
        {open ? '' : 'New accounts are made by invitation: follow the link that you were sent. '}
        Forgotten the password? Whoever runs this server can print you a link to a new one.
      </Box>
    </Gate>
  );
}
