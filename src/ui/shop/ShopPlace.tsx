'use client';
import { Download, Upload } from 'lucide-react';
import { Tab, TabList, TabPanel, Tabs } from 'react-aria-components';
import { useEffect, useMemo, useRef, useState, type ReactNode } from 'react';
import styled from 'styled-components';
import type { Problem } from '@/core/model/result';
import { figureGroups } from '@/core/model/shop/figureGroups';
import type { KeptHolder, Shop } from '@/core/model/shop/shop';
import type { UsedBy } from '@/core/ask/usedBy';
import { Button } from '../primitives/Button';
import { download } from '../primitives/download';
import { later } from '../primitives/later';
import { Notice } from '../primitives/Notice';
import { HouseBar } from '../primitives/HouseBar';
import { useAddressWord } from '../primitives/useWindow';
import { keepShop, previewShop } from './api';
import { Effects } from './Effects';
import { FiguresCard } from './FiguresCard';
import { HouseRulesCard } from './HouseRulesCard';

// A page's script comes when it is turned to.
const GaugeCard = later(() => import('./GaugeCard').then((loaded) => loaded.GaugeCard));
const HoldersCard = later(() => import('./HoldersCard').then((loaded) => loaded.HoldersCard));
const HoldingCard = later(() => import('./HoldingCard').then((loaded) => loaded.HoldingCard));
const MachineCard = later(() => import('./MachineCard').then((loaded) => loaded.MachineCard));
const MaterialCard = later(() => import('./MaterialCard').then((loaded) => loaded.MaterialCard));
const ToolTable = later(() => import('./ToolTable').then((loaded) => loaded.ToolTable));

const Room = styled.main`
  display: grid;
  grid-template-columns: minmax(0, 1fr) 320px;
  gap: 14px;
  max-width: 1240px;
  margin: 0 auto;
  padding: 16px 20px 40px;
  > header {
    grid-column: 1 / -1;
    display: flex;
    flex-wrap: wrap;
    align-items: center;
    gap: 8px 14px;
  }
  h1 {
    margin-right: auto;
    font-size: 21px;
  }
  .stack {
    display: grid;
    align-content: start;
    gap: 14px;
  }
  /* On a narrow screen what would change stands before what changes it, or nobody sees it. */
  @media (max-width: 980px) {
    grid-template-columns: minmax(0, 1fr);
    > header {
      order: -1;
    }
    .stack {
      order: 1;
    }
  }
`;

const Heads = styled(TabList)`
  display: flex;
  flex-wrap: wrap;
  gap: 4px;
  margin-bottom: 12px;
  border-bottom: 1px solid var(--line);
  [role='tab'] {
    padding: 7px 12px;
    border-bottom: 3px solid transparent;
    cursor: pointer;
    outline: none;
  }
  [role='tab'][data-selected] {
    border-bottom-color: var(--ink);
    font-weight: 700;
  }
  [role='tab'][data-hovered] {
    background: var(--hover);
  }
  [role='tab'][data-focus-visible] {
    outline: 2px solid var(--blue);
    outline-offset: -2px;
  }
  @media (pointer: coarse) {
    [role='tab'] {
      min-height: 44px;
    }
  }
`;

const Page = styled(TabPanel)`
  display: grid;
  gap: 14px;
  outline: none;
`;

interface Cards {
  shop: Shop;
  kept: Shop;
  used: UsedBy;
  /** What a run made, to be kept as a holder. */
  offered?: KeptHolder;
  onChange: (shop: Shop) => void;
}

/** Cards of the figures that stand in some places of the shop. */
const figuresOf =
  (...places: string[]) =>
  ({ shop, onChange }: Cards) =>
    figureGroups(shop)
      .filter(({ of }) => places.includes(of.split('.')[0] ?? ''))
      .map((group) => <FiguresCard key={group.of} group={group} shop={shop} onChange={onChange} />);

/** The pages of the shop, in their order. */
const PAGES: readonly { id: string; title: string; cards: (props: Cards) => ReactNode }[] = [
  {
    id: 'rules',
    title: 'House rules',
    cards: ({ shop, kept, onChange }) => <HouseRulesCard shop={shop} kept={kept} onChange={onChange} />,
  },
  {
    id: 'machines',
    title: 'Machines and holding',
    cards: ({ shop, used, offered, onChange }) => (
      <>
        <MachineCard shop={shop} used={used} onChange={onChange} />
        <HoldingCard shop={shop} onChange={onChange} />
        <HoldersCard shop={shop} onChange={onChange} {...(offered ? { offered } : {})} />
      </>
    ),
  },
  {
    id: 'tools',
    title: 'Tools and gauges',
    cards: ({ shop, used, onChange }) => (
      <>
        <ToolTable shop={shop} used={used} onChange={onChange} />
        <GaugeCard shop={shop} onChange={onChange} />
      </>
    ),
  },
  {
    id: 'materials',
    title: 'Materials',
    cards: ({ shop, onChange }) => <MaterialCard shop={shop} onChange={onChange} />,
  },
  { id: 'lengths', title: 'Lengths', cards: figuresOf('allowances', 'bodies') },
  { id: 'minutes', title: 'Minutes', cards: figuresOf('handMinutes', 'setupMinutes', 'outside', '') },
  { id: 'cutting', title: 'Cutting', cards: figuresOf('cutting') },
  { id: 'money', title: 'Costs', cards: figuresOf('rates', 'spares', 'toGet', 'edges', 'programmed', 'spreads') },
];

