'use client';
import { useEffect, useState } from 'react';
import type { StopsAsked } from '@/core/ask/stopsAsked';
import { formatLength, type UnitSystem } from '@/core/model/units/length';
import { standsAt, type Pin } from '@/core/plan/stops/planStops';
import { sayMinutes } from '@/core/model/units/show';
import type { PlannedSetup } from '@/core/plan/times/planTimes';
import { otherWords, pinWords } from '@/core/present/stop';
import { Table } from '../primitives/Table';
import { Window } from '../primitives/Window';
import { useWorkspace } from '../run/WorkspaceContext';

/** What its tool would do at the deepest station of the set-up. */
function wrongStop(pin: Pin, deepest: number, units: UnitSystem): string {
  if (pin.means !== 'station' || deepest <= pin.setting) return 'goes no deeper';
  const by = `${formatLength(deepest - pin.setting, units)} deeper`;
  return pin.spoils === undefined ? `${by}, clear` : `${by}, into the work`;
}

/** Every stop of a set-up with how closely it repeats and what else would do, and what one more would save over the batch. */
export function StopsWindow({ planned, onClose }: { planned: PlannedSetup; onClose: () => void }) {
  const { file, stops } = useWorkspace();
  const [asked, setAsked] = useState<StopsAsked>();
  useEffect(() => {
    let over = false;
    void stops(file).then((answer) => over || setAsked(answer));
    return () => {
      over = true;
    };
  }, [file, stops]);
  const { units } = planned.setup.run;
  const deepest = Math.max(...planned.pins.flatMap((pin) => (pin.means === 'station' ? [standsAt(pin)] : [])));
  return (
    <Window title={`Stops of set-up ${planned.setup.number}`} open onClose={onClose}>
      {!asked && <p role="status">Asking what else would do …</p>}
      {asked && (
        <>
          <Table>
            <thead>
              <tr>
                <th scope="col">Stop</th>
                <th scope="col" className="figure">
                  at, {units}
                </th>
                <th scope="col">by</th>
                <th scope="col" className="figure">
                  ±, {units}
                </th>
                <th scope="col">a wrong stop</th>
                <th scope="col">next best</th>
                <th scope="col" className="figure">
                  more, batch
                </th>
              </tr>
            </thead>
            <tbody>
              {planned.pins.map((pin) => {
                const next = asked.next[pin.operations[0] ?? ''];
                return (
                  <tr key={pin.letter}>
                    <th scope="row">{pin.letter}</th>
                    <td className="figure">{formatLength(pin.setting, units, pin.fine)}</td>
                    <td>{pinWords(pin, units)}</td>
                    <td className="figure">{formatLength(pin.spread / 2, units, true)}</td>
                    <td>{wrongStop(pin, deepest, units)}</td>
                    <td>{next ? otherWords(next.means, pin.axis, next.with, units) : 'nothing else'}</td>
                    <td className="figure">{next ? sayMinutes(next.minutes) : ''}</td>
                  </tr>
                );
              })}
            </tbody>
          </Table>
          {asked.more.map(({ what, saves }) => (
            <p key={what} style={{ marginTop: 10 }}>
              One {what} more would save <b>{sayMinutes(saves)}</b> of this batch.
            </p>
          ))}
          <p style={{ marginTop: 10 }}>
            {asked.order < 0.05
              ? 'No other order of the operations would save anything on stops.'
              : `Another order of the operations could save at most ${sayMinutes(asked.order)} on stops, whatever means it had.`}
          </p>
          {asked.more.length === 0 && (
            <p style={{ marginTop: 10 }}>One more station, preset or stop of the quill would save nothing here.</p>
          )}
        </>
      )}
    </Window>
  );
}
