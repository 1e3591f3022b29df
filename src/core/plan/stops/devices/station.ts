import type { Demand, Ground } from '../demand';
import { packsOf, type Pack } from '../packs';
import type { ByItself, MadeReady, StopDevice } from './device';

/** How a station serves a place through a stack. */
function through(
  { spacers = [], feeler, made }: Pack,
  residue: number,
  { stops, hand, stationRepeats }: Ground,
): ByItself {
  const laid = spacers.length > 0 ? stops.spacerUse : hand.station + (feeler === undefined ? 0 : stops.feelerUse);
  const adds = spacers.length * stops.spacerRepeats + (feeler === undefined ? 0 : stops.feelerRepeats);
  const name =
    spacers.length > 0
      ? `stop to its station, ${spacers.length > 1 ? 'spacers' : 'spacer'} laid in`
      : feeler === undefined
        ? 'move the stop to its station'
        : 'stop to its station, feeler laid in';
  return {
    use: { name, minutes: laid, per: 'visit' },
    spread: 2 * (stationRepeats + adds) + Math.abs(residue),
    ...(made ? { ready: { name: 'spacer made', minutes: stops.spacerMake } } : {}),
    ...(spacers.length > 0 || feeler !== undefined
      ? {
          with: {
            ...(spacers.length > 0 ? { spacers } : {}),
            ...(feeler === undefined ? {} : { feeler }),
            ...(made ? { made } : {}),
          },
        }
      : {}),
  };
}

/** A screw of the carriage stop; spacers and feelers bring it nearer to the free end. */
export const station = {
  means: 'station',
  axis: 'carriage',
  places: ({ stations }) => stations,
  numbered: true,
  staysSet: true,
  shape: 'round',
  words: (place) => `station ${place}`,
  short: (place) => `st. ${place}`,
  madeReady(ground) {
    const { demands, decidedAt, setStop, machine, stops } = ground;
    const onCarriage = demands.flatMap(({ axis, setting }) => (axis === 'carriage' ? [setting] : []));
    const packs = packsOf(machine);
    return [...onCarriage, ...decidedAt].map((setting): MadeReady => ({
      setting,
      hard: true,
      ready: { name: 'stop set', minutes: setStop },
      serves(demand: Demand) {
        if (demand.axis !== 'carriage') return undefined;
        const short = setting - demand.setting;
        const pack = packs.find(({ length }) => Math.abs(length - short) <= stops.residue + 1e-9);
        if (pack) return through(pack, pack.length - short, ground);
        return short > stops.residue ? through({ length: short, spacers: [short], made: true }, 0, ground) : undefined;
      },
    }));
  },
} as const satisfies StopDevice;
