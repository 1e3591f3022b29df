'use client';
import { Plus } from 'lucide-react';
import { useRouter } from 'next/navigation';
import { useState } from 'react';
import styled from 'styled-components';
import {
  bySection,
  sameSection,
  sectionKey,
  type RackItem,
  type RackMove,
  type Section,
  type Shortage,
  type StockLevel,
} from '@/core/rack/rack';
import { nameOfBar } from '@/core/plan/stock/nameOfBar';
import { Button } from '../primitives/Button';
import { Empty } from '../primitives/Card';
import { Figuring, type Progress } from '../primitives/Figuring';
import { Finder, Pages, type Sought } from '../primitives/Finder';
import { HouseBar } from '../primitives/HouseBar';
import { useAddressWord } from '../primitives/useWindow';
import { actOn } from './api';
import { RackLot } from './RackLot';
import { RackWindow, type RackTask } from './RackWindow';
import { ShortSections } from './ShortSections';

export const Room = styled.main`
  max-width: 1240px;
  margin: 0 auto;
  padding: 18px 20px 40px;
  h1 {
    font-size: 21px;
  }
`;

const Head = styled.div`
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 8px;
  margin-bottom: 12px;
  h1 {
    margin-right: auto;
  }
`;

export interface RackProps {
  /** Of the page that is shown. */
  items: RackItem[];
  sought: Sought;
  pages: number;
  counts: { found: number; all: number };
  /** What runs need is known when they are planned. */
  progress: Progress;
  history: RackMove[];
  runs: { id: number; number: string; name: string }[];
  materials: { id: string; name: string }[];
  short: Shortage[];
  levels: StockLevel[];
  keepFrom: number;
  currency: string;
}

/** What is being done, from what the address says: a bar by its number, a section by its key. */
function taskOf(asked: string | undefined, items: RackItem[], short: Shortage[]): RackTask | undefined {
  const [kind, which] = asked?.split(':') ?? [];
  if (kind === 'history' || kind === 'receive' || kind === 'buying') return { kind };
  const item = items.find(({ id }) => String(id) === which);
  if (kind === 'reserve' || kind === 'use') return item && { kind, item };
  const section = [...items, ...short.map((lack) => lack.section)].find((one) => sectionKey(one) === which);
  return kind === 'level' && section ? { kind, section } : undefined;
}

/** Bars and offcuts on hand: what is free of them, who has reserved what, and everything that happened to them. */
export function Rack(props: RackProps) {
  const { items, sought, pages, counts, progress, runs, materials, short, levels, currency } = props;
  const router = useRouter();
  const [asked, show] = useAddressWord('window');
  const task = taskOf(asked, items, short);
  const [told, setTold] = useState('');
  const nameOf = (section: Section) =>
    `${materials.find(({ id }) => id === section.material)?.name ?? section.material} ${nameOfBar(section, 'mm')}`;
  const runOf = (id: number) => runs.find((run) => run.id === id)?.number ?? `run ${id}`;
  const leastOf = (section: Section) => levels.find((level) => sameSection(level, section))?.least ?? 0;
  const done = (words: string) => {
    show(undefined);
    setTold(words);
    router.refresh();
  };
  const release = async (item: RackItem, run: number) => {
    const outcome = await actOn(item.id, { do: 'release', run });
    done(outcome.ok ? `${runOf(run)} released bar ${item.id}` : (outcome.problems[0]?.message ?? ''));
  };
  return (
    <>
      <HouseBar at="rack" />
      <Room>
        <Head>
          <h1>Rack</h1>
          <span role="status">{told}</span>
          <Button onPress={() => show('history')}>History</Button>
          <Button $strong onPress={() => show('receive')}>
            <Plus size={16} aria-hidden /> Receive bars
          </Button>
        </Head>
        <Figuring served={progress} most={0} />
        {short.length > 0 && (
          <ShortSections
            short={short}
            nameOf={nameOf}
            runOf={runOf}
            onBuying={() => show('buying')}
            onLevel={(section) => show(`level:${sectionKey(section)}`)}
          />
        )}
        {counts.all > 0 && (
          <Finder sought={sought} what="Find">
            {sought.find ? `${counts.found} of ${counts.all} bars` : `${counts.all} bars`}
            <a href="/api/rack/table" download style={{ marginLeft: 14 }}>
              All as a table
            </a>
          </Finder>
        )}
        {items.length === 0 && <NoBars sought={counts.all > 0} />}
        {bySection(items).map((lot) => (
          <RackLot
            key={sectionKey(lot[0])}
            items={lot}
            name={nameOf(lot[0])}
            least={leastOf(lot[0])}
            currency={currency}
            runOf={runOf}
            onLevel={() => show(`level:${sectionKey(lot[0])}`)}
            onReserve={(item) => show(`reserve:${item.id}`)}
            onUse={(item) => show(`use:${item.id}`)}
            onRelease={(item, run) => void release(item, run)}
          />
        ))}
        <Pages sought={sought} pages={pages} />
      </Room>
      {task && (
        <RackWindow
          {...props}
          task={task}
          nameOf={nameOf}
          leastOf={leastOf}
          runOf={runOf}
          onClose={() => show(undefined)}
          onDone={done}
        />
      )}
    </>
  );
}

const NoBars = ({ sought }: { sought: boolean }) =>
  sought ? (
    <Empty>
      <h2>No bar has all of these words</h2>
      <p>Material, section, number, place and batch are looked through. Fewer words find more.</p>
    </Empty>
  ) : (
    <Empty>
      <h2>Nothing on the rack yet</h2>
      <p>Write down the bars and offcuts on hand; runs can then reserve them and the cut list saws them first.</p>
    </Empty>
  );
