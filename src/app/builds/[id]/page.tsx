import { redirect } from 'next/navigation';
import { wholeBuild } from '@/db/queries/builds';
import { shown, visit } from '../../serverPage';

export const dynamic = 'force-dynamic';

export default async function BuildPage({ params }: { params: Promise<{ id: string }> }) {
  const { id } = await params;
  const { db, workshopId } = await visit();
  const { revisions, build } = await shown(wholeBuild(db, workshopId, id));
  redirect(`/builds/${build.id}/${revisions.at(-1)!.letter}/brief`);
}
