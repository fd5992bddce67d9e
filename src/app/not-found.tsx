import Link from 'next/link';

export default function NotFound() {
  return (
    <main className="garage">
      <h1 className="answer">There is nothing at this address.</h1>
      <p style={{ marginTop: 8 }}>
        The build, revision or page may have been deleted or renamed. <Link href="/">Go to the garage</Link>{' '}
        and choose from there.
      </p>
    </main>
  );
}
