'use client';
import styled from 'styled-components';

const Opened = styled.details`
  margin-top: 4px;
  color: var(--ink-soft);
  font-size: 14px;
  summary {
    cursor: pointer;
  }
  code {
    margin-right: 8px;
    font: 13px var(--mono);
  }
  @media (pointer: coarse) {
    summary {
      min-height: 44px;
      padding-top: 10px;
    }
  }
`;

/** The rules that reasons go by, by the codes that docs/rules.md has them under; opened by who wants to look one up. */
export const ByRules = ({ of }: { of: readonly { rule: string }[] }) => (
  <Opened>
    <summary>By which rules</summary>
    {[...new Set(of.map(({ rule }) => rule))].map((rule) => (
      <code key={rule}>{rule}</code>
    ))}
  </Opened>
);
