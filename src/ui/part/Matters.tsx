'use client';
import { capital } from '@/core/model/words';
import styled from 'styled-components';
import { criticalDimensions } from '@/core/model/part/critical';
import { sayFace } from '@/core/read/lengths/faces';
import type { Plan } from '@/core/plan/plan';
import { formatLength } from '@/core/model/units/length';
import { Card } from '../primitives/Card';

const Table = styled.table`
  width: 100%;
  border-collapse: collapse;
  font-size: 14px;
  th,
  td {
    padding: 4px 8px 4px 0;
    border-bottom: 1px solid var(--line);
    text-align: left;
    vertical-align: top;
  }
  th {
    color: var(--ink-soft);
    font-weight: 400;
    font-size: 13px;
  }
  tbody th {
    color: var(--ink);
  }
  td.figure {
    font-family: var(--mono);
    white-space: nowrap;
  }
`;

/** Lengths of the drawing in which several stops add up, or that are measured, with what they come to. */
function AddedUp({ plan: { lengths, run } }: { plan: Plan }) {
  const { part, units } = run;
  const links = lengths.links.filter(({ errors, measured }) => errors.length > 1 || measured);
  if (links.length === 0) return null;
  const named = (face: number) => sayFace(face, part.steps).replace(/^the /, '');
  return (
    <Table aria-label="Lengths that add up" style={{ marginTop: 10 }}>
      <thead>
        <tr>
          <th scope="col">From, to</th>
          <th scope="col">Drawn</th>
          <th scope="col">Comes to</th>
        </tr>
      </thead>
      <tbody>
        {links.map(({ path, from, to, size, allowed, resulting, measured }) => (
          <tr key={`${path} ${from} ${to}`}>
            <th scope="row">
              {capital(named(from))}, {named(to)}
            </th>
            <td className="figure">
              {formatLength(size.nominal, units)} ±{formatLength(allowed, units, true)}
            </td>
            <td>
              <span style={{ fontFamily: 'var(--mono)' }}>±{formatLength(resulting, units, true)}</span>
              {measured && ', measured and cut to'}
            </td>
          </tr>
        ))}
      </tbody>
    </Table>
  );
}

/** Which dimensions matter and why, and from where each length is worked: the rest is not worth the time. */
export function Matters({ plan, onMark }: { plan: Plan; onMark: (path: string | undefined) => void }) {
  const { part, units } = plan.run;
  const critical = criticalDimensions(part, units);
  return (
    <>
      <Card aria-labelledby="critical">
        <h2 id="critical">What matters, and why</h2>
        {critical.length === 0 ? (
          <p>Nothing but the general tolerances. Tick a step as critical when something hangs on it.</p>
        ) : (
          <Table aria-labelledby="critical">
            <tbody>
              {critical.map(({ path, what, because }) => (
                <tr key={path + what} onMouseEnter={() => onMark(path)} onMouseLeave={() => onMark(undefined)}>
                  <th scope="row">{what}</th>
                  <td>{because.join('; ')}</td>
                </tr>
              ))}
            </tbody>
          </Table>
        )}
      </Card>
      <Card aria-labelledby="worked">
        <h2 id="worked">Lengths as they are worked</h2>
        <Table aria-labelledby="worked">
          <thead>
            <tr>
              <th scope="col">Face</th>
              <th scope="col">Set-up</th>
              <th scope="col">Aim at, from</th>
              <th scope="col">Within</th>
            </tr>
          </thead>
          <tbody>
            {plan.lengths.faces.map(({ face, setup, from, distance, within }) => (
              <tr key={face}>
                <th scope="row">{capital(sayFace(face, part.steps).replace(/^the /, ''))}</th>
                <td className="figure">{setup}</td>
                <td className="figure">
                  {formatLength(distance, units, true)} {from}
                </td>
                <td className="figure">±{formatLength(within, units, true)}</td>
              </tr>
            ))}
          </tbody>
        </Table>
        <AddedUp plan={plan} />
      </Card>
    </>
  );
}
