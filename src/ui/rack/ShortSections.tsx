'use client';
import styled from 'styled-components';
import { sectionKey, shortOf, type Section, type Shortage } from '@/core/rack/rack';
import { Button } from '../primitives/Button';
import { Reminder } from '../primitives/Card';
import { TextButton } from '../primitives/TextButton';
import { metres } from './metres';

const Short = styled(Reminder)`
  summary {
    padding: 6px 0;
    cursor: pointer;
  }
`;

/** Runs that are named one by one, and sections that are short at first sight. */
const NAMED = 4;
const AT_FIRST = 6;

export interface ShortSectionsProps {
  short: readonly Shortage[];
  nameOf: (section: Section) => string;
  runOf: (id: number) => string;
  onLevel: (section: Section) => void;
  onBuying: () => void;
}

/** What runs need, or the shop keeps, and the rack has not got; what the shop itself watches stands first. */
export function ShortSections({ short, onBuying, ...names }: ShortSectionsProps) {
  // What the shop itself watches stands first, then the most wanted.
  const shown = [...short].sort((a, b) => Number(b.least > 0) - Number(a.least > 0) || shortOf(b) - shortOf(a));
  const total = short.reduce((sum, shortage) => sum + shortOf(shortage), 0);
  const lines = (some: readonly Shortage[]) => (
    <ul>
      {some.map((shortage) => (
        <ShortLine key={sectionKey(shortage.section)} shortage={shortage} {...names} />
      ))}
    </ul>
  );
  return (
    <Short aria-label="Short">
      <h2>
        Short: {metres(total)} of {short.length} {short.length === 1 ? 'section' : 'sections'}
      </h2>
      {lines(shown.slice(0, AT_FIRST))}
      {short.length > AT_FIRST && (
        <details>
          <summary>{short.length - AT_FIRST} more sections are short</summary>
          {lines(shown.slice(AT_FIRST))}
        </details>
      )}
      <p style={{ marginTop: 8 }}>
        <Button onPress={onBuying}>To be bought, by supplier and day …</Button>
      </p>
    </Short>
  );
}

function ShortLine({
  shortage,
  nameOf,
  runOf,
  onLevel,
}: Omit<ShortSectionsProps, 'short' | 'onBuying'> & { shortage: Shortage }) {
  const { section, needed, least, free, runs } = shortage;
  const named = runs.slice(0, runs.length <= NAMED + 1 ? runs.length : NAMED).map(runOf);
  const more = runs.length - named.length;
  const reasons = [
    ...(needed > 0 ? [`${metres(needed)} needed for ${named.join(', ')}${more > 0 ? ` and ${more} more` : ''}`] : []),
    ...(least > 0 ? [`${metres(least)} to be kept`] : []),
  ];
  return (
    <li>
      <b>{metres(shortOf(shortage))}</b> of {nameOf(section)}: {reasons.join(', ')}, {metres(free)} free{' '}
      {least > 0 && (
        <TextButton onClick={() => onLevel(section)} aria-label={`Change how much of ${nameOf(section)} is kept`}>
          change
        </TextButton>
      )}
    </li>
  );
}
