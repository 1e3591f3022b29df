'use client';
import { useState } from 'react';
import { Choice, Field } from '../primitives/Field';
import { Window } from '../primitives/Window';
import { receiveBars } from './api';
import { AskForm } from './ItemWindows';

const START = {
  material: '',
  form: 'round',
  condition: 'drawn',
  size: '',
  bore: '',
  length: '3000',
  count: '1',
  batch: '',
  place: '',
  price: '',
};

/** Bars that came in, or that were found on the rack: so many alike. */
export function ReceiveWindow({
  materials,
  onClose,
  onDone,
}: {
  materials: { id: string; name: string }[];
  onClose: () => void;
  onDone: (words: string) => void;
}) {
  const [entry, setEntry] = useState({ ...START, material: materials[0]?.id ?? '' });
  const [offcut, setOffcut] = useState(false);
  const set = (key: keyof typeof START) => (value: string) => setEntry((before) => ({ ...before, [key]: value }));
  const flats = entry.form === 'hex' || entry.form === 'square';
  const { bore, ...rest } = entry;
  return (
    <Window title="Receive bars" open onClose={onClose}>
      <AskForm
        fields={['size', 'bore', 'length', 'count', 'price']}
        button="Put on the rack"
        words={`${entry.count} on the rack`}
        ask={() => receiveBars({ ...rest, offcut, ...(entry.form === 'tube' ? { bore } : {}) })}
        onDone={onDone}
      >
        {(problemOf) => (
          <>
            <Choice label="Material" value={entry.material} onChange={set('material')}>
              {materials.map(({ id, name }) => (
                <option key={id} value={id}>
                  {name}
                </option>
              ))}
            </Choice>
            <Choice label="Form" value={entry.form} onChange={set('form')}>
              <option value="round">round</option>
              <option value="hex">hexagon</option>
              <option value="square">square</option>
              <option value="tube">tube</option>
            </Choice>
            <Field
              label={flats ? 'Across flats, mm' : 'Diameter, mm'}
              value={entry.size}
              onChange={set('size')}
              problem={problemOf('size')}
            />
            {entry.form === 'tube' ? (
              <Field label="Bore, mm" value={bore} onChange={set('bore')} problem={problemOf('bore')} />
            ) : (
              <Choice label="Condition" value={entry.condition} onChange={set('condition')}>
                {['drawn', 'ground', 'hot-rolled', 'sawn'].map((condition) => (
                  <option key={condition}>{condition}</option>
                ))}
              </Choice>
            )}
            <Field label="Length, mm" value={entry.length} onChange={set('length')} problem={problemOf('length')} />
            <Field label="How many" value={entry.count} onChange={set('count')} problem={problemOf('count')} />
            <Field label="Heat or batch" plain value={entry.batch} onChange={set('batch')} />
            <Field label="Place" plain value={entry.place} onChange={set('place')} />
            <Field label="Price of one" value={entry.price} onChange={set('price')} problem={problemOf('price')} />
            <label style={{ display: 'flex', alignItems: 'center', gap: 8, alignSelf: 'end', minHeight: 34 }}>
              <input type="checkbox" checked={offcut} onChange={(event) => setOffcut(event.target.checked)} /> an offcut
            </label>
          </>
        )}
      </AskForm>
    </Window>
  );
}
