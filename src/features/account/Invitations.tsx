'use client';

import Button from '@mui/material/Button';
import List from '@mui/material/List';
import ListItem from '@mui/material/ListItem';
import Typography from '@mui/material/Typography';
import { useState } from 'react';
import { type Invitation, ROLES, type Role } from '@/core/car/records/roles';
import { Problem } from '@/ui/controls/Problem';
import { Select } from '@/ui/controls/Select';
import { Row } from '@/ui/layout/Row';
import { When } from '@/ui/When';
import { ROLE_MAY, ROLE_WORDS } from '@/words/people/roles';
import { callApi } from '../api';
import { LinkOnce } from '../shared/LinkOnce';
import { useActs } from './useActs';

/** Links by which more may join. */
export function Invitations({ open }: { open: readonly Invitation[] }) {
  const { problem, act } = useActs();
  const [role, setRole] = useState<Role>('editor');
  const [link, setLink] = useState<string>();
  const invite = () =>
    act(async () => {
      const { token } = await callApi<{ token: string }>('POST', '/api/invitations', { role });
      setLink(`${window.location.origin}/join#${token}`);
    });
  return (
    <>
      <Typography component="h2" variant="label" sx={{ mt: 2.5 }}>
        Invite one more
      </Typography>
      <Row>
        <Select
          aria-label="Role of who is invited"
          value={role}
          onChange={(event) => setRole(event.target.value as Role)}
        >
          {ROLES.map((one) => (
            <option key={one} value={one}>
              {ROLE_WORDS[one]}
            </option>
          ))}
        </Select>
        <Button variant="contained" onClick={() => void invite()}>
          Make a link
        </Button>
        <Typography component="span" color="textSecondary">
          They may {ROLE_MAY[role]}.
        </Typography>
      </Row>
      {link ? (
        <LinkOnce
          id="invitation-link"
          link={link}
          words="Send this link to one person. It is shown this once, and is good once, for a week."
        />
      ) : null}
      <Problem>{problem}</Problem>
      {open.length > 0 ? (
        <List dense aria-label="Open invitations">
          {open.map(({ id, role: asked, invitedBy, expiresAt }) => (
            <ListItem key={id} disableGutters>
              <span>
                {ROLE_WORDS[asked]}, by {invitedBy ?? 'somebody who left'}{' '}
                <Typography component="span" color="textSecondary">
                  good until <When at={expiresAt} time />
                </Typography>
              </span>
              <Button
                variant="text"
                onClick={() => void act(() => callApi('DELETE', `/api/invitations/${id}`))}
              >
                take back
              </Button>
            </ListItem>
          ))}
        </List>
      ) : null}
    </>
  );
}
