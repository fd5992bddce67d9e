'use client';

import Typography from '@mui/material/Typography';
import { callApi } from '../api';
import { AccountForm } from './AccountForm';
import { NEW_PASSWORD, openAnew } from './fields';
import { Gate } from './Gate';
import { useLinkToken } from './useLinkToken';

/** A new password by a link that the server printed. */
export function Reset() {
  const token = useLinkToken();
  return (
    <Gate question="Set a new password.">
      {token === '' ? (
        <Typography component="p" sx={{ mt: 1 }}>
          This address comes from npm run reset-password, with letters behind a #. Open the whole of it.
        </Typography>
      ) : (
        <AccountForm<{ password: string }>
          label="A new password"
          fields={[NEW_PASSWORD]}
          verb="Set it"
          onSend={async ({ password }) => {
            await callApi('POST', '/api/account/reset', { token, password });
            openAnew('/sign-in');
          }}
        />
      )}
    </Gate>
  );
}
