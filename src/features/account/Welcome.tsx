'use client';

import Box from '@mui/material/Box';
import { callApi } from '../api';
import { AccountForm } from './AccountForm';
import { EMAIL, NAME, NEW_PASSWORD, openAnew } from './fields';
import { Gate } from './Gate';

const CODE = {
  name: 'code',
  label: 'Code from the console',
  autoComplete: 'one-time-code',
  hint: 'Sixteen letters, printed where npm run start was typed.',
} as const;

/** The first account of a server. */
export function Welcome() {
  return (
    <Gate question="Nobody has an account here yet. You make the first one, and own the workshop.">
      <Box component="p" sx={{ mt: 1, maxWidth: 440 }}>
        The code shows that it is you who started the server.
      </Box>
      <AccountForm<{ code: string; name: string; email: string; password: string }>
        label="The first account"
        fields={[CODE, NAME, EMAIL, NEW_PASSWORD]}
        verb="Open the workshop"
        onSend={async (values) => {
          await callApi('POST', '/api/account/first', values);
          openAnew('/');
        }}
      />
    </Gate>
  );
}
