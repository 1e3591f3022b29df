'use client';
import { sayFigure } from '@/core/model/units/mark';
import { useMemo, useState } from 'react';
import styled from 'styled-components';
import type { Tile } from '@/core/ask/trial';
import type { Happening } from '@/core/lathe/events';
import type { Progress } from '@/core/lathe/progress';
import type { TimedOperation } from '@/core/plan/times/planTimes';
import { Choice, Field } from '../primitives/Field';
import { Window } from '../primitives/Window';
import { PlaceLink } from '../run/PlaceLink';
import { useWorkspace } from '../run/WorkspaceContext';
import { MeasureTable } from '../sheet/MeasureTable';
import { trialOf, wrongIn } from '../sheet/trialTexts';
import { useTried } from '../sheet/useTried';
import { Big } from './parts';

const Figures = styled.div`
  display: grid;
  grid-template-columns: repeat(auto-fit, minmax(150px, 1fr));
  gap: 8px 14px;
  margin-bottom: 10px;
  input,
  select {
    min-height: 56px;
    font-size: 18px;
  }
`;

/** What is set at the machine: a figure each, as the fields of a trial call them. */
const FIGURES = ['speed', 'feed', 'depth'] as const;

interface Props {
  setup: number;
  operation: TimedOperation;
  changed: Progress['changed'];
  onHappened: (happening: Happening) => void;
  onClose: () => void;
}

/** What becomes of what is kept here, and where what is not of a cut is decided. */
const WhatIsKept = ({ id }: { id: string }) => (
  <p style={{ margin: '8px 0' }}>
    What is kept stands at this operation from now on, and in the log; the plan is left as it is. Another order is among
    what happened; another holding is decided on the{' '}
    <PlaceLink id={id} place="">
      sheet
    </PlaceLink>
    : what is saved there is worked by here.
  </p>
);

/** What an operation really cuts with: the limits are looked at again before it is done so, and what is kept stays with the run. */
export function OtherwiseWindow({ setup, operation, changed, onHappened, onClose }: Props) {
  const { id, shop, planned } = useWorkspace();
  const { key, tool, kind } = operation;
  const run = planned.answer?.plan?.run;
  const units = run?.units ?? 'mm';
  const before = (what: string) => changed.get(`${key} ${what}`) ?? '';
  const tools = shop.tools.filter(({ id, archived, does }) => id === tool.id || (!archived && does.includes(kind)));
  const planTool = shop.tools.find(({ id }) => id === tool.id)?.name ?? tool.name;
  const toolBefore = shop.tools.find(({ name }) => name === before('tool'))?.id ?? tool.id;
  const [texts, setTexts] = useState({
    speed: before('speed'),
    feed: before('feed'),
    depth: before('depth'),
    nose: '',
    edge: '',
    stickOut: '',
  });
  const [cutWith, setCutWith] = useState(toolBefore);
  const tile = useMemo<Tile>(() => ({ key, setup: setup as Tile['setup'] }), [key, setup]);
  const trial = useMemo(
    () => trialOf(texts, cutWith === tool.id ? undefined : cutWith, units),
    [texts, cutWith, tool.id, units],
  );
  const { now, tried } = useTried(tile, trial);
  const wrong = FIGURES.some((field) => wrongIn(field, texts[field], units));
  const isOther = Object.keys(trial.cut).length > 0 || trial.tool !== undefined;
  const keep = () => {
    // Emptied again, it is what was planned.
    const plannedOf = { speed: now?.speed, feed: now?.feed, depth: now?.depth };
    for (const what of FIGURES)
      if (texts[what].trim() !== before(what))
        onHappened({ kind: 'changed', what, to: texts[what].trim() || String(plannedOf[what] ?? 'as planned') });
    const name = tools.find(({ id }) => id === cutWith)?.name ?? planTool;
    if (cutWith !== toolBefore) onHappened({ kind: 'changed', what: 'tool', to: name });
    onClose();
  };
  const LABELS = { speed: 'Speed, rev/min', feed: 'Feed, mm/rev', depth: `Depth of a pass, ${units}` };
  return (
    <Window title={`${operation.number} ${operation.name}: cut otherwise`} open onClose={onClose}>
      <Figures>
        {FIGURES.filter((what) => what !== 'depth' || now?.takesDepth).map((what) => (
          <Field
            key={what}
            label={LABELS[what]}
            value={texts[what]}
            placeholder={now ? sayFigure(now[what], 3) : ''}
            problem={wrongIn(what, texts[what], units)}
            onChange={(text) => setTexts((was) => ({ ...was, [what]: text }))}
          />
        ))}
        {tools.length > 1 && (
          <Choice label="Tool" value={cutWith} onChange={setCutWith}>
            {tools.map(({ id, name }) => (
              <option key={id} value={id}>
                {name}
              </option>
            ))}
          </Choice>
        )}
      </Figures>
      {isOther && tried && !tried.ok && (
        <p role="alert" style={{ color: 'var(--oxide)' }}>
          The planner would not cut so: {tried.because}
        </p>
      )}
      {now && <MeasureTable now={now} then={isOther && tried?.ok ? tried.state : undefined} />}
      {isOther && tried?.ok && tried.state.warnings.map((words) => <strong key={words}>{words}</strong>)}
      <WhatIsKept id={id} />
      <Big $strong isDisabled={wrong} onPress={keep}>
        Keep: it is cut so
      </Big>
    </Window>
  );
}
