'use client';
import styled from 'styled-components';

/** A piece of paper on the bench: a heading and what belongs together under it. */
export const Card = styled.section`
  min-width: 0;
  padding: 12px 14px;
  overflow-x: auto;
  border: 1px solid var(--line);
  border-radius: 8px;
  background: var(--sheet);
  h2 {
    margin-bottom: 8px;
    font-size: 15px;
  }
`;

/** What somebody should see to, above what a place shows. */
export const Reminder = styled.section`
  margin-bottom: 12px;
  padding: 10px 16px;
  border: 1px solid var(--brass);
  border-radius: 8px;
  background: var(--brass-soft);
  h2 {
    margin-bottom: 4px;
    font-size: 15px;
  }
`;

/** A place where nothing is yet, with what to do first. */
export const Empty = styled.div`
  padding: 48px 20px;
  border: 1px dashed var(--ink-soft);
  border-radius: 10px;
  color: var(--ink-soft);
  text-align: center;
  h2 {
    color: var(--ink);
  }
  p {
    margin: 8px 0 18px;
  }
`;
