import { startValues } from '../core/model/shop/startValues';
import { example } from '../core/testing';
import { whatIf } from './whatIf';

const changed = (file: unknown, set: string) => {
  const found = whatIf(file, startValues, [set]);
  if (!found.ok) throw new Error(JSON.stringify(found.problems));
  return found.value.time.find(({ what }) => what === 'The batch');
};

test('shop.machine is the machine of the run, also one that the file brings with it', () => {
  const file = example('gland-body');
  const [lathe] = startValues.machines;
  const own = { ...file, machine: lathe };
  // Without screws every shoulder is read off: no batch is quicker for it.
  for (const run of [file, own]) {
    const batch = changed(run, 'shop.machine.stations=0');
    expect(batch?.changed).toBe(true);
    expect(Number(batch?.after)).toBeGreaterThan(Number(batch?.before));
  }
  expect(changed(file, 'shop.machine.stations=0')).toEqual(changed(file, 'shop.machines[0].stations=0'));
});

test('what the machine has not, or no number, is told with its path', () => {
  const found = whatIf(example('gland-body'), startValues, ['shop.machine.stations=few']);
  expect(found).toMatchObject({ ok: false, problems: [{ path: 'shop.machines[0].stations' }] });
});
