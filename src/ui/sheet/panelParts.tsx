'use client';
import { CircleAlert, TriangleAlert } from 'lucide-react';
import type { ReactNode } from 'react';
import styled from 'styled-components';
import type { Caution } from '@/core/model/words';

/** The panel beside the sheet. */
export const Card = styled.aside`
  /* What is only heard lies in it, and not below the page. */
  position: relative;
  display: flex;
  flex-direction: column;
  min-height: 0;
  max-height: calc(100vh - 152px);
  @media (max-width: 980px) {
    max-height: none;
  }
  border: 1px solid var(--line);
  border-radius: 8px;
  background: var(--sheet);
  overflow: auto;
  > header {
    position: sticky;
    top: 0;
    padding: 10px 16px;
    border-bottom: 3px solid var(--blue);
    background: var(--blue-soft);
  }
  > header h2 {
    color: var(--blue);
    font-size: 18px;
  }
  > header p {
    color: var(--ink-soft);
    font-size: 13px;
  }
  > p {
    padding: 10px 16px 14px;
    color: var(--ink-soft);
    font-size: 13px;
  }
`;

/** One of its parts, under a heading. */
export const Part = styled.section`
  padding: 10px 16px 2px;
  h3 {
    display: flex;
    align-items: center;
    gap: 10px;
    margin-bottom: 4px;
    font-size: 14px;
  }
  h3::after {
    content: '';
    flex: 1;
    border-top: 1px solid var(--line);
  }
  dl {
    display: grid;
    grid-template-columns: 1fr auto;
    gap: 3px 10px;
    align-items: baseline;
  }
  dt {
    color: var(--ink-soft);
  }
  dd {
    font-family: var(--mono);
    text-align: right;
  }
  dd.big {
    font-size: 19px;
    font-weight: 700;
  }
  dd.big.first {
    color: var(--blue);
    font-size: 22px;
  }
  table {
    width: 100%;
    border-collapse: collapse;
  }
  th {
    color: var(--ink-soft);
    font-weight: 400;
    font-size: 13px;
    text-align: right;
  }
  th:first-child,
  td:first-child {
    text-align: left;
  }
  td {
    padding: 2px 0;
    font-family: var(--mono);
    text-align: right;
  }
  tr.note td {
    padding: 0 0 4px;
    color: var(--ink-soft);
    font: 13px var(--sans);
    text-align: right;
  }
  tr[aria-current='true'] {
    background: var(--blue-soft);
    color: var(--blue);
    font-weight: 700;
  }
  tr {
    cursor: pointer;
  }
  li {
    display: flex;
    gap: 8px;
    margin: 4px 0;
    line-height: 1.35;
  }
  li svg {
    flex: none;
    margin-top: 2px;
  }
  li code {
    color: var(--ink-soft);
    font: 12px var(--mono);
  }
`;

/** A name and its figure. */
export const Line = ({ name, children, className }: { name: string; children: ReactNode; className?: string }) => (
  <>
    <dt>{name}</dt>
    <dd className={className}>{children}</dd>
  </>
);

/** A line with a sign before it. */
export const Item = ({ icon, children }: { icon: ReactNode; children: ReactNode }) => (
  <li>
    {icon}
    <span>{children}</span>
  </li>
);

/** Warnings of the plan, then usual cautions and likely mistakes. */
export function Mind({ warnings, cautions }: { warnings: string[]; cautions: Caution[] }) {
  return (
    <>
      <Part>
        <h3>Mind</h3>
        <ul>
          {warnings.map((text) => (
            <Item key={text} icon={<CircleAlert size={15} color="var(--oxide)" aria-label="Warning" />}>
              <strong>{text}</strong>
            </Item>
          ))}
          {cautions.map(({ kind, text }) => (
            <Item
              key={text}
              icon={
                kind === 'danger' ? (
                  <TriangleAlert size={15} color="var(--oxide)" aria-label="Danger" />
                ) : (
                  <CircleAlert size={15} color="var(--ink-soft)" aria-label="Likely mistake" />
                )
              }
            >
              {text}
            </Item>
          ))}
        </ul>
      </Part>
      <p>The shop’s rules, the machine’s manual and local law come first.</p>
    </>
  );
}
