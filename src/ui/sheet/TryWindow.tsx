'use client';
import { useEffect, useMemo, useState } from 'react';
import styled from 'styled-components';
import type { RunFile } from '@/core/formats/runFile';
import { isCut, type CutWish } from '@/core/overrule';
import { withCut, type CutState, type Measure, type Tried } from '@/core/whatIf';
import { Button } from '../primitives/Button';
import { Choice, Field } from '../primitives/Field';
import { Table } from '../primitives/Table';
import { Window } from '../primitives/Window';
import { useWorkspace } from '../run/WorkspaceContext';

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

const WIDE = 200;

/** A number that was typed; open where nothing was. */
const numberOf = (text: string): number | undefined => {
  const value = Number(text.replace(',', '.'));
  return text.trim() === '' || !Number.isFinite(value) || value <= 0 ? undefined : value;
};

/** What is wrong with a text that should be a number, in words. */
const wrongIn = (text: string): string | undefined =>
  text.trim() !== '' && numberOf(text) === undefined ? `“${text.trim()}” is no number above nothing` : undefined;

/** What was decided of an operation before, as it stands in the fields. */
function decidedTexts({ overrules = [] }: RunFile, key: string) {
  const own = overrules.find((one) => isCut(one) && one.operation === key);
  const { speed, feed, depth } = own && isCut(own) ? own.cut : {};
  return { speed: String(speed ?? ''), feed: String(feed ?? ''), depth: String(depth ?? '') };
}

const said = (value: number): string => (value >= 100 ? value.toFixed(0) : String(Number(value.toPrecision(3))));

interface Props {
  operation: { key: string; number: number; name: string; tool: string; kind: string };
  onClose: () => void;
}

