'use client';
import { Pause, Play, StepBack, StepForward, X } from 'lucide-react';
import { useEffect, useMemo, useRef } from 'react';
import { Slider, SliderThumb, SliderTrack } from 'react-aria-components';
import styled from 'styled-components';
import type { UnitSystem } from '@/core/model/units/length';
import { say } from '@/core/model/words';
import type { Plan } from '@/core/plan/plan';
import type { PlannedSetup } from '@/core/plan/times/planTimes';
import { sayFault } from '@/core/present/fault';
import { filmOf, type Film, type Still } from '@/core/present/film';
import { Button } from '../primitives/Button';
import { useShortcuts } from '../run/useShortcuts';
import { PlayedWork } from './PlayedWork';
import type { SheetLayout } from './sheetLayout';
import { usePlay } from './usePlay';

interface Props {
  plan: Plan;
  planned: PlannedSetup;
  layout: SheetLayout;
  /** What was chosen by hand: the film goes there. */
  chosen: { key?: string | undefined; pass?: number | undefined };
  /** Shows the operation and the pass that the film comes to. */
  onShow: (key: string, pass: number) => void;
  onClose: () => void;
}

const Bar = styled.div`
  position: absolute;
  left: 8px;
  right: 8px;
  transform: translateY(-100%);
  display: grid;
  grid-template-columns: auto minmax(80px, 1fr) minmax(0, 380px) auto;
  gap: 10px;
  align-items: center;
  padding: 4px 8px;
  border: 1px solid var(--line);
  border-radius: var(--round);
  background: var(--sheet);
  font-size: 14px;
  > div {
    display: flex;
    gap: 4px;
    align-items: center;
  }
  button {
    min-height: 30px;
    padding: 0 9px;
  }
  @media (pointer: coarse) {
    button {
      min-height: 44px;
      padding: 0 12px;
    }
  }
`;

const Track = styled(SliderTrack)`
  position: relative;
  height: 30px;
  width: 100%;
  background: linear-gradient(var(--line), var(--line)) center / 100% 4px no-repeat;
  cursor: pointer;
  .thumb {
    top: 50%;
    width: 8px;
    height: 24px;
    border-radius: 3px;
    background: var(--blue);
    &[data-focus-visible] {
      outline: 2px solid var(--blue);
      outline-offset: 2px;
    }
  }
  i {
    position: absolute;
    top: 8px;
    height: 14px;
    width: 3px;
    background: var(--oxide);
  }
`;

const Said = styled.output`
  overflow: hidden;
  font-variant-numeric: tabular-nums;
  line-height: 1.25;
  &[data-danger] {
    color: var(--oxide);
    font-weight: 600;
  }
`;

/** Nearer than this the distance stands out, mm. */
const CLOSE = 2;

/** What goes on, or what is met: in a line. */
function sayStill(
  { shot, nearest }: Still,
  planned: PlannedSetup,
  units: UnitSystem,
): { words: string; danger: boolean } {
  const fault = shot.faults[0];
  if (fault) return { words: sayFault(fault, units), danger: true };
  const operation = planned.operations.find(({ number }) => number === shot.operation);
  const passes = operation?.passes.length ?? 1;
  const pass = passes > 1 ? `, pass ${shot.pass + 1} of ${passes}` : '';
  const near = nearest ? `; ${say(Number(nearest.distance.toFixed(2)), units)} to the ${nearest.what}` : '';
  return {
    words: `${shot.operation} ${operation?.name ?? ''}${pass}${near}`,
    danger: nearest !== undefined && nearest.distance < CLOSE / 10,
  };
}

/** Where a film begins: with what is selected, else from its start. */
const startOf = (film: Film, { key, pass }: Props['chosen']): number =>
  film.shots.find((shot) => shot.key === key && (pass === undefined || shot.pass === pass))?.begins ?? 0;

/** The cuts of a set-up, played on the drawing: the tool to scale comes, cuts and goes. */
export function Player({ plan, planned, layout, chosen, onShow, onClose }: Props) {
  const { units } = plan.run;
  const film = useMemo(() => filmOf(plan, planned), [plan, planned]);
  const { time, still, playing, speed, toggle, step, faster, seek } = usePlay(film, startOf(film, chosen));
  // Tile and pin follow the film.
  const [key, pass] = [still?.shot.key, still?.shot.pass];
  useEffect(() => {
    if (key !== undefined && pass !== undefined) onShow(key, pass);
  }, [key, pass, onShow]);
  const begun = useRef(chosen);
  useEffect(() => {
    if (chosen === begun.current) return;
    begun.current = chosen;
    if (chosen.key !== undefined) seek(startOf(film, chosen));
  }, [chosen, film, seek]);
  useShortcuts(
    useMemo(
      () => ({
        p: toggle,
        '.': () => step(1),
        ',': () => step(-1),
        '+': () => faster(1),
        '-': () => faster(-1),
      }),
      [toggle, step, faster],
    ),
  );
  if (!still) return null;
  const { words, danger } = sayStill(still, planned, units);
  return (
    <>
      <PlayedWork still={still} planned={planned} layout={layout} />
      <Bar style={{ top: layout.work.height - 3 }} role="group" aria-label="Play the cuts">
        <div>
          <Button onPress={() => step(-1)} aria-label="Back a move">
            <StepBack size={16} aria-hidden />
          </Button>
          <Button onPress={toggle} aria-label={playing ? 'Pause' : 'Play'}>
            {playing ? <Pause size={16} aria-hidden /> : <Play size={16} aria-hidden />}
          </Button>
          <Button onPress={() => step(1)} aria-label="On a move">
            <StepForward size={16} aria-hidden />
          </Button>
          <Button onPress={() => faster(speed === 64 ? -1 : 1)} aria-label={`Speed: ${speed} times the lathe’s`}>
            {speed} ×
          </Button>
        </div>
        <Slider
          aria-label="Time in this set-up"
          value={time}
          minValue={0}
          maxValue={film.minutes}
          step={film.minutes / 1000}
          onChange={seek}
          formatOptions={{ maximumFractionDigits: 2 }}
        >
          <Track>
            {film.shots.map(({ faults, begins }, index) =>
              faults.length > 0 ? <i key={index} style={{ left: `${(100 * begins) / film.minutes}%` }} /> : null,
            )}
            <SliderThumb className="thumb" />
          </Track>
        </Slider>
        <Said data-danger={danger || undefined}>{words}</Said>
        <Button onPress={onClose} aria-label="Close the player">
          <X size={16} aria-hidden />
        </Button>
      </Bar>
    </>
  );
}
