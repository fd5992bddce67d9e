'use client';

import { Fold } from '@/ui/controls/Fold';
import { Note } from '@/ui/controls/Note';
import { callApi } from '../api';
import { useAccess } from '../session/access';
import { AccountForm } from './AccountForm';
import { forgetPages, openAnew } from './fields';

/** Deletes the workshop, once it was exported as it is. */
export function EndOfWorkshop({ stamp }: { stamp: string | undefined }) {
  const { workshop } = useAccess()!;
  return (
    <Fold title="Delete this workshop">
      {stamp === undefined ? (
        <Note>
          Export it first, above: what is deleted does not come back. The file holds all of it, and can be
          opened again on your account’s page.
        </Note>
      ) : (
        <>
          <Note>
            Everything in {workshop} goes, for all of its members, at once. Look that the file is among your
            downloads.
          </Note>
          <AccountForm<{ name: string }>
            label="Delete this workshop"
            fields={[{ name: 'name', label: `Type its name: ${workshop}`, autoComplete: 'off' }]}
            verb="Delete it for good"
            onSend={async ({ name }) => {
              await callApi('DELETE', '/api/workshop', { name, exported: stamp });
              await forgetPages();
              openAnew('/');
            }}
          />
        </>
      )}
    </Fold>
  );
}
