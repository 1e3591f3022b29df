'use client';
import styled from 'styled-components';
import { houseQuestions } from '@/core/model/shop/houseRules';
import type { Shop } from '@/core/model/shop/shop';
import { Card } from '../primitives/Card';

const Question = styled.fieldset`
  margin: 0;
  min-width: 0;
  padding: 8px 0 10px;
  border: 0;
  border-top: 1px solid var(--line);
  legend {
    float: left;
    width: 100%;
    padding: 0;
    margin-bottom: 4px;
    font-weight: 600;
  }
  .schools {
    clear: both;
    display: grid;
    grid-template-columns: repeat(auto-fit, minmax(240px, 1fr));
    gap: 6px 14px;
  }
  label {
    display: grid;
    grid-template-columns: 16px minmax(0, 1fr);
    gap: 2px 9px;
    align-content: start;
    padding: 8px 10px;
    border: 1px solid var(--line);
    border-radius: var(--round);
    cursor: pointer;
  }
  label:has(input:checked) {
    border-color: var(--blue);
    background: var(--blue-soft);
  }
  label:has(input:focus-visible) {
    outline: 2px solid var(--blue);
    outline-offset: 1px;
  }
  input {
    width: 16px;
    height: 16px;
    margin: 2px 0 0;
    accent-color: var(--blue);
  }
  small {
    grid-column: 2;
    color: var(--ink-soft);
    font-size: 13px;
  }
`;

/** The questions on which good shops differ: both schools with their reasons, and which one this house holds. */
export function HouseRulesCard({ shop, kept, onChange }: { shop: Shop; kept: Shop; onChange: (shop: Shop) => void }) {
  return (
    <Card aria-labelledby="house-rules">
      <h2 id="house-rules">House rules</h2>
      {houseQuestions.map(({ rule, question, schools }) => (
        <Question key={rule}>
          <legend>{question}</legend>
          <div className="schools">
            {schools.map(({ value, label, because }) => (
              <label key={value}>
                <input
                  type="radio"
                  name={rule}
                  checked={shop.houseRules[rule] === value}
                  onChange={() => onChange({ ...shop, houseRules: { ...shop.houseRules, [rule]: value } })}
                />
                <span>
                  {label}
                  {kept.houseRules[rule] === value && ' (as it is now)'}
                </span>
                <small>{because}</small>
              </label>
            ))}
          </div>
        </Question>
      ))}
    </Card>
  );
}
