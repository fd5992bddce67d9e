import { redirect } from 'next/navigation';
import { Welcome } from '@/features/account/Welcome';
import { gate } from '../serverPage';

export const dynamic = 'force-dynamic';

export default async function WelcomePage() {
  const { unclaimed } = await gate();
  if (!unclaimed) redirect('/sign-in');
  return <Welcome />;
}
