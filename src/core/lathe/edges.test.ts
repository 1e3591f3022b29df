import { edgesIn } from './edges';
import type { Happening } from './events';
import { eventOf } from './testing';

const event = (happening: Happening, piece: number, operation = 'rough') => eventOf(happening, { piece, operation });
const done = (piece: number, operation?: string) => event({ kind: 'done' }, piece, operation);
const edge = (what: 'changed' | 'ground' | 'broken', tool = 'roughing-tool') => event({ kind: 'edge', tool, what }, 1);
const toolOf = (operation: string) =>
  ({ rough: 'roughing-tool', face: 'roughing-tool', bore: 'boring-bar' })[operation];

test('pieces between one edge and the next, each once whatever the tool did to it', () => {
  const events = [
    done(1),
    done(1, 'face'),
    done(2),
    done(3),
    edge('changed'),
    done(4),
    done(5),
    edge('ground'),
    done(6),
  ];
  expect(edgesIn(events, toolOf)).toEqual([
    {
      tool: 'roughing-tool',
      edges: [
        { pieces: 3, ended: 'changed' },
        { pieces: 2, ended: 'ground' },
      ],
      now: 1,
      mean: 2.5,
    },
  ]);
});

test('an edge that broke says nothing of how long one lasts; another tool’s pieces are its own', () => {
  const [roughing] = edgesIn([done(1, 'bore'), done(1), edge('broken'), done(2)], toolOf);
  expect(roughing).toEqual({ tool: 'roughing-tool', edges: [{ pieces: 1, ended: 'broken' }], now: 1, mean: undefined });
});
