import { csvParse } from 'd3-dsv';
import { assumed } from '../present/assumed';
import { quotationTable } from './quotationTable';
import { tableText } from './table';
import { example, planned } from '../testing';
import { quotedPrices } from '../money/quotation';

test('cost, a twentieth for what may go wrong, a quarter earned: 100 pieces for 262.50', () => {
  // 200 × 1.05 × 1.25 = 262.50, which is 2.625 a piece: 2.63, and a hundred of it.
  const quote = { margin: 25, firstRisk: 5 };
  expect(quotedPrices([{ quantity: 100, batch: 200 }], quote)).toEqual([{ quantity: 100, each: 2.63, all: 263 }]);
});

test('where nothing is said it is offered at cost', () => {
  expect(quotedPrices([{ quantity: 3, batch: 10 }])).toEqual([{ quantity: 3, each: 3.33, all: 9.99 }]);
});

test('as a table it reads back as it was', () => {
  const text = tableText(
    quotationTable({ number: 'WS-1, long', revision: 'B' }, [{ quantity: 100, each: 2.63, all: 263 }], '€'),
  );
  expect(csvParse(text)[0]).toEqual({
    part: 'WS-1, long',
    revision: 'B',
    quantity: '100',
    'each, €': '2.63',
    'in all, €': '263.00',
  });
});

test('what it rests on: drawing and revision, material and stock', () => {
  expect(assumed(planned(example('pivot-pin'))).slice(0, 2)).toEqual([
    expect.stringMatching(/^drawing WS-118/),
    expect.stringContaining('⌀'),
  ]);
});
