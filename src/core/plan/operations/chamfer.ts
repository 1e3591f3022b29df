import { sayFigure } from '../../model/units/mark';
import { chamferCut } from '../../model/workpiece/chamferCut';
import { halfAngle } from '../cutting/compound';
import { figure, term } from '../../model/figure';
import { good } from '../../model/result';
import type { EdgePlace } from '../../model/plan/edgeWay';
import { radiusAt, type Segment } from '../../model/workpiece/profile';
import type { Workpiece } from '../../model/workpiece/workpiece';
import { say, type Caution } from '../../model/words';
import type { Operation, OperationKind } from '../../model/plan/operation';
import type { Setup } from '../../model/plan/setup';
import type { Tool } from '../../model/shop/shop';
import { toolFor } from './tools';
import { reachedOf } from './holeNeed';
import { clearOf, lowEnd, plunge, turnedOnto } from './edgePaths';
import { reachBeside } from './underCentre';
import { CLOSE } from '../../model/tolerances';

/** A corner to chamfer, from its edge: along z, in radius, and the angle from the axis. z of the set-up, mm. */
interface Corner {
  path: string;
  z0: number;
  z1: number;
  removal: Segment[];
  /** Radius of the corner. */
  radius: number;
  /** Degrees; the usual tool stands at 45. */
  angle: number;
  makes?: string[];
}

/** The 45° corners of plain steps. */
function plainCorners({ part, chamfered, stock }: Setup): Corner[] {
  return part.chamfers
    .filter(({ path }) => chamfered.includes(path))
    .map(({ path, step, z, size, end }) => {
      const beside = part.steps.find((other) => other.path === step);
      const radius = (stock.asDrawn.includes(step) && !stock.piece ? stock.over : (beside?.diameter.aim ?? 0)) / 2;
      const removal = chamferCut(z, radius, size, size, end);
      return { path, z0: z, z1: end === 'front' ? z + size : z - size, removal, radius, angle: 45 };
    });
}

/** Corners of another angle, or beside another shape: the tool is set over in its post. */
function otherCorners(setup: Setup): Corner[] {
  return reachedOf(setup, 'chamfer').flatMap(({ path, z0, z1, outside }) => {
    const flank = outside?.[0];
    if (!flank) return [];
    const angle = halfAngle(flank.r0, flank.r1, z1 - z0);
    return [{ path, z0, z1, removal: [flank], radius: Math.max(flank.r0, flank.r1), angle, makes: [path] }];
  });
}

/** What a chamfer cuts like: so wide as its edge lies on it, it is turned, turned slower, or a form (trade: Cutting). */
function cutsLike({ z0, z1, r0, r1 }: Segment, { run }: Setup): Pick<Operation, 'cutsAs'> {
  const { chamferUpTo, wideChamferUpTo } = run.shop.cutting;
  const contact = Math.hypot(z1 - z0, r1 - r0);
  if (contact <= chamferUpTo + CLOSE) return {};
  return { cutsAs: contact <= wideChamferUpTo + CLOSE ? 'wide-chamfer' : 'form' };
}

/** How the flanks of a chamfer tool stand to the axis, degrees. */
const edgeAngle = ({ point = 90 }: Tool): number => 90 - point / 2;

/** Of the tools for chamfers the one that has to be turned least in its post. */
const nearestTo = (angle: number, { run }: Setup, listed: Tool): Tool =>
  run.shop.tools
    .filter(({ does }) => does.includes('chamfer'))
    .toSorted((a, b) => Math.abs(edgeAngle(a) - angle) - Math.abs(edgeAngle(b) - angle))[0] ?? listed;

/** An edge reaches so far over the upper end of its flank, mm (ours). */
const SPARE = 0.5;

/**
 * Where the point of the tool stands when its edge lies on a flank: as far down beside it as there is room, so that as
 * little of the edge as can be stands out over its upper end, towards jaws or a shoulder.
 */
