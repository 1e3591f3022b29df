import { dsvFormat } from 'd3-dsv';
import fc from 'fast-check';
import { figure, tableText } from './table';

describe('tableText', () => {
  it('writes figures with a point and columns with a comma, or figures with a comma and columns with a semicolon', () => {
    const rows = [
      ['section', 'short_m'],
      ['brass ⌀12.7, drawn', figure(2.5, 2)],
    ];
    expect(tableText(rows)).toBe('section,short_m\n"brass ⌀12.7, drawn",2.50\n');
    // Words keep their points: they are not figures.
    expect(tableText(rows, 'comma')).toBe('section;short_m\nbrass ⌀12.7, drawn;2,50\n');
  });

  it('leaves a figure that is not known empty', () => {
    expect(tableText([['bars', figure(undefined), figure(3)]])).toBe('bars,,3\n');
  });

  it('is read again as it was, whatever the words are', () => {
    const words = fc.array(fc.array(fc.string(), { minLength: 2, maxLength: 4 }), { minLength: 1, maxLength: 5 });
    fc.assert(
      fc.property(words, fc.constantFrom('point' as const, 'comma' as const), (rows, mark) => {
        const text = tableText(rows, mark).slice(0, -1);
        const plain = rows.map((row) => row.map((cell) => cell.replace(/\r\n?|\n/gu, '\n')));
        const read = dsvFormat(mark === 'comma' ? ';' : ',').parseRows(text);
        expect(read.map((row) => row.map((cell) => cell.replace(/\r\n?|\n/gu, '\n')))).toEqual(plain);
      }),
    );
  });
});