/** An operation tried at another speed, feed, depth or with another tool: everything that moves, against its limits. */
export function TryWindow({ operation, onClose }: Props) {
  const { file, shop, edit, tryCut, planned } = useWorkspace();
  const { key, number, name, kind } = operation;
  const machine = planned.answer?.plan?.run.shop.machine;
  const [now, setNow] = useState<CutState>();
  const [texts, setTexts] = useState(() => decidedTexts(file, key));
  const [tool, setTool] = useState(operation.tool);
  const [tried, setTried] = useState<Tried>();
  const wish = useMemo<CutWish>(() => {
    const [speed, feed, depth] = [texts.speed, texts.feed, texts.depth].map(numberOf);
    return {
      ...(speed === undefined ? {} : { speed }),
      ...(feed === undefined ? {} : { feed }),
      ...(depth === undefined ? {} : { depth }),
    };
  }, [texts]);
  const other = tool === operation.tool ? undefined : tool;
  useEffect(() => {
    let over = false;
    void tryCut(file, key, {}).then((answer) => over || (answer?.ok && setNow(answer.state)));
    return () => {
      over = true;
    };
  }, [file, key, tryCut]);
  useEffect(() => {
    let over = false;
    void tryCut(file, key, wish, other).then((answer) => over || setTried(answer));
    return () => {
      over = true;
    };
  }, [file, key, wish, other, tryCut]);
  const then = tried?.ok ? tried.state : undefined;
  const tools = shop.tools.filter((own) => !own.archived && own.does.includes(kind));
  const put = (field: keyof typeof texts) => (text: string) => setTexts((before) => ({ ...before, [field]: text }));
  const keep = () => {
    edit(undefined, (run) => {
      run.overrules = withCut(run.overrules ?? [], key, wish, other);
    });
    onClose();
  };
  const changed = Object.keys(wish).length > 0 || other !== undefined;
  const wrong = Object.values(texts).some((text) => wrongIn(text) !== undefined);
  return (
    <Window title={`Try ${number} ${name} otherwise`} open onClose={onClose}>
      <Wishes>
        <Listed
          label="Speed, rev/min"
          list={machine?.speeds ?? []}
          text={texts.speed}
          is={then?.speed ?? now?.speed}
          onText={put('speed')}
        />
        <Listed
          label="Feed, mm/rev"
          list={machine?.feeds ?? []}
          text={texts.feed}
          is={then?.feed ?? now?.feed}
          onText={put('feed')}
        />
        <div>
          {now?.takesDepth && (
            <Field
              label="Depth of a pass, mm"
              value={texts.depth}
              placeholder={now.depth.toFixed(2)}
              problem={wrongIn(texts.depth)}
              onChange={put('depth')}
            />
          )}
          {tools.length > 1 && (
            <Choice label="Tool" value={tool} onChange={setTool}>
              {tools.map(({ id, name: called }) => (
                <option key={id} value={id}>
                  {called}
                </option>
              ))}
            </Choice>
          )}
        </div>
      </Wishes>
      {tried && !tried.ok && (
        <p role="alert" style={{ color: 'var(--oxide)' }}>
          Cannot be: {tried.because}
        </p>
      )}
      {now && (
        <Table>
          <thead>
            <tr>
              <th scope="col">Of it</th>
              <th scope="col" className="figure">
                as planned
              </th>
              <th scope="col" className="figure">
                then
              </th>
              <th scope="col" style={{ width: '34%' }}>
                against its limit
              </th>
            </tr>
          </thead>
          <tbody>
            <tr>
              <th scope="row">passes</th>
              <td className="figure">{now.passes}</td>
              <td className="figure">{then?.passes ?? '–'}</td>
              <td />
            </tr>
            {now.measures.map((own) => (
              <MeasureRow key={own.name} now={own} then={then?.measures.find((one) => one.name === own.name)} />
            ))}
            <tr>
              <th scope="row">a piece, min</th>
              <td className="figure">{now.pieceMinutes.toFixed(2)}</td>
              <td className="figure">{then ? then.pieceMinutes.toFixed(2) : '–'}</td>
              <td />
            </tr>
          </tbody>
        </Table>
      )}
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

/** A figure of the machine: typed, or moved along what the machine has. */
function Listed({
  label,
  list,
  text,
  is,
  onText,
}: {
  label: string;
  list: readonly number[];
  text: string;
  is: number | undefined;
  onText: (text: string) => void;
}) {
  const value = numberOf(text) ?? is ?? 0;
  const at = Math.max(
    0,
    list.findLastIndex((own) => own <= value + 1e-9),
  );
  return (
    <div>
      <Field
        label={label}
        value={text}
        placeholder={is === undefined ? '' : String(is)}
        problem={wrongIn(text)}
        onChange={onText}
      />
      <input
        type="range"
        min={0}
        max={Math.max(0, list.length - 1)}
        value={at}
        aria-label={`${label}, along what the machine has`}
        aria-valuetext={String(list[at] ?? '')}
        onChange={(event) => onText(String(list[Number(event.target.value)] ?? ''))}
      />
    </div>
  );
}

/** One measure before and then, as bars against their limit. */
function MeasureRow({ now, then }: { now: Measure; then: Measure | undefined }) {
  const limit = then?.limit ?? now.limit;
  const most = Math.max(now.value, then?.value ?? 0, Math.min(limit ?? 0, 4 * Math.max(now.value, then?.value ?? 0)));
  const x = (value: number) => (most > 0 ? Math.min(1, value / most) * (WIDE - 4) : 0);
  const over = (own: Measure | undefined) =>
    own?.limit !== undefined && (own.more ? own.value < own.limit : own.value > own.limit * (1 + 1e-9));
  return (
    <tr>
      <th scope="row">
        {now.name}, {now.unit}
      </th>
      <td className="figure">{said(now.value)}</td>
      <td className="figure" style={over(then) ? { color: 'var(--oxide)', fontWeight: 700 } : {}}>
        {then ? said(then.value) : '–'}
        {over(then) && <small> beyond</small>}
      </td>
      <td>
        <svg
          viewBox={`0 0 ${WIDE} 22`}
          preserveAspectRatio="none"
          style={{ display: 'block', width: '100%', height: 22 }}
          role="img"
          aria-label={limit === undefined ? 'without a limit' : `limit ${said(limit)} ${now.unit}`}
        >
          <rect x={1} y={3} width={x(now.value)} height={7} fill="var(--metal)" stroke="var(--ink-soft)" />
          {then && <rect x={1} y={12} width={x(then.value)} height={7} fill="var(--blue)" />}
          {limit !== undefined && limit <= most && (
            <line x1={1 + x(limit)} x2={1 + x(limit)} y1={0} y2={22} stroke="var(--ink)" strokeWidth={2} />
          )}
        </svg>
        <small style={{ color: 'var(--ink-soft)' }}>
          {limit === undefined ? '' : now.more ? `usual ${said(limit)}` : `limit ${said(limit)}`}
        </small>
      </td>
    </tr>
  );
}
