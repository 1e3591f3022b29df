import { sayFixed } from '../../model/units/mark';
import { term } from '../../model/figure';
import type { Feature } from '../../model/part/feature';
import { largestRadius } from '../../model/workpiece/profile';
import { thinnestBetween } from '../../model/workpiece/workpiece';
import { good } from '../../model/result';
import type { Tool } from '../../model/shop/shop';
import { say, sayDiameter } from '../../model/words';
import type { OperationKind } from '../../model/plan/operation';
import type { Setup } from '../../model/plan/setup';
import { offCorner } from './corner';
import { stopSetting } from './tools';
import { reachedOf } from './holeNeed';

const round = (mm: number) => Number(mm.toFixed(2));

/** Diameters on which a knurl tracks, the next below and the next above: a whole number of pitches round (trade: Cutting). */
export function trackingDiameters(diameter: number, pitch: number): { pitches: number; below: number; above: number } {
  const pitches = (Math.PI * diameter) / pitch;
  const at = (count: number) => (count * pitch) / Math.PI;
  return { pitches, below: at(Math.floor(pitches + 1e-9)), above: at(Math.ceil(pitches - 1e-9)) };
}

const toolOf = ({ knurl: wanted }: Feature, { run }: Setup): Tool | undefined =>
  run.shop.tools.find(
    ({ does, pitch = 0, pattern }) =>
      does.includes('knurl') && Math.abs(pitch - (wanted?.pitch ?? 0)) < 1e-6 && pattern === wanted?.pattern,
  );

/** Roll a knurl into a turned diameter. */
export const knurl: OperationKind = {
  kind: 'knurl',
  handFed: true,
  turnsAtOverhang: true,
  underCentre: true,
  demand: (setup) =>
    good(
      reachedOf(setup, 'knurl').flatMap((feature) => {
        const tool = toolOf(feature, setup);
        if (!tool || !feature.knurl) return [];
        const { to, does } = offCorner(feature, setup);
        return [
          {
            key: `knurl:${feature.path}`,
            kind: 'knurl',
            feature: feature.path,
            makes: [feature.path],
            name: `Knurl ${feature.knurl.pattern} ${say(feature.knurl.pitch, setup.run.units)}`,
            tool,
            from: feature.z0,
            to,
            removal: {},
            stop: {
              means: 'carriage' as const,
              settings: [{ edge: 'tip' as const, setting: stopSetting(to, tool) }],
            },
            checks: [],
            ...(does.length > 0 ? { does } : {}),
          },
        ];
      }),
    ),
  cut({ from, to, feature }, work, { run, part }) {
    const { units, shop } = run;
    const diameter = 2 * largestRadius(work.outside, from, to);
    const pitch = part.features.find(({ path }) => path === feature)?.knurl?.pitch ?? 0;
    const { pitches, below, above } = trackingDiameters(diameter, pitch);
    const grown = diameter + shop.cutting.knurlGrows * pitch;
    const wall = thinnestBetween(work, from, to);
    const isThin = wall !== undefined && wall.wall / wall.diameter < shop.cutting.thinWall;
    const tracks = Math.abs(pitches - Math.round(pitches)) <= shop.cutting.knurlTracks;
    return good({
      diameter,
      passes: [
        {
          depth: 0,
          z: to,
          path: [
            { z: from, r: diameter / 2 + shop.allowances.approach },
            { z: from, r: diameter / 2, by: 'thread' },
            { z: to, r: diameter / 2, by: 'thread' },
            { z: to, r: diameter / 2 + shop.allowances.approach, by: 'rapid' },
          ],
          way: [
            term('l', 'length', to - from, 'mm', 'drawing'),
            term('a', 'approach', shop.allowances.approach, 'mm', 'start value'),
          ],
          note: `grows to about ${sayDiameter(round(grown), units)}; stop when it begins to cut chips`,
        },
      ],
      warnings: [
        ...(isThin
          ? [
              `The wheels press on a wall of ${say(round(wall.wall), units)}: a plug that fits goes into the bore first.`,
            ]
          : []),
        ...(tracks
          ? []
          : [
              `${sayDiameter(round(diameter), units)} is ${sayFixed(pitches, 1)} pitches round: ${sayDiameter(round(below), units)} or ${sayDiameter(round(above), units)} before knurling tracks.`,
            ]),
      ],
    });
  },
  cautions: [
    {
      kind: 'danger',
      text: 'Large force: short stick-out or a centre, slow, plenty of oil; keep brush and fingers off the wheels.',
    },
    { kind: 'mistake', text: 'A light start, then look whether the wheels track before pressing on.' },
  ],
};
