/** The sign of the shop: three shingles, one over the other. */
export function Mark({ size = 30 }: { size?: number }) {
  return (
    <svg width={size} height={size * 0.6} viewBox="0 0 30 18" aria-hidden>
      <rect x="0.5" y="0.5" width="14" height="7" rx="1.5" fill="var(--brass-soft)" stroke="var(--ink)" />
      <rect x="7.5" y="5.5" width="14" height="7" rx="1.5" fill="var(--brass)" stroke="var(--ink)" />
      <rect x="15.5" y="10.5" width="14" height="7" rx="1.5" fill="var(--ink)" stroke="var(--ink)" />
    </svg>
  );
}
