'use client';

import Box from '@mui/material/Box';
import Link from 'next/link';
import type { ReactNode } from 'react';
import frameCss from '@/ui/layout/frame.module.css';
import { Preferences } from '../frame/Preferences';
import { HouseNav } from './HouseNav';

/** A page about the workshop, about oneself, or about who else sees a build. */
export function House({ at, children }: { at: '/' | '/workshop' | '/account'; children: ReactNode }) {
  return (
    <>
      <header className={frameCss.head}>
        <Link href="/" className={frameCss.name}>
          Lean Badger
        </Link>
        <HouseNav at={at} />
        <span className={frameCss.push} />
        <Preferences />
      </header>
      <Box className={frameCss.stripe} sx={{ height: 12 }} aria-hidden="true" />
      <main className={frameCss.garage}>{children}</main>
    </>
  );
}
