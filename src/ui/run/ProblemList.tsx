'use client';
import type { Problem } from '@/core/model/result';
import { entryName } from './entryName';

/** What is in the way of a plan, entry by entry, in words. */
export const ProblemList = ({ problems }: { problems: Problem[] }) => (
  <ul>
    {problems.map(({ path, message }) => (
      <li key={path + message}>
        <strong>{entryName(path)}</strong> {message}
      </li>
    ))}
  </ul>
);
