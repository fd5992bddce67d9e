import { redirect } from 'next/navigation';
import { SignIn } from '@/features/account/SignIn';
import { isSignUpOpen } from '../accounts/mode';
import { gate } from '../serverPage';

export const dynamic = 'force-dynamic';

export default async function SignInPage({
  searchParams,
}: {
  searchParams: Promise<Record<string, string | string[] | undefined>>;
}) {
  const { person, unclaimed } = await gate();
  if (unclaimed) redirect('/welcome');
  if (person) redirect('/');
  const { to } = await searchParams;
  return <SignIn to={typeof to === 'string' ? to : undefined} open={isSignUpOpen()} />;
}
