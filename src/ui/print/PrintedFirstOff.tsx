'use client';
import styled from 'styled-components';
import { sizeKey } from '@/core/lathe/progress';
import type { Plan } from '@/core/plan/plan';
import { firstOffSizes } from '@/core/present/firstOff';
import { Cols } from './Cols';
import { Paper } from './Paper';

/** Lines to write on. */
const Blanks = styled.p`
  display: flex;
  flex-wrap: wrap;
  gap: 3mm 8mm;
  margin: 3mm 0;
  span {
    flex: 1 1 38mm;
    padding-bottom: 5mm;
    border-bottom: 0.3mm solid #000;
    font-size: 10pt;
  }
`;

const Sizes = styled.table`
  td {
    height: 9mm;
    vertical-align: middle;
  }
  td.write {
    border-left: 0.2mm solid #000;
  }
`;

const COLUMNS = ['11mm', 'auto', '40mm', '28mm', '21mm', '21mm', '14mm'];

/**
 * The first piece, size by size, with room for what it measured, once more after a correction, and who looked; what was measured at
 * the lathe stands there already.
 * @param is what a size of the first piece was, by what is measured where (`sizeKey`)
 */
export function PrintedFirstOff({ plan, is }: { plan: Plan; is?: ReadonlyMap<string, string> }) {
  const { run, setups } = plan;
  const { part, units, shop } = run;
  const sizes = firstOffSizes(plan);
  return (
    <Paper>
      <div className="head">
        <div>
          <h1>First-off: {part.name || part.number}</h1>
          <p>
            {part.number}
            {part.revision && ` · revision ${part.revision}`} · {shop.machine.name} · sizes in {units}, at 20 °C
          </p>
        </div>
        <div className="off">{run.quantity} off</div>
      </div>
      <Blanks>
        <span>Made by</span>
        <span>Measured by</span>
        <span>Date and time</span>
        <span>Bar or heat</span>
      </Blanks>
      {setups.map(({ setup }) => (
        <section key={setup.number}>
          <h2>
            Set-up {setup.number}: {setup.holding.words}, from the {setup.end}
          </h2>
          <Sizes aria-label={`Sizes of set-up ${setup.number}`}>
            <Cols widths={COLUMNS} />
            <thead>
              <tr>
                <th>op</th>
                <th>size</th>
                <th>limits</th>
                <th>with</th>
                <th>is</th>
                <th>corrected</th>
                <th>by</th>
              </tr>
            </thead>
            <tbody>
              {sizes
                .filter((size) => size.setup === setup.number)
                .map(({ key, operation, after, what, limits, gauge }) => (
                  <tr key={`${operation} ${what}`}>
                    <td className="figure">{operation}</td>
                    <td>
                      {what}
                      <small>{after}</small>
                    </td>
                    <td>
                      <b style={{ whiteSpace: 'nowrap' }}>{limits}</b>
                    </td>
                    <td>{gauge ?? 'nothing in the list'}</td>
                    <td className="write figure" aria-label="is">
                      {is?.get(sizeKey(key, what))}
                    </td>
                    <td className="write" aria-label="corrected" />
                    <td className="write" aria-label="by" />
                  </tr>
                ))}
            </tbody>
          </Sizes>
        </section>
      ))}
      <Blanks>
        <span>Good to go on: name, time</span>
        <span>What was corrected, and by how much</span>
      </Blanks>
      <div className="foot">Spindle stopped to measure. Warm pieces measure large: let them come to 20 °C first.</div>
    </Paper>
  );
}
