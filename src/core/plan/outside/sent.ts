import { capital } from '../../model/words';
import type { Elsewhere } from '../../model/part/elsewhere';
import type { Run } from '../../model/run';
import { say } from '../../model/words';
import { elsewhereCaution, pieceMinutes, setupMinutes, type OutsideKind, type OutsideOp } from './outsideOp';

type Filled = Pick<OutsideOp, 'setup' | 'piece' | 'notes' | 'reasons' | 'cautions' | 'afterAllCutting'>;

/** The operations for the entries of one kind. */
const forKind =
  (kind: string, fill: (elsewhere: Elsewhere, run: Run) => Filled): OutsideKind =>
  (run, _made, setups) =>
    run.part.elsewhere
      .filter((elsewhere) => elsewhere.kind === kind)
      .map((elsewhere) => ({
        key: `outside-op:${elsewhere.path}`,
        kind: 'outside-op',
        after: setups.at(-1)?.number ?? 0,
        feature: elsewhere.path,
        name: capital(elsewhere.name),
        ...fill(elsewhere, run),
      }));

/** Hardened by whoever has the furnace. */
export const harden = forKind('harden', ({ length }, { shop: { outside }, units }) => ({
  setup: setupMinutes('sending out', 'packing, papers, fetching', outside.sendOut),
  piece: pieceMinutes('handling', [['packed and cleaned', outside.handle]]),
  notes: [
    length
      ? `Every diameter grows by ${say(length, units)}, which is left off it.`
      : 'How much it grows is not said: ask, and leave it where it matters.',
  ],
  reasons: [{ rule: 'OUTSIDE', because: 'After all cutting that the hardened skin would forbid; before grinding.' }],
  cautions: [
    { kind: 'mistake', text: 'Sharp inner corners crack in the bath: edges broken, reliefs rounded, before it goes.' },
  ],
  afterAllCutting: 'these tools do not cut what is hardened',
}));

/** Ground to the size of the drawing. */
export const grind = forKind('grind', ({ length }, { shop: { outside }, units }) => ({
  setup: setupMinutes('setting up the grinder', 'wheel dressed, centres or chuck', outside.grindSetup),
  piece: pieceMinutes('grinding', [
    ['in and out', outside.load],
    ['ground and measured', outside.grind],
  ]),
  notes: [`The lathe leaves ${say(length ?? outside.leaveToGrind, units)} on the diameter.`],
  reasons: [{ rule: 'OUTSIDE', because: 'Closer, harder or finer than the lathe makes it.' }],
  cautions: [elsewhereCaution('grinder')],
}));

/** Honed to the size of the drawing. */
export const hone = forKind('hone', ({ length }, { shop: { outside }, units }) => ({
  setup: setupMinutes('setting up the hone', 'stones and stroke', outside.honeSetup),
  piece: pieceMinutes('honing', [
    ['in and out', outside.load],
    ['honed and measured', outside.hone],
  ]),
  notes: [`The lathe leaves ${say(length ?? outside.leaveToHone, units)} on the diameter.`],
  reasons: [{ rule: 'OUTSIDE', because: 'Closer or finer than boring and reaming make it.' }],
  cautions: [elsewhereCaution('hone')],
}));

/** Trimmed where it is put together, to what it sets the place of. */
export const trim = forKind('trim', ({ length, end }, { shop: { outside }, units }) => ({
  setup: setupMinutes('making ready', 'mates at hand, a stop for the length', outside.trimSetup),
  piece: pieceMinutes('trimming', [
    ['tried, measured, marked', outside.handle],
    ['trimmed and measured', outside.trim],
  ]),
  notes: [`The lathe leaves the ${end} ${say(length ?? outside.leaveToTrim, units)} long.`],
  reasons: [{ rule: 'OUTSIDE', because: 'It sets the place of another part: cut to length when both are there.' }],
  cautions: [{ kind: 'mistake', text: 'Every piece is trimmed to its own mate: mark which goes with which.' }],
}));

/** Plated by whoever has the bath. */
export const plate = forKind('plate', ({ length = 0 }, { shop: { outside }, units }) => ({
  setup: setupMinutes('sending out', 'packing, papers, fetching', outside.sendOut),
  piece: pieceMinutes('handling', [['racked and wiped', outside.handle]]),
  notes: [
    `Every diameter is turned ${say(Number((2 * length).toFixed(4)), units)} smaller, every bore as much larger; the drawing holds after plating.`,
  ],
  reasons: [{ rule: 'OUTSIDE', because: 'Last of all: nothing is cut through a plating.' }],
  cautions: [
    {
      kind: 'mistake',
      text: 'A thread grows by four thicknesses on its flanks: cut it under size, or have it masked. Say what is masked.',
    },
  ],
  afterAllCutting: 'nothing is cut through a plating',
}));
