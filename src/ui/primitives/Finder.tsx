'use client';
import Link from 'next/link';
import { usePathname, useRouter } from 'next/navigation';
import { useEffect, useRef, useState } from 'react';
import styled from 'styled-components';
import { Button } from './Button';

const Bar = styled.form`
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 8px 12px;
  margin-bottom: 12px;
  input,
  select {
    min-height: 34px;
    padding: 0 9px;
    border: 1px solid var(--line);
    border-radius: var(--round);
    background: var(--sheet);
    color: var(--ink);
    font: inherit;
  }
  input {
    width: 260px;
  }
  label {
    display: flex;
    align-items: center;
    gap: 7px;
    color: var(--ink-soft);
    font-size: 14px;
  }
  > span {
    color: var(--ink-soft);
    font-size: 14px;
  }
  > button {
    display: none;
  }
  @media (pointer: coarse) {
    input,
    select {
      min-height: 44px;
    }
  }
  /* A phone shows the list: what narrows it comes when it is asked for. */
  @media (max-width: 600px) {
    > button {
      display: inline-flex;
    }
    label {
      flex: 1 1 100%;
      justify-content: space-between;
    }
    input,
    select {
      width: 66%;
    }
    &[data-narrow='closed'] label:not(:first-child) {
      display: none;
    }
  }
`;

/** What is looked for in a list, as it stands in the address. */
export interface Sought {
  find: string;
  order?: string;
  page: number;
  /** What else narrows it, by its name in the address. */
  narrowed?: Readonly<Record<string, string>>;
}

/** Something that a list is narrowed by: its name in the address, its label, and what it may be; the first is the usual. */
export interface Narrowing {
  name: string;
  label: string;
  options: readonly (readonly [string, string])[];
}

/** What is looked for as an address, on `path`. */
export const addressOf = (path: string, { find, order, page, narrowed = {} }: Sought): string => {
  const asked = new URLSearchParams();
  if (find) asked.set('find', find);
  if (order) asked.set('order', order);
  for (const [name, value] of Object.entries(narrowed)) if (value) asked.set(name, value);
  if (page > 1) asked.set('page', String(page));
  return asked.size > 0 ? `${path}?${asked}` : path;
};

/** Time after a letter before the server is asked, ms. */
const PAUSE_MS = 250;

/** Finding and sorting in a long list: the server does it, the address keeps it. Without scripts it is a plain form. */
export function Finder({
  sought,
  what,
  orders,
  narrowings = [],
  children,
}: {
  sought: Sought;
  /** What is looked for, for the label. */
  what: string;
  /** Names of the orders, by what the address calls them; the first is the usual one. */
  orders?: readonly (readonly [string, string])[];
  narrowings?: readonly Narrowing[];
  /** How many are found. */
  children?: React.ReactNode;
}) {
  const router = useRouter();
  const path = usePathname();
  const [find, setFind] = useState(sought.find);
  const [narrow, setNarrow] = useState(false);
  const timer = useRef<ReturnType<typeof setTimeout>>(undefined);
  useEffect(() => () => clearTimeout(timer.current), []);
  // Asked for last, also while the server is still at it.
  const asked = useRef(sought);
  useEffect(() => void (asked.current = sought), [sought]);
  const usual = orders?.[0]?.[0];
  const narrowedBy = Object.values(sought.narrowed ?? {}).filter(Boolean).length;
  const go = (next: Partial<Sought>, pause = 0) => {
    clearTimeout(timer.current);
    asked.current = { ...asked.current, find, page: 1, ...next };
    const { order, ...rest } = asked.current;
    const address = addressOf(path, order && order !== usual ? { ...rest, order } : rest);
    timer.current = setTimeout(() => router.replace(address, { scroll: false }), pause);
  };
  return (
    <Bar
      role="search"
      data-narrow={narrow ? 'open' : 'closed'}
      onSubmit={(event) => {
        event.preventDefault();
        go({});
      }}
    >
      <label>
        {what}
        <input
          type="search"
          name="find"
          value={find}
          maxLength={100}
          autoComplete="off"
          spellCheck={false}
          onChange={({ target: { value } }) => {
            setFind(value);
            go({ find: value }, PAUSE_MS);
          }}
        />
      </label>
      {(orders ?? narrowings).length > 0 && (
        <Button aria-expanded={narrow} onPress={() => setNarrow(!narrow)}>
          {narrow ? 'Only find' : `Order and narrow${narrowedBy > 0 ? ` (${narrowedBy})` : ''}`}
        </Button>
      )}
      {orders && <OrderChoice orders={orders} value={sought.order ?? usual} onChange={(order) => go({ order })} />}
      {narrowings.map((narrowing) => (
        <NarrowingChoice
          key={narrowing.name}
          narrowing={narrowing}
          value={sought.narrowed?.[narrowing.name] ?? ''}
          onChange={(value) => go({ narrowed: { ...asked.current.narrowed, [narrowing.name]: value } })}
        />
      ))}
      <span role="status">{children}</span>
    </Bar>
  );
}

/** What the list is sorted by. */
const OrderChoice = ({
  orders,
  value,
  onChange,
}: {
  orders: readonly (readonly [string, string])[];
  value: string | undefined;
  onChange: (order: string) => void;
}) => (
  <label>
    Order
    <select name="order" value={value} onChange={({ target }) => onChange(target.value)}>
      {orders.map(([order, words]) => (
        <option key={order} value={order}>
          {words}
        </option>
      ))}
    </select>
  </label>
);

/** One thing that the list is narrowed by; the usual is nothing in the address. */
function NarrowingChoice({
  narrowing: { name, label, options },
  value,
  onChange,
}: {
  narrowing: Narrowing;
  value: string;
  onChange: (value: string) => void;
}) {
  const usual = options[0]?.[0] ?? '';
  return (
    <label>
      {label}
      <select
        name={name}
        value={value || usual}
        onChange={({ target }) => onChange(target.value === usual ? '' : target.value)}
      >
        {options.map(([option, words]) => (
          <option key={option} value={option}>
            {words}
          </option>
        ))}
      </select>
    </label>
  );
}

const Leaf = styled.nav`
  display: flex;
  align-items: center;
  justify-content: center;
  gap: 16px;
  margin-top: 14px;
  a {
    display: flex;
    align-items: center;
    min-height: 34px;
    padding: 0 14px;
    border: 1px solid var(--line);
    border-radius: var(--round);
    background: var(--sheet);
    text-decoration: none;
  }
  a:hover {
    background: var(--hover);
  }
  @media (pointer: coarse) {
    a {
      min-height: 44px;
    }
  }
`;

/** The pages of a long list; nothing where there is one. */
export function Pages({ sought, pages }: { sought: Sought; pages: number }) {
  const path = usePathname();
  if (pages <= 1) return null;
  const { page } = sought;
  return (
    <Leaf aria-label="Pages">
      {page > 1 && (
        <Link href={addressOf(path, { ...sought, page: page - 1 })} prefetch={false} rel="prev">
          Before
        </Link>
      )}
      <span>
        page {page} of {pages}
      </span>
      {page < pages && (
        <Link href={addressOf(path, { ...sought, page: page + 1 })} prefetch={false} rel="next">
          After
        </Link>
      )}
    </Leaf>
  );
}
