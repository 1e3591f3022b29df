import { sayMinutes, show } from './show';

describe('values as they are shown', () => {
  test.each([
    [12.7, 'mm', 'mm', '12.70', 'mm'],
    [12.7, 'mm', 'in', '0.500', 'in'],
    [0.2, 'mm/rev', 'mm', '0.200', 'mm/rev'],
    [0.2, 'mm/rev', 'in', '0.0079', 'in/rev'],
    [100, 'm/min', 'in', '328', 'ft/min'],
    [100.4, 'm/min', 'mm', '100', 'm/min'],
    [1120, 'rev/min', 'in', '1120', 'rev/min'],
    [1.5, 'min', 'mm', '1.50', 'min'],
    [11.451, 'kg', 'mm', '11.45', 'kg'],
    [0.5, '', 'mm', '0.5', ''],
  ] as const)('%d %s in %s', (value, unit, units, text, shown) => {
    expect(show(value, unit, units)).toEqual({ text, unit: shown });
  });

  test('one place more where the tolerance asks', () => {
    expect(show(13.9865, 'mm', 'mm', true).text).toBe('13.986');
    expect(show(6.35, 'mm', 'in', true).text).toBe('0.2500');
  });
});

test('minutes as people say them', () => {
  expect([7.94, 99.9, 100, 1000.4, 1439.6].map(sayMinutes)).toEqual([
    '7.9 min',
    '99.9 min',
    '1 h 40',
    '16 h 40',
    '24 h 00',
  ]);
});
