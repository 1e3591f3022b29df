import Link from 'next/link';

export default function NotFound() {
  return (
    <main style={{ maxWidth: 560, margin: '80px auto', padding: 24 }}>
      <h1>There is nothing here</h1>
      <p style={{ margin: '10px 0 18px' }}>
        The address names no run. It may have been copied short; the board lists every run.
      </p>
      <Link href="/">To the board</Link>
    </main>
  );
}
