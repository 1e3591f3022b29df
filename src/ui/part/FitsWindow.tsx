'use client';
import { scaleLinear } from 'd3-scale';
import { useState, type ReactNode } from 'react';
import styled from 'styled-components';
import { mate, offerFits, type Mated, type OfferedFit } from '@/core/model/part/mates';
import type { RunFile } from '@/core/read/runFile';
import { readSize, sizeObject, saySize, type SizeEntry } from '@/core/model/part/size';
import { gaugeFor } from '@/core/model/shop/gauge';
import { formatLength, type UnitSystem } from '@/core/model/units/length';
import { Button } from '../primitives/Button';
import { Choice, Field } from '../primitives/Field';
import { Window } from '../primitives/Window';
import { useWorkspace } from '../run/WorkspaceContext';

const Asked = styled.div`
  display: grid;
  grid-template-columns: 1fr 1fr 1fr;
  gap: 10px;
  margin-bottom: 10px;
  @media (max-width: 560px) {
    grid-template-columns: 1fr;
  }
`;

const Offer = styled.li`
  display: grid;
  grid-template-columns: 92px minmax(0, 1fr) 190px auto;
  gap: 4px 12px;
  align-items: center;
  padding: 10px 0;
  border-top: 1px solid var(--line);
  b {
    font: 600 16px var(--mono);
  }
  .figures {
    font-family: var(--mono);
    font-size: 13px;
  }
  p {
    font-size: 14px;
  }
  .soft {
    color: var(--ink-soft);
    font-size: 13px;
  }
  .mind {
    color: var(--oxide);
  }
  text {
    font: 11px var(--sans);
    fill: var(--ink-soft);
  }
  @media (max-width: 640px) {
    grid-template-columns: 1fr auto;
  }
`;

/** A diameter of the part that can have a fit. */
interface Place {
  path: string;
  label: string;
  making: 'hole' | 'shaft';
  size: SizeEntry;
  put: (file: RunFile, size: string) => void;
}

/** Every diameter that is entered, outside and inside. */
function placesOf({ part }: RunFile): Place[] {
  const steps = part.outside.flatMap((step, index): Place[] =>
    step.shape === 'cylinder' && step.diameter !== ''
      ? [
          {
            path: `part.outside[${index}]`,
            label: `Step ${index + 1}: ⌀${saySize(step.diameter)}${step.name ? `, ${step.name}` : ''}`,
            making: 'shaft',
            size: step.diameter,
            put: (file, size) => {
              const stepFile = file.part.outside[index];
              if (stepFile?.shape === 'cylinder') stepFile.diameter = size;
            },
          },
        ]
      : [],
  );
  const holes = (part.bores ?? []).flatMap((bore, index): Place[] =>
    'diameter' in bore && bore.diameter !== ''
      ? [
          {
            path: `part.bores[${index}]`,
            label: `Hole ${index + 1}: ⌀${saySize(bore.diameter)}`,
            making: 'hole',
            size: bore.diameter,
            put: (file, size) => {
              const holeFile = file.part.bores?.[index];
              if (holeFile && 'diameter' in holeFile) holeFile.diameter = size;
            },
          },
        ]
      : [],
  );
  return [...steps, ...holes];
}

/** The size without its tolerance, as it was typed. */
const plainSize = (size: SizeEntry): string => {
  const parts = sizeObject(size);
  return String(typeof parts === 'object' ? parts.size : parts);
};

const Refused = ({ children }: { children: ReactNode }) => (
  <p role="alert" style={{ color: 'var(--oxide)' }}>
    {children}
  </p>
);

/** Proposes a fit by what the two mates are to do, and shows the limits of both and what is between them. */
export function FitsWindow({ marked, onClose }: { marked: string | undefined; onClose: () => void }) {
  const { file, edit, shop } = useWorkspace();
  const { units } = file;
  const places = placesOf(file);
  const [path, setPath] = useState(() => (places.some((place) => place.path === marked) ? marked : places[0]?.path));
  const [purpose, setPurpose] = useState(shop.fits[0]?.purpose ?? '');
  const [mateSize, setMateSize] = useState('');
  const place = places.find((candidate) => candidate.path === path);
  const wanted = shop.fits.find((fit) => fit.purpose === purpose);
  if (!place || !wanted)
    return (
      <Window title="Fits" open onClose={onClose}>
        <p>Enter a diameter first: a step or a hole. Its fit is chosen by what its mate is to do on it.</p>
      </Window>
    );
  const read = (entry: SizeEntry) =>
    readSize(entry, { units, general: file.part.generalTolerance ?? 'medium', path: '' });
  const nominal = read(plainSize(place.size));
  const made = read(place.size);
  const given = mateSize.trim() === '' ? undefined : read(mateSize);
  const offers = nominal.ok
    ? offerFits(wanted, nominal.value.nominal, place.making, shop.cutting.finestGrade)
    : nominal;
  const use = ({ names }: OfferedFit) => {
    edit(undefined, (run) =>
      place.put(run as RunFile, `${plainSize(place.size)} ${place.making === 'hole' ? names.hole : names.shaft}`),
    );
    onClose();
  };
  const asItIs = made.ok && given?.ok ? between(matedAs(place.making, made.value, given.value), units) : undefined;
  return (
    <Window title="Fits" open onClose={onClose}>
      <Asked>
        <Choice label="Diameter" value={path ?? ''} onChange={setPath}>
          {places.map(({ path: key, label }) => (
            <option key={key} value={key}>
              {label}
            </option>
          ))}
        </Choice>
        <Choice label="What for" value={purpose} onChange={setPurpose}>
          {shop.fits.map(({ purpose: name }) => (
            <option key={name}>{name}</option>
          ))}
        </Choice>
        <Field
          label={`Its mate as it is (${place.making === 'hole' ? 'shaft' : 'hole'})`}
          value={mateSize}
          placeholder={place.making === 'hole' ? '14 h6' : '14 H7'}
          problem={given && !given.ok ? given.problems[0]?.message : undefined}
          onChange={setMateSize}
        />
      </Asked>
      {asItIs && (
        <p role="status" style={{ marginBottom: 10 }}>
          {place.label.replace(/^.*?: /, '')} and {mateSize}: <b>{asItIs}</b>.
        </p>
      )}
      <p style={{ marginBottom: 6 }}>
        <b style={{ textTransform: 'capitalize' }}>{wanted.purpose}</b>: {wanted.means}.
      </p>
      {offers.ok ? (
        <ul>
          {offers.value.map((offer) => (
            <OfferRow
              key={offer.names.hole + offer.names.shaft}
              offer={offer}
              making={place.making}
              units={units}
              finest={shop.cutting.finestGrade}
              onUse={() => use(offer)}
            />
          ))}
        </ul>
      ) : (
        <Refused>{offers.problems[0]?.message}</Refused>
      )}
    </Window>
  );
}

