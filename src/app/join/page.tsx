import { Join } from '@/features/account/Join';
import { gate } from '../serverPage';

export const dynamic = 'force-dynamic';

export default async function JoinPage() {
  const { person } = await gate();
  return <Join email={person?.email} />;
}
