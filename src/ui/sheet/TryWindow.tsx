'use client';
import { sayFigure } from '@/core/model/units/mark';
import { useMemo, useState } from 'react';
import styled from 'styled-components';
import { EDGES } from '@/core/model/shop/material';
import { formatNominal, type UnitSystem } from '@/core/model/units/length';
import { withTrial, type Tile } from '@/core/ask/trial';
import type { CutState } from '@/core/ask/whatIf';
import { Button } from '../primitives/Button';
import { Choice, Field } from '../primitives/Field';
import { Window } from '../primitives/Window';
import { useWorkspace } from '../run/WorkspaceContext';
import { MeasureTable } from './MeasureTable';
import { decidedTexts, trialOf, valueOf, wrongIn, type TrialTexts } from './trialTexts';
import { useTried } from './useTried';

const Wishes = styled.div`
  display: grid;
  grid-template-columns: repeat(3, minmax(0, 1fr));
  gap: 4px 16px;
  margin-bottom: 10px;
  input[type='range'] {
    width: 100%;
    min-height: 30px;
    accent-color: var(--blue);
  }
`;

/** How far the work may be moved out from where it stands, mm a step, and how many of them. */
const OUT = { step: 1, steps: 40 };

interface Props {
  /** Its tool by the id that the list has. */
  operation: { number: number; name: string; tool: string; kind: string };
  tile: Tile;
  onClose: () => void;
}

/** An operation tried otherwise: everything that moves with it, against its limits; kept, or left as it is planned. */
export function TryWindow({ operation, tile, onClose }: Props) {
  const { file, edit, planned } = useWorkspace();
  const { number, name, kind } = operation;
  const units: UnitSystem = planned.answer?.plan?.run.units ?? 'mm';
  const [texts, setTexts] = useState(() => decidedTexts(file, tile, units));
  const [tool, setTool] = useState(operation.tool);
  const other = tool === operation.tool ? undefined : tool;
  const trial = useMemo(() => trialOf(texts, other, units), [texts, other, units]);
  const { now, tried } = useTried(tile, trial);
  const then = tried?.ok ? tried.state : undefined;
  const keep = () => {
    edit(undefined, (run) => {
      run.overrules = withTrial(run.overrules ?? [], tile, trial);
    });
    onClose();
  };
  const changed = Object.keys(trial.cut).length > 0 || trial.tool !== undefined || trial.stickOut !== undefined;
  const wrong = (Object.keys(texts) as (keyof TrialTexts)[]).some((field) => wrongIn(field, texts[field], units));
  return (
    <Window title={`Try ${number} ${name} otherwise`} open onClose={onClose}>
      <Wished
        kind={kind}
        now={now}
        is={then ?? now}
        texts={texts}
        onTexts={setTexts}
        tool={tool}
        onTool={setTool}
        units={units}
      />
      {tried && !tried.ok && (
        <p role="alert" style={{ color: 'var(--oxide)' }}>
          Cannot be: {tried.because}
        </p>
      )}
      {now && <MeasureTable now={now} then={then} />}
      {then?.warnings.map((words) => (
        <p key={words} style={{ marginTop: 6, fontSize: 14 }}>
          <strong>{words}</strong>
        </p>
      ))}
      <div style={{ display: 'flex', gap: 8, justifyContent: 'flex-end', marginTop: 12 }}>
        <Button onPress={onClose}>Leave it as planned</Button>
        <Button $strong onPress={keep} isDisabled={!changed || wrong || !tried?.ok}>
          Keep it so
        </Button>
      </div>
    </Window>
  );
}

/** What may be tried of it. */
function Wished({
  kind,
  now,
  is,
  texts,
  onTexts,
  tool,
  onTool,
  units,
}: {
  kind: string;
  /** As it is planned, and as it would be. */
  now: CutState | undefined;
  is: CutState | undefined;
  texts: TrialTexts;
  onTexts: (next: (before: TrialTexts) => TrialTexts) => void;
  tool: string;
  onTool: (tool: string) => void;
  units: UnitSystem;
}) {
  const { shop, planned } = useWorkspace();
  const machine = planned.answer?.plan?.run.shop.machine;
  const tools = shop.tools.filter(({ archived, does }) => !archived && does.includes(kind));
  const slide = (field: keyof TrialTexts, label: string, list: readonly number[], planner: number | undefined) => (
    <Listed
      label={label}
      field={field}
      units={units}
      list={list}
      text={texts[field]}
      is={planner}
      onText={(text) => onTexts((before) => ({ ...before, [field]: text }))}
    />
  );
  const noses = [...new Set(shop.tools.flatMap(({ nose }) => nose ?? []))].sort((a, b) => a - b);
  const out = Array.from({ length: OUT.steps }, (_, index) => (now?.stickOut ?? 0) + index * OUT.step);
  return (
    <Wishes>
      {slide('speed', 'Speed, rev/min', machine?.speeds ?? [], is?.speed)}
      {slide('feed', 'Feed, mm/rev', machine?.feeds ?? [], is?.feed)}
      {now?.stickOut !== undefined && slide('stickOut', `The work stands out, ${units}`, out, is?.stickOut)}
      {now?.takesDepth && (
        <Field
          label={`Depth of a pass, ${units}`}
          value={texts.depth}
          placeholder={formatNominal(Number(now.depth.toFixed(2)), units)}
          problem={wrongIn('depth', texts.depth, units)}
          onChange={(depth) => onTexts((before) => ({ ...before, depth }))}
        />
      )}
      {now?.nose !== undefined && slide('nose', `Nose radius, ${units}`, noses, is?.nose)}
      {now && (
        <Choice
          label="Edge"
          value={texts.edge || now.edge}
          onChange={(edge) => onTexts((before) => ({ ...before, edge }))}
        >
          {Object.entries(EDGES).map(([edge, words]) => (
            <option key={edge} value={edge}>
              {words}
            </option>
          ))}
        </Choice>
      )}
      {tools.length > 1 && (
        <Choice label="Tool" value={tool} onChange={onTool}>
          {tools.map(({ id, name: called }) => (
            <option key={id} value={id}>
              {called}
            </option>
          ))}
        </Choice>
      )}
    </Wishes>
  );
}

/** A figure that is typed, or moved along a list: what the machine has, noses on hand, lengths. */
function Listed({
  label,
  field,
  units,
  list,
  text,
  is,
  onText,
}: {
  label: string;
  field: keyof TrialTexts;
  units: UnitSystem;
  list: readonly number[];
  text: string;
  is: number | undefined;
  onText: (text: string) => void;
}) {
  const isLength = field === 'stickOut' || field === 'nose';
  const shown = (value: number) => (isLength ? formatNominal(value, units) : sayFigure(value));
  const value = valueOf(field, text, units) ?? is ?? 0;
  const at = Math.max(
    0,
    list.findLastIndex((figure) => figure <= value + 1e-9),
  );
  const put = (figure: number | undefined) => (figure === undefined ? '' : shown(figure));
  return (
    <div>
      <Field label={label} value={text} placeholder={put(is)} problem={wrongIn(field, text, units)} onChange={onText} />
      <input
        type="range"
        min={0}
        max={Math.max(0, list.length - 1)}
        value={at}
        aria-label={`${label}, moved along`}
        aria-valuetext={put(list[at])}
        onChange={(event) => onText(put(list[Number(event.target.value)]))}
      />
    </div>
  );
}