function footOf(flank: Segment, edge: number, work: Workpiece, setup: Setup): EdgePlace {
  const [length, high] = [flank.z1 - flank.z0, Math.abs(flank.r1 - flank.r0)];
  const slant = Math.hypot(length, high);
  const low = lowEnd(flank);
  const out = flank.r0 < flank.r1 ? -1 : 1;
  const room = low.r - radiusAt(work.outside, low.z + out * CLOSE);
  const beside = out < 0 ? reachBeside(low, { along: length / slant, down: high / slant }, work, setup) : Infinity;
  const down = Math.max(0, Math.min(edge - slant - SPARE, (room * slant) / high, beside));
  return { z: low.z + (out * down * length) / slant, r: low.r - (down * high) / slant };
}

const WANTS_SLOW: Caution = {
  kind: 'mistake',
  text: 'A wide edge wants a low speed: see that the last one is not left in.',
};

/** Chamfer a corner that faces out of the chuck with a 45° tool, or one set over to its angle. */
export const chamfer: OperationKind = {
  kind: 'chamfer',
  handFed: true,
  across: true,
  turnsAtOverhang: false,
  underCentre: true,
  mayBeLeft: () => true,
  demand(setup) {
    const { units } = setup.run;
    const tool = toolFor(setup, 'chamfer', 'part.details');
    // Longer than the tool's edge it is no chamfer for it, and is told (route/doubts).
    const edge = tool.ok ? (tool.value.width ?? Infinity) : Infinity;
    const corners = [...plainCorners(setup), ...otherCorners(setup).filter(({ z0, z1 }) => z1 - z0 <= edge)];
    if (corners.length === 0) return good([]);
    if (!tool.ok) return tool;
    return good(
      corners.map(({ path, z0, z1, removal, radius, angle, makes }) => {
        const nearest = nearestTo(angle, setup, tool.value);
        const turned = removal[0] ? turnedOnto(removal[0], edgeAngle(nearest)) : 0;
        return {
          key: `chamfer:${path}`,
          kind: 'chamfer',
          ...(removal[0] ? cutsLike(removal[0], setup) : {}),
          feature: path,
          ...(makes ? { makes } : {}),
          name: `Chamfer ${say(Number(Math.abs(z1 - z0).toFixed(3)), units)} × ${sayFigure(angle, 1)}°`,
          tool: nearest,
          from: z0,
          to: z1,
          diameter: 2 * radius,
          removal: { outside: removal },
          ...(turned === 0 ? {} : { stands: { turned } }),
          stop: {
            means: 'carriage' as const,
            settings: [
              {
                edge: 'tip' as const,
                setting: figure({
                  name: 'stop setting',
                  unit: 'mm',
                  value: z1 + nearest.offset,
                  formula: 'z + c + o',
                  terms: [
                    term('z', 'the corner, from the face', z0, 'mm', 'drawing'),
                    term('c', 'leg of the chamfer, towards the chuck', z1 - z0, 'mm', 'drawing'),
                    term('o', 'offset of the tool to the one that set the zero', nearest.offset, 'mm', 'tool'),
                  ],
                }),
              },
            ],
          },
          checks: [],
        };
      }),
    );
  },
  cut({ from, to, removal, tool, stands, cutsAs }, work, setup) {
    const leg = Math.abs(to - from);
    const flank = removal.outside?.[0];
    const foot = flank ? footOf(flank, tool.width ?? 0, work, setup) : { z: to, r: 0 };
    const { approach } = setup.run.shop.allowances;
    const angle = halfAngle(removal.outside?.[0]?.r0 ?? 0, removal.outside?.[0]?.r1 ?? 0, leg);
    return good({
      diameter: 2 * radiusAt(work.outside, to),
      passes: [
        {
          depth: leg,
          z: to,
          wide: leg,
          path: plunge(foot.z, foot.r, clearOf(work, Math.min(from, to), Math.max(from, to), approach)),
          way: [
            term('c', 'leg of the chamfer', leg, 'mm', 'drawing'),
            term('a', 'approach', approach, 'mm', 'start value'),
          ],
          ...(stands?.turned ? { note: `the tool set over to ${sayFigure(angle, 1)}° from the axis` } : {}),
        },
      ],
      cautions: cutsAs ? [WANTS_SLOW] : [],
    });
  },
  cautions: [],
};
