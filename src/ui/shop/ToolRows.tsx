'use client';
import { sayFigure } from '@/core/model/units/mark';
import { Archive, ArchiveRestore, Copy, Pencil } from 'lucide-react';
import {
  Cell,
  Column,
  DialogTrigger,
  Row,
  Table,
  TableBody,
  TableHeader,
  TableLayout,
  Virtualizer,
  type SortDescriptor,
} from 'react-aria-components';
import styled from 'styled-components';
import type { UsedBy } from '@/core/ask/usedBy';
import type { Tool } from '@/core/model/shop/shop';
import { Balloon } from '../primitives/Balloon';
import { Button, IconButton } from '../primitives/Button';

/** Rows are as high as a finger wants them, and alike, so that only those in sight have to be there. */
const HIGH = 46;

const Scroll = styled.div`
  border: 1px solid var(--line);
  border-radius: var(--round);
  overflow: hidden;
  [role='grid'] {
    height: 420px;
    overflow: auto;
  }
  [role='columnheader'] {
    height: 100%;
    padding: 8px;
    background: var(--paper);
    color: var(--ink-soft);
    font-size: 13px;
    cursor: pointer;
  }
  [role='columnheader'][aria-sort='ascending']::after {
    content: ' ↑';
  }
  [role='columnheader'][aria-sort='descending']::after {
    content: ' ↓';
  }
  [role='rowheader'],
  [role='gridcell'] {
    display: flex;
    align-items: center;
    height: 100%;
    padding: 0 8px;
    border-top: 1px solid var(--line);
    line-height: 1.25;
  }
  .figure {
    font-family: var(--mono);
  }
  .do {
    display: flex;
    gap: 4px;
    margin-left: auto;
  }
  [data-archived] > * > * {
    color: var(--ink-soft);
    text-decoration: line-through;
  }
`;

/** The figure that tells a tool from its like: what it is as wide, as round or as sharp as. */
const mainFigure = (tool: Tool): string => {
  const { diameter, width, nose, hollowEdge, point, pitch } = tool;
  if (diameter !== undefined) return `⌀${sayFigure(diameter, 3)}${pitch ? ` × ${sayFigure(pitch, 3)}` : ''}`;
  if (width !== undefined) return `${sayFigure(width)} wide`;
  if (pitch !== undefined) return `pitch ${sayFigure(pitch)}`;
  if (nose !== undefined) return `r ${sayFigure(nose)}`;
  if (hollowEdge !== undefined) return `R ${sayFigure(hollowEdge)}`;
  return point === undefined ? '' : `${sayFigure(point)}°`;
};

const COLUMNS = [
  { id: 'name', name: 'Name', width: '5fr', minWidth: 170 },
  { id: 'does', name: 'Does', width: '4fr', minWidth: 130 },
  { id: 'figure', name: 'Figure, mm', width: 136, minWidth: 136 },
  { id: 'used', name: 'Used by', width: 104, minWidth: 104 },
] as const;

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

/** By how many runs a tool is used; a press says by which. */
const UsedCount = ({ tool, numbers }: { tool: Tool; numbers: readonly string[] }) =>
  numbers.length === 0 ? null : (
    <DialogTrigger>
      <Button aria-label={`${tool.name} is used by ${numbers.length} ${numbers.length === 1 ? 'run' : 'runs'}`}>
        {numbers.length} {numbers.length === 1 ? 'run' : 'runs'}
      </Button>
      <Balloon label={`${tool.name} is used by`}>
        <ul>
          {numbers.toSorted().map((number) => (
            <li key={number}>{number}</li>
          ))}
        </ul>
      </Balloon>
    </DialogTrigger>
  );

/** The tools that are looked for, all of them reached by scrolling. */
export function ToolRows({
  tools,
  used,
  sort,
  onSort,
  on,
}: {
  tools: readonly Tool[];
  used: UsedBy;
  sort: SortDescriptor;
  onSort: (sort: SortDescriptor) => void;
  on: Record<'change' | 'copy' | 'aside', (tool: Tool) => void>;
}) {
  return (
    <Scroll>
      <Virtualizer layout={TableLayout} layoutOptions={{ rowHeight: HIGH, headingHeight: 36 }}>
        <Table aria-labelledby="tools" sortDescriptor={sort} onSortChange={onSort}>
          <TableHeader>
            {COLUMNS.map(({ id, name, width, minWidth }) => (
              <Column key={id} id={id} isRowHeader={id === 'name'} allowsSorting width={width} minWidth={minWidth}>
                {name}
              </Column>
            ))}
            <Column id="do" width={132}>
              <span className="unseen">What to do</span>
            </Column>
          </TableHeader>
          <TableBody
            items={tools}
            dependencies={[used]}
            renderEmptyState={() => <p style={{ padding: 12 }}>No tool of the list is like that.</p>}
          >
            {(tool) => (
              <Row id={tool.id} data-archived={tool.archived || undefined}>
                <Cell>{tool.name}</Cell>
                <Cell>{tool.does.join(', ')}</Cell>
                <Cell className="figure">{mainFigure(tool)}</Cell>
                <Cell>
                  <UsedCount tool={tool} numbers={used.tools[tool.id] ?? []} />
                </Cell>
                <Cell>
                  <ToolButtons
                    tool={tool}
                    onChange={() => on.change(tool)}
                    onCopy={() => on.copy(tool)}
                    onAside={() => on.aside(tool)}
                  />
                </Cell>
              </Row>
            )}
          </TableBody>
        </Table>
      </Virtualizer>
    </Scroll>
  );
}
