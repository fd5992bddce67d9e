import { Reset } from '@/features/account/Reset';
import { gate } from '../serverPage';

export const dynamic = 'force-dynamic';

export default async function ResetPage() {
  await gate();
  return <Reset />;
}
