/** Hatches, so that what is cut, held or still to go never shows by colour alone. */
export function Hatches() {
  return (
    <defs>
      <pattern id="hatch-cut" width="7" height="7" patternUnits="userSpaceOnUse" patternTransform="rotate(45)">
        <rect width="7" height="7" fill="var(--brass-soft)" />
        <line x1="0" y1="0" x2="0" y2="7" stroke="var(--brass)" strokeWidth="3" />
      </pattern>
      <pattern id="hatch-stock" width="7" height="7" patternUnits="userSpaceOnUse" patternTransform="rotate(45)">
        <line x1="0" y1="0" x2="0" y2="7" stroke="var(--brass)" strokeWidth="1.1" />
      </pattern>
      <pattern id="hatch-came" width="6" height="6" patternUnits="userSpaceOnUse" patternTransform="rotate(45)">
        <line x1="0" y1="0" x2="0" y2="6" stroke="var(--blue)" strokeWidth="1.2" />
        <line x1="0" y1="0" x2="6" y2="0" stroke="var(--blue)" strokeWidth="1.2" />
      </pattern>
      <pattern id="hatch-hand" width="6" height="6" patternUnits="userSpaceOnUse" patternTransform="rotate(-45)">
        <line x1="0" y1="0" x2="0" y2="6" stroke="var(--ink-soft)" strokeWidth="1" opacity="0.6" />
      </pattern>
      <pattern id="hatch-knurl" width="3" height="3" patternUnits="userSpaceOnUse" patternTransform="rotate(45)">
        <path d="M0 0V3M0 0H3" stroke="var(--ink)" strokeWidth="1" fill="none" />
      </pattern>
      <pattern id="hatch-jaws" width="6" height="6" patternUnits="userSpaceOnUse" patternTransform="rotate(45)">
        <rect width="6" height="6" fill="var(--metal)" />
        <line x1="0" y1="0" x2="0" y2="6" stroke="var(--ink-soft)" strokeWidth="1" />
      </pattern>
    </defs>
  );
}
