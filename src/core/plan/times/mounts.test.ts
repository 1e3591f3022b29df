import { startValues } from '../../model/shop/startValues';
import { planned, runOf, step } from '../../testing';
import { usual } from '../skeleton';

const elements = (setup: ReturnType<typeof planned>['setups'][number], kind: string) =>
  Object.fromEntries(
    (setup.operations.find((operation) => operation.kind === kind)?.hand.terms ?? []).map(({ name, value }) => [
      name,
      Number(value.toFixed(4)),
    ]),
  );

test('each mount keeps its tool while the other works: faced, drilled, and turned on with the tool that faced', () => {
  const file = runOf(
    { outside: [step(20, 20)], bores: [{ from: 'front', shape: 'drill', diameter: 8, depth: 10 }] },
    { way: 'from-bar', stock: { form: 'round', size: 25 }, rules: { centreDrill: 'slender-only' } },
  );
  const [first] = planned(file, startValues, { only: [usual('from-bar')] }).setups;
  if (!first) throw new Error('it is planned');
  const inTailstock = first.operations.filter(({ tool }) => tool.mount === 'tailstock');
  // One drill alone stays in the tailstock for the next piece: that is only moved.
  expect(inTailstock).toHaveLength(1);
  expect(elements(first, 'drill')).toMatchObject({ 'tailstock in or out': 0.15, 'quill to its depth, 1 ×': 0.06 });
  expect(elements(first, 'drill')).not.toHaveProperty('change tool in the tailstock');
});

test('a centre is brought up and taken out at every piece, and takes the place of a drill', () => {
  const shaft = runOf({ material: 'stainless-303', outside: [step('8 h8', 80), step(14, 10)] }, { way: 'sawn-blanks' });
  const turned = planned(shaft).setups.find(({ setup }) => setup.supported);
  const first = turned?.operations[0];
  const minutes = (name: string) => first?.hand.terms.find((element) => element.name === name)?.value;
  // It is all that the tailstock holds there: in 0.15, out 0.15.
  expect([minutes('centre into the tailstock and up'), minutes('centre out')]).toEqual([0.15, 0.15]);
});
