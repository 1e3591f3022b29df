import { planned, runOf, step } from '../testing';
import { operationView } from './operation';

test('a note stands with its operation and with no other', () => {
  const notes = [{ operation: 'turn-finish:part.outside[0]', text: 'saw marks first' }];
  const plan = planned(runOf({ outside: [step(12, 18), step(20, 8)] }, { notes, firstEnd: 'front' }));
  const said = plan.setups.flatMap((setup) =>
    setup.operations.map((operation) => [operation.key, operationView(setup, operation).note]),
  );
  expect(said.filter(([, note]) => note !== undefined)).toEqual([['turn-finish:part.outside[0]', 'saw marks first']]);
});
