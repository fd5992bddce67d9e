'use client';

import Box from '@mui/material/Box';
import Typography from '@mui/material/Typography';
import Link from 'next/link';
import { Row } from '@/ui/layout/Row';
import { useAccess } from '../session/access';

const PLACES = [
  { name: 'Garage', href: '/' },
  { name: 'Library', href: '/library' },
  { name: 'Workshop', href: '/workshop' },
] as const;

const AT_A_DESK = { display: { xs: 'none', sm: 'inline' } };
const ON_A_PHONE = { display: { xs: 'inline', sm: 'none' } };

/** The pages that belong to no build; what is a demo says so. */
export function HouseNav({ at }: { at: (typeof PLACES)[number]['href'] | '/account' }) {
  const access = useAccess();
  return (
    <Row as="nav" aria-label="House" sx={{ flexWrap: 'nowrap' }}>
      {PLACES.map(({ name, href }) => (
        <Link key={href} href={href} aria-current={href === at ? 'page' : undefined}>
          {name}
        </Link>
      ))}
      {access?.person ? (
        <Link href="/account" aria-current={at === '/account' ? 'page' : undefined}>
          <Box component="span" sx={AT_A_DESK}>
            {access.person.name}
          </Box>
          <Box component="span" sx={ON_A_PHONE}>
            You
          </Box>
        </Link>
      ) : (
        <Typography component="span" variant="aside" color="textSecondary" noWrap>
          demo
          <Box component="span" sx={AT_A_DESK}>
            , no accounts
          </Box>
        </Typography>
      )}
    </Row>
  );
}
