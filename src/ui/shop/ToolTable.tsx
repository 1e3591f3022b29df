'use client';
import { useMemo, useState } from 'react';
import type { SortDescriptor } from 'react-aria-components';
import styled from 'styled-components';
import type { Shop, Tool } from '@/core/model/shop/shop';
import { toolFigures } from '@/core/model/shop/toolFigures';
import { toolSets, withSet } from '@/core/model/shop/toolSets';
import type { UsedBy } from '@/core/ask/usedBy';
import { toolsTable } from '@/core/formats/toolsTable';
import { useGiveTable } from '../device/useGiveTable';
import { Button } from '../primitives/Button';
import { Card } from '../primitives/Card';
import { TextButton } from '../primitives/TextButton';
import { useWindowOf } from '../primitives/useWindow';
import { Choice, Field } from '../primitives/Field';
import { FiguresWindow, type FormField } from './FiguresForm';
import { freeId } from './freeId';
import { openedBy } from './openedBy';
import { ToolRows } from './ToolRows';

const Head = styled.div`
  display: grid;
  grid-template-columns: minmax(0, 2fr) minmax(0, 1fr) auto;
  gap: 10px;
  align-items: end;
  margin-bottom: 8px;
  label.archived {
    display: flex;
    gap: 6px;
    align-items: center;
    min-height: 34px;
  }
`;

const Sets = styled.div`
  display: flex;
  gap: 10px;
  align-items: end;
  margin-bottom: 10px;
`;

const FIELDS: readonly FormField[] = [
  { key: 'name', label: 'Name', takes: 'text', needed: true },
  { key: 'does', label: 'Kinds of operation that it does', takes: 'words', needed: true },
  { key: 'hand', label: 'Cuts', takes: ['', 'right', 'left'] },
  { key: 'place', label: 'Place in the post', takes: 'number' },
  ...toolFigures.map(({ key, label, takes }): FormField => ({
    key,
    label: takes === 'degrees' ? `${label}, degrees` : label,
    takes: takes === 'length' ? 'length' : 'number',
    ...(key === 'offset' ? { needed: true } : {}),
  })),
];

const sorted = (tools: Tool[], { column, direction }: SortDescriptor, used: UsedBy): Tool[] => {
  const keyOf = (tool: Tool): string | number =>
    column === 'figure'
      ? (tool.diameter ?? tool.width ?? tool.pitch ?? tool.nose ?? tool.hollowEdge ?? 0)
      : column === 'does'
        ? tool.does.join()
        : column === 'used'
          ? (used.tools[tool.id]?.length ?? 0)
          : tool.name;
  const by = direction === 'descending' ? -1 : 1;
  return [...tools].sort((a, b) => {
    const [x, y] = [keyOf(a), keyOf(b)];
    return by * (typeof x === 'number' && typeof y === 'number' ? x - y : String(x).localeCompare(String(y)));
  });
};

/** Which tools are looked for. */
interface SoughtTools {
  wanted: string;
  kind: string;
  /** Those put aside as well. */
  aside: boolean;
}

const isSought = ({ name, does, archived }: Tool, { wanted, kind, aside }: SoughtTools): boolean =>
  (aside || !archived) &&
  (kind === '' || does.includes(kind)) &&
  name.toLowerCase().includes(wanted.trim().toLowerCase());

function FindTools({
  kinds,
  sought,
  onSought,
}: {
  kinds: readonly string[];
  sought: SoughtTools;
  onSought: (sought: SoughtTools) => void;
}) {
  const { wanted, kind, aside } = sought;
  return (
    <Head>
      <Field
        label="Find"
        plain
        value={wanted}
        placeholder="drill, 6.8 …"
        onChange={(text) => onSought({ ...sought, wanted: text })}
      />
      <Choice label="Does" value={kind} onChange={(value) => onSought({ ...sought, kind: value })}>
        <option value="">anything</option>
        {kinds.map((name) => (
          <option key={name}>{name}</option>
        ))}
      </Choice>
      <label className="archived">
        <input
          type="checkbox"
          checked={aside}
          onChange={(event) => onSought({ ...sought, aside: event.target.checked })}
        />{' '}
        and those put aside
      </label>
    </Head>
  );
}

/** A set of tools as it is bought, added as far as it is not there. */
function WholeSets({ shop, onChange }: { shop: Shop; onChange: (shop: Shop) => void }) {
  const [set, setSet] = useState('drills-number');
  const { tools } = shop;
  const lacking = withSet(tools, set).length - tools.length;
  return (
    <Sets>
      <Choice label="A whole set" value={set} onChange={setSet}>
        {toolSets.map(({ id, name }) => (
          <option key={id} value={id}>
            {name}
          </option>
        ))}
      </Choice>
      <Button onPress={() => onChange({ ...shop, tools: withSet(tools, set) })} isDisabled={lacking === 0}>
        {lacking === 0 ? 'All of it is there' : `Add ${lacking} tool${lacking === 1 ? '' : 's'}`}
      </Button>
    </Sets>
  );
}

/** The tools: found, sorted, changed, added from a similar one, and put aside rather than thrown away. */
export function ToolTable({ shop, used, onChange }: { shop: Shop; used: UsedBy; onChange: (shop: Shop) => void }) {
  const { tools } = shop;
  const [sought, setSought] = useState<SoughtTools>({ wanted: '', kind: '', aside: false });
  const [sort, setSort] = useState<SortDescriptor>({ column: 'does', direction: 'ascending' });
  const giveTable = useGiveTable();
  const [asked, show] = useWindowOf('tools');
  const kinds = useMemo(() => [...new Set(tools.flatMap(({ does }) => does))].sort(), [tools]);
  const shown = sorted(
    tools.filter((tool) => isSought(tool, sought)),
    sort,
    used,
  );
  const open = openedBy(asked, tools, ({ id }) => id, {
    like: (tool) => ({ ...tool, id: freeId(tool.id, tools), name: `${tool.name}, another` }),
  });
  const put = (tool: Tool, index: number) =>
    onChange({
      ...shop,
      tools: index < tools.length ? tools.map((before, at) => (at === index ? tool : before)) : [...tools, tool],
    });
  return (
    <Card aria-labelledby="tools">
      <h2 id="tools">Tools</h2>
      <FindTools kinds={kinds} sought={sought} onSought={setSought} />
      <WholeSets shop={shop} onChange={onChange} />
      <p role="status" style={{ marginBottom: 6, color: 'var(--ink-soft)', fontSize: 14 }}>
        {shown.length === tools.length ? `${tools.length} tools` : `${shown.length} of ${tools.length} tools`}{' '}
        <TextButton type="button" onClick={() => giveTable('tools', toolsTable(shown))}>
          As a table
        </TextButton>
      </p>
      <ToolRows
        tools={shown}
        used={used}
        sort={sort}
        onSort={setSort}
        on={{
          change: ({ id }) => show(`change ${id}`),
          copy: ({ id }) => show(`like ${id}`),
          aside: (tool) => {
            const { archived, ...rest } = tool;
            put(archived ? rest : { ...tool, archived: true }, tools.indexOf(tool));
          },
        }}
      />
      {open && (
        <FiguresWindow
          title={open.item.name}
          fields={FIELDS}
          values={open.item}
          onClose={() => show(undefined)}
          onDone={(values) => {
            put(values as unknown as Tool, open.index);
            show(undefined);
          }}
        />
      )}
    </Card>
  );
}
