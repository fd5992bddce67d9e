'use client';

import Button from '@mui/material/Button';
import List from '@mui/material/List';
import ListItem from '@mui/material/ListItem';
import Typography from '@mui/material/Typography';
import { useRouter } from 'next/navigation';
import { useState } from 'react';
import { type Invitation, ROLES, type Role } from '@/core/car/records/roles';
import { Note } from '@/ui/controls/Note';
import { Select } from '@/ui/controls/Select';
import { TextInput } from '@/ui/controls/TextInput';
import { Row } from '@/ui/layout/Row';
import { When } from '@/ui/When';
import { ROLE_MAY, ROLE_WORDS } from '@/words/labels/roles';
import { callApi, sentenceOf } from '../api';

/** Links by which more may join. */
export function Invitations({ open }: { open: readonly Invitation[] }) {
  const router = useRouter();
  const [role, setRole] = useState<Role>('editor');
  const [link, setLink] = useState<string>();
  const [problem, setProblem] = useState<string>();
  const doing = async (work: () => Promise<unknown>) => {
    setProblem(undefined);
    try {
      await work();
      router.refresh();
    } catch (error) {
      setProblem(sentenceOf(error));
    }
  };
  const invite = () =>
    doing(async () => {
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
        <Note tone="ok" role="status" sx={{ my: 1, maxWidth: 720 }}>
          <Typography component="label" variant="label" htmlFor="invitation-link">
            Send this link to one person. It is shown this once, and is good once, for a week.
          </Typography>
          <Row sx={{ flexWrap: 'nowrap' }}>
            <TextInput
              boxed
              id="invitation-link"
              readOnly
              value={link}
              sx={{ width: 520, maxWidth: '100%' }}
              onFocus={(event) => event.target.select()}
            />
            <Button onClick={() => void navigator.clipboard.writeText(link)}>Copy</Button>
          </Row>
        </Note>
      ) : null}
      {problem ? (
        <Note tone="bad" role="alert">
          {problem}
        </Note>
      ) : null}
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
                onClick={() => void doing(() => callApi('DELETE', `/api/invitations/${id}`))}
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
