import { guessedColumns, readList, readRunRows, runsOf } from './runsCsv';

const office = `Order no;Item;Qty;Delivery date;Client
4711;WS-210;1,200 pcs;2026-12-18;hill station
4712;"WS-031";80;4.1.2027;"coast station; north"

4713;WS-118;25;;
`;

test('a list with semicolons is read by what stands over its columns; empty rows are left out', () => {
  const list = readList(office);
  expect(list.heads).toEqual(['Order no', 'Item', 'Qty', 'Delivery date', 'Client']);
  const columns = guessedColumns(list.heads);
  expect(columns).toEqual({ order: 0, number: 1, quantity: 2, due: 3, customer: 4 });
  expect(runsOf(list, columns)).toEqual({
    problems: [],
    runs: [
      { number: 'WS-210', quantity: 1200, due: '2026-12-18', customer: 'hill station', order: '4711' },
      { number: 'WS-031', quantity: 80, due: '2027-01-04', customer: 'coast station; north', order: '4712' },
      { number: 'WS-118', quantity: 25, order: '4713' },
    ],
  });
});

test('commas, tabs and a mark of the byte order at its front', () => {
  expect(readList('\uFEFFpart,quantity\nA,1\n').rows).toEqual([['A', '1']]);
  expect(readList('part\tquantity\r\nA\t1\r\n').rows).toEqual([['A', '1']]);
});

test('mistakes are told row by row, and a day that could be two is not guessed', () => {
  const list = readList('part,quantity,due\n,5,\nA,few,04/12/2026\nB,3,2026-02-30\n');
  const { problems } = runsOf(list, guessedColumns(list.heads));
  expect(problems.map(({ path }) => path)).toEqual([
    'rows[0].number',
    'rows[1].quantity',
    'rows[1].due',
    'rows[2].due',
  ]);
  expect(problems[2]?.message).toContain('write it as 2026-12-04 or 4.12.2026');
});

test('columns that nobody named are asked for', () => {
  const list = readList('a,b\n1,2\n');
  expect(guessedColumns(list.heads)).toEqual({});
  expect(runsOf(list, {}).problems.map(({ path }) => path)).toEqual(['columns.number', 'columns.quantity']);
});

test('rows that are sent are looked at again', () => {
  expect(readRunRows({ rows: [{ number: 'A', quantity: 1 }] }).ok).toBe(true);
  for (const rows of [[], [{ number: 'A', quantity: 0 }], [{ number: 'A', quantity: 1, due: 'soon' }]])
    expect(readRunRows({ rows }).ok).toBe(false);
});
