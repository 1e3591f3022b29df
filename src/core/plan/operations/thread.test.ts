import { planned, runOf, step } from '../../testing';

/** A spindle ⌀16 × 30 on ⌀22 × 12 with M16x1.25 over 22 of it: 8 are left before the shoulder. */
const spindle = (runOut?: number) =>
  planned(
    runOf({
      outside: [step(16, 30), step(22, 12)],
      details: [
        { kind: 'thread', at: 0, length: 22, designation: 'M16x1.25', ...(runOut === undefined ? {} : { runOut }) },
      ],
    }),
  );

const threadIn = (plan: ReturnType<typeof spindle>) =>
  plan.setups.flatMap(({ operations }) => operations.filter(({ kind }) => kind === 'thread'))[0];

// There is no relief, said or not: at a standstill the tool would be drawn out through metal, so a turn goes by meanwhile.
test.each([undefined, 2.5, 4])(
  'a thread on a plain cylinder is drawn out while it turns, run-out said as %s',
  (said) => {
    const plan = spindle(said);
    expect(plan.proof.passed).toBe(true);
    const cut = threadIn(plan);
    expect(cut?.to).toBe(22);
    // Its full thread ends at 22, and the edge is out of the work a pitch further on.
    expect(
      cut?.passes
        .at(-1)
        ?.path.filter(({ by }) => by === 'thread')
        .map(({ z }) => z),
    ).toEqual([22, 23.25]);
  },
);
