'use client';

export default function PageError({ reset }: { error: Error; reset(): void }) {
  return (
    <main className="garage">
      <h1 className="answer">This page could not be shown.</h1>
      <p style={{ marginTop: 8 }}>What was saved is safe. The database may not answer: start it, then try again.</p>
      <button type="button" className="btn" style={{ marginTop: 12 }} onClick={reset}>Try again</button>
    </main>
  );
}
