'use client';

import dynamic from 'next/dynamic';
import { useAccess } from '../session/access';

const OthersHere = dynamic(async () => (await import('./OthersHere')).OthersHere);

/** Who else has the build open, where people have names; tabs of one person look when they come to the front. */
export const Present = () => (useAccess()?.person ? <OthersHere /> : null);
