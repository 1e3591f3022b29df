'use client';
import { Archive, ArchiveRestore, Copy, Pencil } from 'lucide-react';
import { useMemo, useState } from 'react';
import { Cell, Column, Row, Table, TableBody, TableHeader, type SortDescriptor } from 'react-aria-components';
import styled from 'styled-components';
import type { Shop, Tool } from '@/core/model/shop/shop';
import { toolFigures } from '@/core/model/shop/toolFigures';
import { toolSets, withSet } from '@/core/model/shop/toolSets';
import type { UsedBy } from '@/core/ask/usedBy';
import { Button, IconButton } from '../primitives/Button';
import { Card } from '../primitives/Card';
import { Choice, Field } from '../primitives/Field';
import { FiguresWindow, type FormField } from './FiguresForm';
import { freeId } from './freeId';

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

const Scroll = styled.div`
  max-height: 420px;
  overflow: auto;
  border: 1px solid var(--line);
  border-radius: var(--round);
  table {
    width: 100%;
    border-collapse: collapse;
  }
  th {
    position: sticky;
    top: 0;
    padding: 6px 8px;
    background: var(--paper);
    color: var(--ink-soft);
    font-weight: 400;
    font-size: 13px;
    text-align: left;
    cursor: pointer;
  }
  th[aria-sort='ascending']::after {
    content: ' ↑';
  }
  th[aria-sort='descending']::after {
    content: ' ↓';
  }
  td {
    padding: 3px 8px;
    border-top: 1px solid var(--line);
    vertical-align: middle;
  }
  td:nth-child(4) {
    word-break: keep-all;
  }
  td.figure {
    font-family: var(--mono);
  }
  td .do {
    display: flex;
    gap: 4px;
    justify-content: flex-end;
  }
  tr[data-archived] td {
    color: var(--ink-soft);
    text-decoration: line-through;
  }
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

/** The figure that tells a tool from its like: what it is as wide, as round or as sharp as. */
const mainFigure = (tool: Tool): string => {
  const { diameter, width, nose, hollowEdge, point, pitch } = tool;
  if (diameter !== undefined) return `⌀${Number(diameter.toFixed(3))}${pitch ? ` × ${Number(pitch.toFixed(3))}` : ''}`;
  if (width !== undefined) return `${width} wide`;
  if (pitch !== undefined) return `pitch ${pitch}`;
  if (nose !== undefined) return `r ${nose}`;
  if (hollowEdge !== undefined) return `R ${hollowEdge}`;
  return point === undefined ? '' : `${point}°`;
};

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

/** How many tools are shown at once: more is a list that nobody reads. */
const SHOWN = 60;

const COLUMNS = [
  { id: 'name', name: 'Name' },
  { id: 'does', name: 'Does' },
  { id: 'figure', name: 'Figure, mm' },
  { id: 'used', name: 'Used by' },
];

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

/** What may be done with a tool of the list. */
const ToolButtons = ({
  tool,
  onChange,
  onCopy,
  onAside,
}: {
  tool: Tool;
  onChange: () => void;
  onCopy: () => void;
  onAside: () => void;
}) => (
  <div className="do">
    <IconButton aria-label={`Change ${tool.name}`} onPress={onChange}>
      <Pencil size={14} aria-hidden />
    </IconButton>
    <IconButton aria-label={`Add a tool like ${tool.name}`} onPress={onCopy}>
      <Copy size={14} aria-hidden />
    </IconButton>
    <IconButton aria-label={tool.archived ? `Take ${tool.name} up again` : `Put ${tool.name} aside`} onPress={onAside}>
      {tool.archived ? <ArchiveRestore size={14} aria-hidden /> : <Archive size={14} aria-hidden />}
    </IconButton>
  </div>
);

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

const More = ({ count }: { count: number }) => (
  <p style={{ marginTop: 6, color: 'var(--ink-soft)', fontSize: 14 }}>
    {count} more: find them by name, or by what they do.
  </p>
);

/** The tools: found, sorted, changed, added from a similar one, and put aside rather than thrown away. */
export function ToolTable({ shop, used, onChange }: { shop: Shop; used: UsedBy; onChange: (shop: Shop) => void }) {
  const { tools } = shop;
  const [sought, setSought] = useState<SoughtTools>({ wanted: '', kind: '', aside: false });
  const [sort, setSort] = useState<SortDescriptor>({ column: 'does', direction: 'ascending' });
  const [open, setOpen] = useState<{ tool: Tool; index: number }>();
  const kinds = useMemo(() => [...new Set(tools.flatMap(({ does }) => does))].sort(), [tools]);
  const shown = sorted(
    tools.filter((tool) => isSought(tool, sought)),
    sort,
    used,
  );
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
      <Scroll>
        <Table aria-labelledby="tools" sortDescriptor={sort} onSortChange={setSort}>
          <TableHeader>
            {COLUMNS.map(({ id, name }) => (
              <Column key={id} id={id} isRowHeader={id === 'name'} allowsSorting>
                {name}
              </Column>
            ))}
            <Column id="do">
              <span style={{ position: 'absolute', clipPath: 'inset(50%)' }}>What to do</span>
            </Column>
          </TableHeader>
          <TableBody renderEmptyState={() => <p style={{ padding: 12 }}>No tool of the list is like that.</p>}>
            {shown.slice(0, SHOWN).map((tool) => (
              <Row key={tool.id} id={tool.id} data-archived={tool.archived || undefined}>
                <Cell>{tool.name}</Cell>
                <Cell>{tool.does.join(', ')}</Cell>
                <Cell className="figure">{mainFigure(tool)}</Cell>
                <Cell>{used.tools[tool.id]?.join(', ') ?? ''}</Cell>
                <Cell>
                  <ToolButtons
                    tool={tool}
                    onChange={() => setOpen({ tool, index: tools.indexOf(tool) })}
                    onCopy={() =>
                      setOpen({
                        tool: { ...tool, id: freeId(tool.id, tools), name: `${tool.name}, another` },
                        index: tools.length,
                      })
                    }
                    onAside={() => {
                      const { archived, ...rest } = tool;
                      put(archived ? rest : { ...tool, archived: true }, tools.indexOf(tool));
                    }}
                  />
                </Cell>
              </Row>
            ))}
          </TableBody>
        </Table>
      </Scroll>
      {shown.length > SHOWN && <More count={shown.length - SHOWN} />}
      {open && (
        <FiguresWindow
          title={open.tool.name}
          fields={FIELDS}
          values={open.tool}
          onClose={() => setOpen(undefined)}
          onDone={(values) => {
            put(values as unknown as Tool, open.index);
            setOpen(undefined);
          }}
        />
      )}
    </Card>
  );
}