/** One pair of fits: when it is taken, what is between the two, and which of them is made here. */
function OfferRow({
  offer,
  making,
  units,
  finest,
  onUse,
}: {
  offer: OfferedFit;
  making: Place['making'];
  units: UnitSystem;
  /** The finest grade that the machine holds. */
  finest: number;
  onUse: () => void;
}) {
  return (
    <Offer>
      <b>
        {offer.names.hole} / {offer.names.shaft}
      </b>
      <div>
        <p>{offer.names.when}</p>
        <p className="figures">{between(offer, units)}</p>
        {!offer.held && <p className="mind">finer than IT{finest}, which the machine holds: grind or lap</p>}
        <GaugeNote offer={offer} making={making} />
      </div>
      <Zones offer={offer} units={units} />
      <Button onPress={onUse}>Use {making === 'hole' ? offer.names.hole : offer.names.shaft}</Button>
    </Offer>
  );
}

/** A size with its limits as deviations from it. */
interface Sized {
  nominal: number;
  lower: number;
  upper: number;
}

/** A size that is made here and its mate, as they are. */
const matedAs = (making: Place['making'], made: Sized, other: Sized): Mated =>
  making === 'hole' ? mate(shifted(made), shifted(other)) : mate(shifted(other), shifted(made));

/** Limits as sizes, so that mates of unlike nominal sizes compare. */
const shifted = ({ nominal, lower, upper }: Sized) => ({
  lower: nominal + lower,
  upper: nominal + upper,
});

/** What is between two mates, in words. */
function between({ least, most, kind }: Mated, units: UnitSystem): string {
  const say = (mm: number) => `${formatLength(Math.abs(mm), units, true)} ${units}`;
  if (kind === 'clearance') return `${formatLength(least, units, true)} to ${say(most)} clearance`;
  if (kind === 'interference') return `${formatLength(Math.max(0, -most), units, true)} to ${say(least)} interference`;
  return `${say(least)} interference to ${say(most)} clearance`;
}

/** Says when no gauge in the list is fine enough for the side that is made here. */
function GaugeNote({ offer, making }: { offer: OfferedFit; making: 'hole' | 'shaft' }) {
  const { shop } = useWorkspace();
  const { lower, upper } = making === 'hole' ? offer.hole : offer.shaft;
  const size = { nominal: 0, lower, upper, aim: 0, from: 'fit' as const };
  const gauge = gaugeFor({ what: '', measures: making === 'hole' ? 'inside' : 'outside', size }, shop.gauges);
  if (gauge?.fineEnough) return <p className="soft">measured with the {gauge.name}</p>;
  return (
    <p className="mind">{gauge ? `${gauge.name} is too coarse to measure it` : 'no gauge in the list measures it'}</p>
  );
}

/** The tolerance zones of both mates over the nominal size, to one scale. */
function Zones({ offer: { hole, shaft, names }, units }: { offer: OfferedFit; units: UnitSystem }) {
  const ends = [hole.lower, hole.upper, shaft.lower, shaft.upper, 0];
  const y = scaleLinear([Math.min(...ends), Math.max(...ends)], [58, 6]);
  const zone = (x: number, { lower, upper }: { lower: number; upper: number }, name: string, fill: string) => (
    <g>
      <rect x={x} y={y(upper)} width={44} height={Math.max(2, y(lower) - y(upper))} fill={fill} stroke="var(--ink)" />
      <text x={x + 22} y={72} textAnchor="middle">
        {name} {formatLength(lower, units, true)}/{formatLength(upper, units, true)}
      </text>
    </g>
  );
  return (
    <svg width={190} height={78} role="img" aria-label={`Limits of ${names.hole} and of ${names.shaft}`}>
      <line x1={0} x2={190} y1={y(0)} y2={y(0)} stroke="var(--ink-soft)" strokeDasharray="6 3" />
      {zone(26, hole, names.hole, 'var(--brass-soft)')}
      {zone(120, shaft, names.shaft, 'var(--metal)')}
    </svg>
  );
}
