import { doubledIn } from './doubled';
import { inOrder, type Happening } from './events';
import { eventOf } from './testing';

const from = (device: string, seq: number, piece: number, happening: Happening, operation = 'turn') =>
  eventOf(happening, { id: `${device}${seq}`, device, seq, piece, operation });

test('a step of a piece that two devices did is told, with what each wrote of that piece', () => {
  const events = [
    from('tablet', 1, 4, { kind: 'done' }),
    from('tablet', 2, 5, { kind: 'done' }),
    from('phone', 1, 5, { kind: 'done' }),
    from('phone', 2, 5, { kind: 'done' }, 'bore'),
  ];
  expect(doubledIn(events)).toEqual([
    {
      piece: 5,
      by: [
        { device: 'tablet', events: ['tablet2'] },
        { device: 'phone', events: ['phone1', 'phone2'] },
      ],
    },
  ]);
});

test('what was done before both went on without a net was done once: it is not one or the other', () => {
  const events = [
    from('tablet', 1, 1, { kind: 'done' }, 'mount'),
    from('phone', 1, 1, { kind: 'done' }, 'turn'),
    from('tablet', 2, 1, { kind: 'done' }, 'turn'),
    from('tablet', 3, 1, { kind: 'done' }, 'bore'),
  ];
  expect(doubledIn(events)[0]?.by).toEqual([
    { device: 'tablet', events: ['tablet2', 'tablet3'] },
    { device: 'phone', events: ['phone1'] },
  ]);
});

test('two devices that do different steps of a piece, or one that does a step twice, are none', () => {
  expect(
    doubledIn([
      from('tablet', 1, 5, { kind: 'done' }),
      from('tablet', 2, 5, { kind: 'done' }),
      from('phone', 1, 5, { kind: 'done' }, 'bore'),
    ]),
  ).toEqual([]);
});

test('a size that two devices measured of one piece is told; struck out, it is one again', () => {
  const size = (device: string, seq: number, mm: number) =>
    from(device, seq, 2, { kind: 'measured', what: '⌀10', readings: [mm], size: mm });
  const both = [size('tablet', 1, 9.98), size('phone', 1, 9.99)];
  expect(doubledIn(both).map(({ piece }) => piece)).toEqual([2]);
  const struck = from('tablet', 2, 2, { kind: 'struck', event: 'phone1' });
  expect(doubledIn(inOrder([...both, struck]))).toEqual([]);
});
