import { redirect } from 'next/navigation';
import { segmentPath } from '@/features/frame/segments';
import { rootOf } from '@/features/shared/rootOf';
import { guest, shown } from '../../serverPage';
import { shownPages } from '../../sharing/shownBuild';

export const dynamic = 'force-dynamic';

export default async function SharedPage({ params }: { params: Promise<{ token: string }> }) {
  const { token } = await params;
  const { db, share, access } = await guest(token);
  const { revisions } = await shown(shownPages(db, share));
  redirect(segmentPath(rootOf(access, share.buildId), revisions.at(-1)!.letter, 'brief'));
}
