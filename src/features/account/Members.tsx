'use client';

import { Problem } from '@/ui/controls/Problem';
import Button from '@mui/material/Button';
import Table from '@mui/material/Table';
import TableBody from '@mui/material/TableBody';
import TableCell from '@mui/material/TableCell';
import TableHead from '@mui/material/TableHead';
import TableRow from '@mui/material/TableRow';
import Typography from '@mui/material/Typography';
import { useState } from 'react';
import { type Member, ROLES, type Role } from '@/core/car/records/roles';
import { Select } from '@/ui/controls/Select';
import { When } from '@/ui/When';
import { ROLE_WORDS } from '@/words/people/roles';
import { callApi } from '../api';
import { useAccess } from '../session/access';
import { openAnew } from './fields';
import { useActs } from './useActs';

const AT_A_DESK = { display: { xs: 'none', sm: 'table-cell' } };

/** Who is in the workshop, and what each may do. */
export function Members({ members }: { members: readonly Member[] }) {
  const { problem, act } = useActs();
  const { role, person } = useAccess()!;
  const [leaving, setLeaving] = useState<string>();
  const doing = (work: () => Promise<unknown>) => act(work).finally(() => setLeaving(undefined));
  const change = (id: string, to: Role) => doing(() => callApi('PATCH', `/api/members/${id}`, { role: to }));
  const remove = (id: string) =>
    doing(async () => {
      await callApi('DELETE', `/api/members/${id}`);
      if (id === person?.id) openAnew('/');
    });
  return (
    <>
      <Typography component="h2" variant="label" sx={{ mt: 2.5 }}>
        Who is in
      </Typography>
      <Problem>{problem}</Problem>
      <Table size="small" aria-label="Members" sx={{ maxWidth: 720 }}>
        <TableHead>
          <TableRow>
            <TableCell>name</TableCell>
            <TableCell sx={AT_A_DESK}>since</TableCell>
            <TableCell>role</TableCell>
            <TableCell />
          </TableRow>
        </TableHead>
        <TableBody>
          {members.map((member) => {
            const self = member.id === person?.id;
            return (
              <TableRow key={member.id}>
                <TableCell>
                  {member.name}
                  {self ? ' (you)' : ''}
                  <Typography component="p" variant="aside" color="textSecondary">
                    {member.email}
                  </Typography>
                </TableCell>
                <TableCell sx={AT_A_DESK}>
                  <When at={member.joinedAt} />
                </TableCell>
                <TableCell>
                  {role === 'owner' ? (
                    <Select
                      look="bare"
                      aria-label={`Role of ${member.name}`}
                      value={member.role}
                      onChange={(event) => void change(member.id, event.target.value as Role)}
                    >
                      {ROLES.map((one) => (
                        <option key={one} value={one}>
                          {ROLE_WORDS[one]}
                        </option>
                      ))}
                    </Select>
                  ) : (
                    ROLE_WORDS[member.role]
                  )}
                </TableCell>
                <TableCell>
                  {leaving === member.id ? (
                    <>
                      <Button onClick={() => void remove(member.id)}>
                        {self ? 'Leave this workshop' : `Send ${member.name} away`}
                      </Button>
                      <Button variant="text" onClick={() => setLeaving(undefined)}>
                        stay
                      </Button>
                    </>
                  ) : self || role === 'owner' ? (
                    <Button variant="text" onClick={() => setLeaving(member.id)}>
                      {self ? 'leave' : 'send away'}
                    </Button>
                  ) : null}
                </TableCell>
              </TableRow>
            );
          })}
        </TableBody>
      </Table>
    </>
  );
}
