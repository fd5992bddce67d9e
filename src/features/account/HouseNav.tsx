'use client';

import Typography from '@mui/material/Typography';
import Link from 'next/link';
import { Row } from '@/ui/layout/Row';
import { useAccess } from '../session/access';

const PLACES = [
  { name: 'Garage', href: '/' },
  { name: 'Library', href: '/library' },
  { name: 'Workshop', href: '/workshop' },
] as const;

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
          {access.person.name}
        </Link>
      ) : (
        <Typography component="span" variant="aside" color="textSecondary" noWrap>
          demo, no accounts
        </Typography>
      )}
    </Row>
  );
}
