'use client';

/** When a page cannot be made, nearly always because the database does not answer. */
export default function PageError({ reset }: { reset: () => void }) {
  return (
    <main style={{ maxWidth: 560, margin: '80px auto', padding: 24 }}>
      <h1>The database does not answer</h1>
      <p style={{ margin: '10px 0 18px' }}>
        Nothing is lost: what was typed stays in this browser. See that the command npm start is still running in its
        window, then try again.
      </p>
      <button type="button" onClick={reset} style={{ minHeight: 44, padding: '0 18px' }}>
        Try again
      </button>
    </main>
  );
}
