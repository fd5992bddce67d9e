import { redirect } from 'next/navigation';
import { workshopsOf } from '@/db/queries/members';
import { AccountPage } from '@/features/account/AccountPage';
import { AccessProvider } from '@/features/session/access';
import { accessOf, gate, shown, visitOrNone } from '../serverPage';

export const dynamic = 'force-dynamic';

export default async function Account() {
  const { db, person } = await gate();
  if (!person) redirect('/sign-in?to=%2Faccount');
  const [workshops, visitor] = await Promise.all([shown(workshopsOf(db, person.id)), visitOrNone()]);
  const page = <AccountPage person={person} workshops={workshops} current={visitor?.workshopId} />;
  return visitor ? <AccessProvider access={await accessOf(visitor)}>{page}</AccessProvider> : page;
}
