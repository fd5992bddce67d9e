import type { Metadata } from 'next';
import { notFound } from 'next/navigation';
import type { ReactNode } from 'react';
import { BuildFrame } from '@/features/frame/BuildFrame';
import { AccessProvider } from '@/features/session/access';
import { guest, shown } from '../../../serverPage';
import { shownPages } from '../../../sharing/shownBuild';

export const dynamic = 'force-dynamic';
export const metadata: Metadata = { robots: { index: false, follow: false }, referrer: 'no-referrer' };

export default async function SharedLayout({
  params,
  children,
}: {
  params: Promise<{ token: string; letter: string }>;
  children: ReactNode;
}) {
  const { token, letter } = await params;
  const { db, share, access } = await guest(token);
  const { packed, revisions } = await shown(shownPages(db, share));
  const revision = revisions.find((one) => one.letter === letter);
  if (!revision) notFound();
  return (
    <AccessProvider access={access}>
      <BuildFrame key={revision.id} revisionId={revision.id} packed={packed}>
        {children}
      </BuildFrame>
    </AccessProvider>
  );
}
