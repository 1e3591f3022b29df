'use client';
import { Download } from 'lucide-react';
import { useState } from 'react';
import { stopsCsv } from '@/core/formats/stopsCsv';
import { Button } from '../primitives/Button';
import { download } from '../primitives/download';
import styled from 'styled-components';
import type { Plan } from '@/core/plan/plan';
import { KIT_FOR, kitOf, type KitItem } from '@/core/present/kit';
import type { PlannedSetup } from '@/core/plan/times/planTimes';
import { settingSheet } from '@/core/present/settingSheet';
import { Cols } from './Cols';
import { Paper } from './Paper';

const COLUMNS = ['8mm', '56mm', 'auto', '26mm'];

/** A line to tick, with the finger or with a pencil. */
const Tick = styled.input`
  width: 4.2mm;
  height: 4.2mm;
  margin: 0.6mm 0 0;
  appearance: none;
  border: 0.4mm solid #000;
  border-radius: 0.6mm;
  background: #fff;
  &:checked {
    background:
      linear-gradient(45deg, transparent 44%, #000 44% 56%, transparent 56%),
      linear-gradient(-45deg, transparent 44%, #000 44% 56%, transparent 56%);
  }
  &:focus-visible {
    outline: 2px solid #000;
    outline-offset: 2px;
  }
`;

const Columns = styled.div`
  columns: 2;
  column-gap: 8mm;
  section {
    break-inside: avoid;
    margin-top: 2.5mm;
  }
  h3 {
    font-size: 11pt;
    border-bottom: 1px solid #000;
  }
  li {
    display: grid;
    grid-template-columns: auto auto minmax(0, 1fr);
    gap: 2mm;
    padding: 0.7mm 0;
    list-style: none;
  }
  ul {
    padding: 0;
    margin: 0;
  }
  small {
    display: block;
  }
`;

/** What is ticked, by its name. */
function useTicks() {
  const [ticked, setTicked] = useState<ReadonlySet<string>>(new Set());
  return (name: string) => ({
    checked: ticked.has(name),
    onChange: () =>
      setTicked(
        (before) => new Set(before.has(name) ? [...before].filter((other) => other !== name) : [...before, name]),
      ),
  });
}

const STANDS = { yes: '', no: 'not there: get it', make: 'to make first' };
const standing = ({ has }: KitItem): string => (has === true ? STANDS.yes : has === false ? STANDS.no : STANDS.make);

type Ticks = ReturnType<typeof useTicks>;

/** What is laid out, by what it is for. */
function PrintedKit({ plan, ticks }: { plan: Plan; ticks: Ticks }) {
  const kit = kitOf(plan);
  const groups = (Object.keys(KIT_FOR) as KitItem['for'][]).flatMap((name) => {
    const items = kit.filter((item) => item.for === name);
    return items.length > 0 ? [{ name, items }] : [];
  });
  return (
    <section>
      <h2>Kit: out before it begins, back when it is done</h2>
      <Columns>
        {groups.map(({ name, items }) => (
          <section key={name}>
            <h3>{KIT_FOR[name]}</h3>
            <ul>
              {items.map((item) => (
                <li key={item.what}>
                  <Tick type="checkbox" aria-label={`${item.what}, out`} {...ticks(`out ${item.what}`)} />
                  <Tick type="checkbox" aria-label={`${item.what}, back`} {...ticks(`back ${item.what}`)} />
                  <span>
                    {item.what}
                    {item.place && ` · ${item.place}`}
                    {standing(item) && (
                      <small>
                        <b>▲ {standing(item)}</b>
                      </small>
                    )}
                  </span>
                </li>
              ))}
            </ul>
          </section>
        ))}
      </Columns>
    </section>
  );
}

/** The steps of one set-up. */
function PrintedSteps({ planned, ticks }: { planned: PlannedSetup; ticks: Ticks }) {
  const { number, holding, end } = planned.setup;
  return (
    <section>
      <h2>
        Set-up {number}: {holding.words}, from the {end}
      </h2>
      <table aria-label={`Setting set-up ${number}`}>
        <Cols widths={COLUMNS} />
        <tbody>
          {settingSheet(planned).map(({ step, tool, what, over, text }) => (
            <tr key={step}>
              <td>
                <Tick type="checkbox" aria-label={`Set-up ${number}, step ${step}`} {...ticks(`${number} ${step}`)} />
              </td>
              <td>{tool}</td>
              <td>
                {what}
                {over && `, over ${over}`}
              </td>
              <td className="figure big">{text}</td>
            </tr>
          ))}
        </tbody>
      </table>
    </section>
  );
}

/** How the machine is set, set-up by set-up, and the kit: laid out before, put back after. */
export function PrintedSetting({ plan }: { plan: Plan }) {
  const { run, setups } = plan;
  const { part, units, shop } = run;
  const ticks = useTicks();
  const name = part.number || 'run';
  return (
    <Paper>
      <Button
        className="screen-only"
        style={{ float: 'right', marginLeft: 12 }}
        onPress={() => download(`${name}-stops.csv`, stopsCsv(setups), 'text/csv')}
      >
        <Download size={15} aria-hidden /> Stops as CSV
      </Button>
      <div className="head">
        <div>
          <h1>{part.name || part.number}</h1>
          <p>
            {part.number}
            {part.revision && ` · revision ${part.revision}`} · setting {shop.machine.name} · lengths in {units}, from
            the face towards the chuck
          </p>
        </div>
        <div className="off">{run.quantity} off</div>
      </div>
      <PrintedKit plan={plan} ticks={ticks} />
      {setups.map((planned) => (
        <PrintedSteps key={planned.setup.number} planned={planned} ticks={ticks} />
      ))}
      <div className="foot">
        Spindle stopped and out of gear while anything is set. The shop’s rules, the machine’s manual and local law come
        first.
      </div>
    </Paper>
  );
}
