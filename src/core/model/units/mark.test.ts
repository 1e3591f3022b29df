import { formatLength, formatNominal } from './length';
import { KEPT_MARK, knownBy, sayEntry, sayFigure, sayFixed, sayKept, type Mark } from './mark';
import { numbersIn, sayNumbers } from './numbers';
import { sayMinutes, show } from './show';

const asOn = (mark: Mark | typeof KEPT_MARK) => (globalThis.decimalMark = () => mark);
afterEach(() => (globalThis.decimalMark = undefined));

describe('a device that was told nothing', () => {
  test('says a point, and no noughts that say nothing', () => {
    expect([sayFigure(12.5), sayFigure(12.3456, 2), sayFigure(12, 3), sayFixed(12.5, 2)]).toEqual([
      '12.5',
      '12.35',
      '12',
      '12.50',
    ]);
  });
});

describe('a device that wants a comma', () => {
  beforeEach(() => asOn(','));

  test('has it in every figure, whatever says it', () => {
    expect([sayFigure(12.5), sayFixed(0.05, 3), formatLength(-0.5, 'mm'), formatNominal(25.4, 'in')]).toEqual([
      '12,5',
      '0,050',
      '−0,50',
      '1',
    ]);
    expect([sayMinutes(7.94), show(0.125, 'mm/rev', 'mm').text, show(1.5, 'mm', 'mm').text]).toEqual([
      '7,9 min',
      '0,125',
      '1,50',
    ]);
  });

  test('shows no sign before nothing', () => expect(formatLength(-0.001, 'mm')).toBe('0,00'));

  test('leaves an entry as it was typed', () => {
    expect([sayEntry('12.5'), sayEntry(12.5), sayEntry('3/8 in')]).toEqual(['12.5', '12,5', '3/8 in']);
  });

  test('tells numbers of a line apart by semicolons, and reads them so', () => {
    expect(sayNumbers([0.5, 80, 1.25])).toBe('0,5; 80; 1,25');
    expect(numbersIn('0,5; 80; 1,25')).toEqual([0.5, 80, 1.25]);
    expect(numbersIn('0,5 80, 1,25')).toEqual([0.5, 80, 1.25]);
  });
});

describe('numbers of a line with a point', () => {
  test.each([
    ['63, 80, 125', [63, 80, 125]],
    ['63,80,125', [63, 80, 125]],
    ['0.5 0.8', [0.5, 0.8]],
    // Nobody puts semicolons between numbers that have points.
    ['0,5; 0,8', [0.5, 0.8]],
  ])('%s', (text, numbers) => expect(numbersIn(text)).toEqual(numbers));

  test('what is none is no number', () => expect(numbersIn('63, often')).toEqual([63, NaN]));
});

test('words that are kept are said by whoever reads them', () => {
  asOn(KEPT_MARK);
  const kept = JSON.stringify({ size: `⌀${sayFigure(12.5)}`, number: 'A-1.5' });
  asOn(',');
  expect(sayKept(kept)).toBe('{"size":"⌀12,5","number":"A-1.5"}');
  asOn('.');
  expect(sayKept(kept)).toBe('{"size":"⌀12.5","number":"A-1.5"}');
});

test('a thing is known again by words that another device said with a comma', () => {
  expect(knownBy('bore ⌀6,8, depth 12,25 mm')).toBe('bore ⌀6.8, depth 12.25 mm');
  expect(knownBy('bore ⌀6.8, then 3')).toBe('bore ⌀6.8, then 3');
});
