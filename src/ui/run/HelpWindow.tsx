'use client';
import { sayFigure } from '@/core/model/units/mark';
import styled from 'styled-components';
import { PLACE_WORDS, PLACES } from './places';
import { Window } from '../primitives/Window';

const KEYS: [string, string][] = [
  ['↑ ↓', 'the operation before, the one after'],
  ['← →', 'the pass before, the one after'],
  ['Tab', 'to the next figure, field or button'],
  ['Enter', 'on a figure: its working; on a diameter in the drawing: change it; in a step: the next step'],
  ['Escape', 'close what is open'],
  ['P', 'in the player of the sheet: play, pause'],
  [', .', 'there: a move back, a move on'],
  ['+ −', 'there: quicker, slower'],
  ['Ctrl Z, Ctrl Y', 'undo, redo'],
  ['Ctrl S', 'save'],
  ['Alt ↑, Alt ↓', 'in a step, or on an operation of the sheet: move it up, down'],
  [`1 … ${PLACES.length}`, PLACES.map((place) => PLACE_WORDS[place].toLowerCase()).join(', ')],
  ['?', 'this help'],
];

const List = styled.dl`
  display: grid;
  grid-template-columns: max-content 1fr;
  gap: 8px 18px;
  dt {
    font-family: var(--mono);
  }
`;

const Notes = styled.p`
  margin-top: 16px;
  color: var(--ink-soft);
`;

/** The keys, and how figures are written. */
export function HelpWindow({ onClose }: { onClose: () => void }) {
  return (
    <Window title="Keys" open onClose={onClose}>
      <List>
        {KEYS.map(([key, what]) => (
          <div key={key} style={{ display: 'contents' }}>
            <dt>{key}</dt>
            <dd>{what}</dd>
          </div>
        ))}
      </List>
      <Notes>
        Lengths are written as on the drawing: {sayFigure(12.7)}, 3/8 in, 1 1/32&quot;, .35in. A tolerance follows its
        size: 14 h8, 22 −{sayFigure(0.1)}/0, 9 ±{sayFigure(0.05)}; without one the general tolerance applies. z counts
        from the finished face, towards the chuck. The shop&apos;s rules, the machine&apos;s manual and local law come
        before anything planned here.
      </Notes>
    </Window>
  );
}
