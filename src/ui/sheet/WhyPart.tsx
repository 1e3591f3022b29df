'use client';
import { ArrowDown, ArrowUp, Check, CircleSlash, FlipHorizontal2, Gauge, MapPin, Wrench } from 'lucide-react';
import { useMemo } from 'react';
import styled from 'styled-components';
import { listedId } from '@/core/model/shop/tool';
import type { Plan } from '@/core/plan/plan';
import type { PlannedSetup, TimedOperation } from '@/core/plan/times/planTimes';
import { Button } from '../primitives/Button';
import { later } from '../primitives/later';
import { ByRules } from '../primitives/ByRules';
import { useWindow } from '../primitives/useWindow';
import { Overrules } from './Overrules';
import { Item, Part } from './panelParts';
import type { OrderEdits } from './useOrder';

const TryWindow = later(() => import('./TryWindow').then((loaded) => loaded.TryWindow));
const ChoiceWindow = later(() => import('./ChoiceWindow').then((loaded) => loaded.ChoiceWindow));

const Moves = styled.div`
  display: flex;
  flex-wrap: wrap;
  gap: 8px;
  margin: 8px 0 6px;
`;

interface Props {
  plan: Plan;
  planned: PlannedSetup;
  operation: TimedOperation;
  edits: OrderEdits;
}

type Choosing = 'tool' | 'end' | 'stop' | 'try';

/** What its window is headed by. */
const TITLES = { tool: 'A tool', end: 'The end', stop: 'What stops the slide' };

/** The reasons, and what could be decided otherwise. */
export function WhyPart({ plan, planned, operation, edits }: Props) {
  const [choosing, setChoosing] = useWindow<Choosing>('tool', 'end', 'stop', 'try');
  return (
    <>
      <Part>
        <h3>Why</h3>
        <ul>
          {operation.reasons.map(({ rule, because }) => (
            <Item key={rule + because} icon={<Check size={15} color="var(--brass)" aria-hidden />}>
              {because}
            </Item>
          ))}
        </ul>
        <ByRules of={operation.reasons} />
        <Overrules plan={plan} of={operation.key} edits={edits} />
        <Moves>
          <Button onPress={() => edits.shift(operation.key, -1)} isDisabled={planned.operations[0] === operation}>
            <ArrowUp size={15} aria-hidden /> Earlier
          </Button>
          <Button onPress={() => edits.shift(operation.key, 1)} isDisabled={planned.operations.at(-1) === operation}>
            <ArrowDown size={15} aria-hidden /> Later
          </Button>
        </Moves>
        <OtherWays operation={operation} onChoose={setChoosing} onSkip={() => edits.skip(operation.key)} />
      </Part>
      <ChoosingWindow
        planned={planned}
        operation={operation}
        choosing={choosing}
        onClose={() => setChoosing(undefined)}
      />
    </>
  );
}

interface OtherWaysProps {
  operation: TimedOperation;
  onChoose: (what: Choosing) => void;
  onSkip: () => void;
}

function OtherWays({ operation: { stop, feature }, onChoose, onSkip }: OtherWaysProps) {
  const byHand = stop.means === 'none';
  return (
    <Moves>
      <Button onPress={() => onChoose('try')} isDisabled={byHand}>
        <Gauge size={15} aria-hidden /> Try otherwise …
      </Button>
      <Button onPress={() => onChoose('tool')} isDisabled={byHand}>
        <Wrench size={15} aria-hidden /> Other tool …
      </Button>
      <Button onPress={() => onChoose('stop')} isDisabled={byHand}>
        <MapPin size={15} aria-hidden /> Other stop …
      </Button>
      <Button onPress={() => onChoose('end')} isDisabled={byHand || !feature.startsWith('part.')}>
        <FlipHorizontal2 size={15} aria-hidden /> Other end …
      </Button>
      <Button onPress={onSkip}>
        <CircleSlash size={15} aria-hidden /> Leave out
      </Button>
    </Moves>
  );
}

interface ChoosingProps {
  planned: PlannedSetup;
  operation: TimedOperation;
  choosing: Choosing | undefined;
  onClose: () => void;
}

function ChoosingWindow({ planned, operation, choosing, onClose }: ChoosingProps) {
  const { key, feature } = operation;
  const questions = useMemo(
    () => ({ tool: { operation: key }, end: { feature }, stop: { stop: key } }),
    [key, feature],
  );
  return (
    <>
      {choosing === 'try' && (
        <TryWindow
          tile={{ key, setup: planned.setup.side }}
          operation={{
            number: operation.number,
            name: operation.name,
            tool: listedId(operation.tool),
            kind: operation.kind,
          }}
          onClose={onClose}
        />
      )}
      {choosing && choosing !== 'try' && (
        <ChoiceWindow
          title={`${TITLES[choosing]} for ${operation.number} ${operation.name}`}
          question={questions[choosing]}
          onClose={onClose}
        />
      )}
    </>
  );
}
