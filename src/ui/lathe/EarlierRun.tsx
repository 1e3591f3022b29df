'use client';
import { format } from 'date-fns';
import { useEffect, useState } from 'react';
import styled from 'styled-components';
import type { Happening } from '@/core/lathe/events';
import type { Earlier } from '@/core/lathe/proved';
import { SIGN_WORDS } from '@/core/lathe/signs';
import { formatLength } from '@/core/model/units/length';
import type { PlannedSetup } from '@/core/plan/times/planTimes';
import { ask } from '../primitives/ask';
import { PlaceLink } from '../run/PlaceLink';
import { Big } from './parts';

const Before = styled.section`
  flex: none !important;
  margin-bottom: 16px;
  padding: 12px 16px;
  border: 1px solid var(--line);
  border-left: 6px solid var(--blue);
  background: var(--sheet);
  font-size: 17px;
  h2 {
    font-size: 17px;
  }
  li {
    margin: 4px 0;
  }
  b {
    font-family: var(--mono);
  }
`;

/** What of it is about operations of this set-up, each with its name. */
const inSetup = <T extends { operation: string }>({ operations }: PlannedSetup, all: readonly T[]) =>
  all.flatMap((one) => {
    const operation = operations.find(({ key }) => key === one.operation);
    return operation ? [{ ...one, name: `${operation.number} ${operation.name}` }] : [];
  });

function rowsOf({ proved: { moved, changed, helped } }: Earlier, planned: PlannedSetup) {
  const { units } = planned.setup.run;
  return [
    ...inSetup(planned, moved).map(({ name, place, by, what }) => ({
      key: place,
      words: `${name}: ${place} was moved${what ? ` for ${what}` : ''} by`,
      figure: `${by > 0 ? '+' : ''}${formatLength(by, units, true)} ${units}`,
    })),
    ...inSetup(planned, changed).map(({ name, what, to }) => ({
      key: name + what,
      words: `${name}: ${what} was changed to`,
      figure: to,
    })),
    ...inSetup(planned, helped).map(({ name, sign, cause }) => ({
      key: name + sign,
      words: `${name}, ${SIGN_WORDS[sign]}: helped by`,
      figure: cause,
    })),
  ];
}

interface Props {
  id: string;
  planned: PlannedSetup;
  onHappened: (happening: Happening, operation: string) => void;
}

/**
 * What the run of this part before proved in this set-up, beside what is planned; how it cut is taken over by a press, and where its stops and
 * presets stood by another: a touch-off of its own may want something else, so that the first piece is measured all the same.
 */
export function EarlierRun({ id, planned, onHappened }: Props) {
  const [earlier, setEarlier] = useState<Earlier>();
  const [taken, setTaken] = useState({ cuts: false, settings: false });
  useEffect(() => {
    let over = false;
    // Without a net nothing is known of other runs, and the plan stands by itself.
    void ask<{ earlier?: Earlier }>('GET', `/api/runs/${id}/earlier`).then((answer) => {
      if (!over && answer.ok) setEarlier(answer.value.earlier);
    });
    return () => {
      over = true;
    };
  }, [id]);
  if (!earlier) return null;
  const rows = rowsOf(earlier, planned);
  const cuts = inSetup(planned, earlier.proved.changed);
  const settings = inSetup(planned, earlier.proved.moved);
  if (rows.length === 0) return null;
  const takeCuts = () => {
    for (const { operation, what, to } of cuts) onHappened({ kind: 'changed', what, to }, operation);
    setTaken((was) => ({ ...was, cuts: true }));
  };
  const takeSettings = () => {
    for (const { operation, place, by, what } of settings)
      onHappened({ kind: 'corrected', place, by, ...(what === undefined ? {} : { what }) }, operation);
    setTaken((was) => ({ ...was, settings: true }));
  };
  return (
    <Before aria-labelledby="before">
      <h2 id="before">
        Proved the last time, {format(new Date(earlier.at), 'd MMM yyyy')}, in{' '}
        <PlaceLink id={String(earlier.run)} place="log">
          run {earlier.run}
        </PlaceLink>
      </h2>
      <ul>
        {rows.map(({ key, words, figure }) => (
          <li key={key}>
            {words} <b>{figure}</b>
          </li>
        ))}
      </ul>
      {cuts.length > 0 && (
        <Big onPress={takeCuts} isDisabled={taken.cuts}>
          {taken.cuts ? 'Taken over' : 'Cut so again'}
        </Big>
      )}{' '}
      {settings.length > 0 && (
        <Big onPress={takeSettings} isDisabled={taken.settings}>
          {taken.settings ? 'Set so; the first piece proves it' : 'Set stops and presets so again'}
        </Big>
      )}
    </Before>
  );
}
