'use client';

import Typography from '@mui/material/Typography';
import { useRouter } from 'next/navigation';
import { useState } from 'react';
import type { Invitation, Member } from '@/core/car/records/roles';
import { Fold } from '@/ui/controls/Fold';
import { Note } from '@/ui/controls/Note';
import { ROLE_MAY } from '@/words/people/roles';
import { counted } from '@/words/lists';
import { callApi } from '../api';
import { useAccess } from '../session/access';
import { AccountForm } from './AccountForm';
import { House } from './House';
import { Invitations } from './Invitations';
import { Members } from './Members';
import { EndOfWorkshop } from './EndOfWorkshop';
import { TakeAlong } from './TakeAlong';

interface WorkshopPageProps {
  members: readonly Member[];
  invitations: readonly Invitation[];
  /** Builds in it. */
  builds: number;
}

/** Whose is it, who else is in, and how is it taken along? */
export function WorkshopPage({ members, invitations, builds }: WorkshopPageProps) {
  const router = useRouter();
  const access = useAccess()!;
  const { workshop, role, person } = access;
  const owns = role === 'owner';
  const [stamp, setStamp] = useState<string>();
  return (
    <House at="/workshop">
      <Typography variant="answer">
        {person
          ? `${workshop}: ${counted(builds, 'build')}, ${counted(members.length, 'member')}.`
          : `${workshop}: ${counted(builds, 'build')}. Whoever opens it on this machine is in it.`}
      </Typography>
      {person ? (
        <Typography component="p" color="textSecondary" sx={{ mt: 0.5 }}>
          You may {ROLE_MAY[role]}.
        </Typography>
      ) : (
        <Note sx={{ mt: 1.5, maxWidth: 720 }}>
          This is the demo: it has no accounts and stays on this machine. npm run start is the real
          installation, where people sign in, share a workshop and are backed up every night.
        </Note>
      )}
      {person ? <Members members={members} /> : null}
      {person && owns ? <Invitations open={invitations} /> : null}
      {owns ? <TakeAlong exported={stamp !== undefined} onExport={setStamp} /> : null}
      {owns && person ? (
        <Fold title="Rename this workshop" sx={{ mt: 2 }}>
          <AccountForm<{ name: string }>
            key={workshop}
            label="Rename this workshop"
            fields={[{ name: 'name', label: 'Its new name', autoComplete: 'off' }]}
            verb="Rename"
            onSend={async (values) => {
              await callApi('PATCH', '/api/workshop', values);
              router.refresh();
            }}
          />
        </Fold>
      ) : null}
      {owns && person ? <EndOfWorkshop stamp={stamp} /> : null}
    </House>
  );
}