/** Where the browser has what is changed and not kept. */
const DRAFT = 'shingle-shop-draft';

/** The shop as it is being changed: a copy in this browser until it is kept, and what became of keeping it. */
function useShopDraft(served: Shop, revision: number) {
  const [kept, setKept] = useState({ shop: served, revision });
  const [shop, setShop] = useState(served);
  const [problems, setProblems] = useState<Problem[]>([]);
  const [told, setTold] = useState('');
  const changed = useMemo(() => JSON.stringify(shop) !== JSON.stringify(kept.shop), [shop, kept]);

  // What is changed stays in this browser until it is kept, also when the page is left.
  useEffect(() => {
    const left = window.localStorage.getItem(DRAFT);
    const draft = left === null ? undefined : (JSON.parse(left) as { base: number; shop: Shop });
    if (draft?.base !== revision) return;
    queueMicrotask(() => {
      setShop(draft.shop);
      setTold('Changes that were not kept last time are here again, from this browser.');
    });
  }, [revision]);

  const change = (next: Shop) => {
    setShop(next);
    if (next === kept.shop) window.localStorage.removeItem(DRAFT);
    else window.localStorage.setItem(DRAFT, JSON.stringify({ base: kept.revision, shop: next }));
    setProblems([]);
    setTold('');
  };
  const save = async () => {
    const answer = await keepShop(kept.revision, shop);
    if (!answer.ok) return setProblems(answer.problems);
    window.localStorage.removeItem(DRAFT);
    setKept({ shop, revision: answer.value });
    setProblems([]);
    setTold('Kept. Every plan goes by it from now on.');
  };
  return { kept, shop, change, save, changed, problems, setProblems, told };
}

/** What this house has and how it does things: its rules, machines and tools, edited together and kept as a revision. */
export function ShopPlace({
  served,
  revision,
  used,
  offered,
}: Pick<Cards, 'used' | 'offered'> & { served: Shop; revision: number }) {
  const { kept, shop, change, save, changed, problems, setProblems, told } = useShopDraft(served, revision);
  const [asked, turnTo] = useAddressWord('page');
  const page = PAGES.find(({ id }) => id === asked)?.id ?? 'rules';
  const file = useRef<HTMLInputElement>(null);
  const takeIn = async (chosen: File | undefined) => {
    if (!chosen) return;
    try {
      const read = JSON.parse(await chosen.text()) as Shop;
      // Whether it is a shop at all: what is not is told, and what was changed so far stays.
      const answer = await previewShop(read);
      if (answer.ok) change(read);
      else setProblems(answer.problems);
    } catch {
      setProblems([{ path: chosen.name, message: 'is not JSON; a shop file comes from “Out as a file”' }]);
    }
  };
  return (
    <>
      <HouseBar at="shop" />
      <Room>
        <header>
          <h1>Shop</h1>
          <Button onPress={() => download('shop.json', `${JSON.stringify(shop, null, 2)}\n`, 'application/json')}>
            <Download size={16} aria-hidden /> Out as a file
          </Button>
          <Button onPress={() => file.current?.click()}>
            <Upload size={16} aria-hidden /> In from a file
          </Button>
          <input
            ref={file}
            type="file"
            accept="application/json,.json"
            aria-label="Shop file"
            hidden
            onChange={(event) => {
              void takeIn(event.target.files?.[0]);
              event.target.value = '';
            }}
          />
          <Button isDisabled={!changed} onPress={() => change(kept.shop)}>
            Undo changes
          </Button>
          <Button $strong isDisabled={!changed} onPress={() => void save()}>
            Keep changes
          </Button>
        </header>
        <div className="stack">
          {problems.map(({ path, message }) => (
            <Notice danger key={path + message}>
              <strong>{path || 'Not kept'}</strong> {message}
            </Notice>
          ))}
          {told && <Notice>{told}</Notice>}
          <Tabs selectedKey={page} onSelectionChange={(key) => turnTo(String(key))}>
            <Heads aria-label="What of the shop">
              {PAGES.map(({ id, title }) => (
                <Tab key={id} id={id}>
                  {title}
                </Tab>
              ))}
            </Heads>
            {PAGES.map(({ id, cards }) => (
              <Page key={id} id={id}>
                {cards({ shop, kept: kept.shop, used, onChange: change, ...(offered ? { offered } : {}) })}
              </Page>
            ))}
          </Tabs>
        </div>
        <Effects shop={shop} changed={changed} />
      </Room>
    </>
  );
}
