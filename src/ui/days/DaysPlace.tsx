'use client';
import { CalendarDays, Printer, Undo2 } from 'lucide-react';
import { useState } from 'react';
import styled from 'styled-components';
import type { DaysFile } from '@/core/schedule/days';
import { Button, ButtonLink } from '../primitives/Button';
import { Empty } from '../primitives/Card';
import { Choice } from '../primitives/Field';
import { HouseBar } from '../primitives/HouseBar';
import { useSize } from '../primitives/useSize';
import { useWindow } from '../primitives/useWindow';
import { DaysTable } from './DaysTable';
import { HoursWindow } from './HoursWindow';
import { Lanes } from './Lanes';
import { ProposedCard } from './ProposedCard';
import { RunPanel } from './RunPanel';
import { Told } from './Told';
import { useDays, type AtTheDays, type Machine } from './useDays';
import { sayDay } from './words';

const Room = styled.main`
  display: grid;
  grid-template-columns: minmax(0, 1fr) 340px;
  gap: 14px 18px;
  padding: 14px 20px 40px;
  .all {
    grid-column: 1 / -1;
    min-width: 0;
    overflow-x: auto;
  }
  /* Words are not broken into letters on a phone: it is drawn to the side. */
  .all table {
    min-width: 640px;
  }
  h1 {
    font-size: 21px;
  }
  aside {
    display: grid;
    gap: 14px;
    align-content: start;
  }
  @media (max-width: 980px) {
    grid-template-columns: minmax(0, 1fr);
  }
  .on-paper {
    display: none;
  }
  @media print {
    display: block;
    .on-paper {
      display: block;
      margin-bottom: 8px;
    }
    padding: 0;
    aside,
    .screen-only {
      display: none;
    }
  }
`;

const Tools = styled.div`
  display: flex;
  flex-wrap: wrap;
  gap: 8px 14px;
  align-items: end;
  margin-bottom: 10px;
  h1 {
    margin-right: auto;
  }
`;

/** How many days are as wide as the room. */
const ZOOMS = { '1': 'a day', '5': 'a week', '22': 'a month', '65': 'a quarter' };

/** When, on which lathe: the runs of the shop in its days. */
export function DaysPlace({
  begun,
  machines,
}: {
  begun: { revision: number; days: DaysFile };
  machines: readonly Machine[];
}) {
  const at = useDays(begun, machines);
  const { answer, runs, proposed, days, placedBy, today, now } = at;
  const [chosen, setChosen] = useState<number>();
  const [across, setAcross] = useState<Across>('5');
  const [open, show] = useWindow('hours');
  const [frame, size] = useSize<HTMLDivElement>({ width: 880, height: 400 });
  const shown = proposed?.answer ?? answer;
  const shownDays = (proposed?.answer && proposed.days) ?? placedBy;
  return (
    <>
      <HouseBar at="days" />
      <Room id="main">
        <div ref={frame}>
          <h1 className="on-paper">Days from {sayDay(today)}</h1>
          <Head at={at} across={across} onAcross={setAcross} onHours={() => show('hours')} />
          <Told at={at} machines={machines} />
          {shown && shown.placed.length > 0 && runs && (
            <Lanes
              {...{ runs, machines, today, now, chosen }}
              days={shownDays}
              answer={shown}
              room={size.width}
              across={Number(across)}
              onChoose={setChosen}
              onTry={(words, order) => void at.tryOrder(words, order)}
            />
          )}
          {answer?.placed.length === 0 && runs?.every(({ lathes }) => lathes) && (
            <Empty>
              <h2>No run is to be made</h2>
              <p>A run that is released, begun, or promised for a day stands here, on the lathe that makes it.</p>
            </Empty>
          )}
        </div>
        <Side at={at} machines={machines} chosen={chosen} />
        <div className="all" role="group" aria-label="The same in words" tabIndex={0}>
          {shown && runs && (
            <DaysTable answer={shown} days={shownDays} {...{ runs, machines, today }} onChoose={setChosen} />
          )}
        </div>
      </Room>
      {open === 'hours' && (
        <HoursWindow {...{ days, machines }} onKeep={(next) => void at.keep(next)} onClose={() => show(undefined)} />
      )}
    </>
  );
}

type Across = keyof typeof ZOOMS;

/** What is done to the days as a whole. */
function Head(props: { at: AtTheDays; across: Across; onAcross: (across: Across) => void; onHours: () => void }) {
  const { at, across, onAcross, onHours } = props;
  return (
    <Tools className="screen-only">
      <h1>Days</h1>
      <Choice label="As wide as the page" value={across} onChange={onAcross}>
        {Object.entries(ZOOMS).map(([value, words]) => (
          <option key={value} value={value}>
            {words}
          </option>
        ))}
      </Choice>
      <Button onPress={onHours}>Who works when …</Button>
      {at.round === undefined ? (
        <Button onPress={() => void at.bestAnew()} isDisabled={!at.answer}>
          The best order anew …
        </Button>
      ) : (
        <Button onPress={at.cancel}>Stop looking ({at.round} rounds)</Button>
      )}
      {at.undo && (
        <Button onPress={at.undo}>
          <Undo2 size={16} aria-hidden /> Undo
        </Button>
      )}
      <Button onPress={() => window.print()}>
        <Printer size={16} aria-hidden /> Print
      </Button>
      {at.days.order.length > 0 && (
        <ButtonLink href="/api/days/calendar" download>
          <CalendarDays size={16} aria-hidden /> Calendar
        </ButtonLink>
      )}
    </Tools>
  );
}

/** Beside the lanes: what is tried, and the run that was pressed. */
function Side({ at, machines, chosen }: { at: AtTheDays; machines: readonly Machine[]; chosen: number | undefined }) {
  const { answer, runs, proposed, days, placedBy, today } = at;
  const run = runs?.find(({ id }) => id === chosen);
  return (
    <aside>
      {proposed && answer && runs && (
        <ProposedCard
          key={proposed.words}
          {...{ proposed, answer, runs, days }}
          onTake={() => void at.take(proposed)}
          onLeave={at.leave}
        />
      )}
      {run && runs && answer && (
        <RunPanel
          key={`panel ${run.id}`}
          {...{ run, runs, answer, days, placedBy, machines, today }}
          onKeep={(next) => void at.keep(next)}
          onRush={at.rush}
          onEndangers={at.endangers}
          onTry={(words, { order }) => void at.tryOrder(words, order)}
        />
      )}
      {!run && (
        <p>
          Press a run to see what it takes and how sure its day is. Drag it, or press Alt and an arrow, to try another
          place.
        </p>
      )}
    </aside>
  );
}
