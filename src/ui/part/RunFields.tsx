'use client';
import { sayEntry } from '@/core/model/units/mark';
import type { KeyboardEvent } from 'react';
import type { RunFile, StockFile } from '@/core/read/runFile';
import { Choice, Field } from '../primitives/Field';
import { problemAt, useWorkspace } from '../run/WorkspaceContext';
import { cell, Grid } from './grid';
import { LINE_ENTRY } from './lineEntryId';
import { pieceLike } from './pieceLike';
import { later } from '../primitives/later';
import { Group } from './table';

const PieceFields = later(() => import('./PieceFields').then((loaded) => loaded.PieceFields));

/** What the run is of: part, material, quantity, day. */
export function RunFields() {
  const { file, edit, problems, id } = useWorkspace();
  const { part } = file;
  /** Enter goes on to the next field, and from the last to the line of the part. */
  const goOn = (event: KeyboardEvent<HTMLElement>) => {
    const { target, key, currentTarget } = event;
    if (key !== 'Enter' || !(target instanceof HTMLInputElement)) return;
    event.preventDefault();
    const fields = [...currentTarget.querySelectorAll<HTMLElement>('input, select')];
    (fields[fields.indexOf(target) + 1] ?? document.getElementById(LINE_ENTRY))?.focus();
  };
  return (
    <Group aria-label="Run" onKeyDown={goOn}>
      <Grid>
        <div style={cell(3)}>
          <Field
            label="Part number"
            value={part.number}
            problem={problemAt(problems, 'part.number')}
            autoFocus={id === 'new' && part.number === ''}
            onChange={(text) => edit('number', (run) => void (run.part.number = text))}
          />
        </div>
        <div style={cell(5)}>
          <Field
            label="Name"
            plain
            value={part.name ?? ''}
            onChange={(text) => edit('name', (run) => void (run.part.name = text))}
          />
        </div>
        <div style={cell(2)}>
          <Field
            label="Revision"
            value={part.revision ?? ''}
            onChange={(text) => edit('revision', (run) => void (run.part.revision = text))}
          />
        </div>
        <div style={cell(2)}>
          <Choice
            label="Units"
            value={file.units}
            onChange={(value) => edit('units', (run) => void (run.units = value === 'in' ? 'in' : 'mm'))}
          >
            <option value="mm">mm</option>
            <option value="in">inch</option>
          </Choice>
        </div>
        <WantedFields />
      </Grid>
    </Group>
  );
}

/** Several materials, of which any does: they come with a file. */
const ANY = 'any';

/** What is wanted of it: from what, how many, how close, by when. */
function WantedFields() {
  const { file, edit, shop, problems } = useWorkspace();
  const { part } = file;
  const any = Array.isArray(part.material)
    ? part.material.map((id) => shop.materials.find((known) => known.id === id)?.name ?? id).join(', ')
    : undefined;
  return (
    <>
      <div style={cell(4)}>
        <Choice
          label="Material"
          value={any ? ANY : String(part.material)}
          problem={problemAt(problems, 'part.material')}
          onChange={(value) => edit('material', (run) => void (value !== ANY && (run.part.material = value)))}
        >
          <option value="">choose …</option>
          {any && <option value={ANY}>any of {any}</option>}
          {shop.materials.map(({ id: material, name }) => (
            <option key={material} value={material}>
              {name}
            </option>
          ))}
        </Choice>
      </div>
      <div style={cell(2)}>
        <Field
          label="Quantity"
          value={String(file.quantity)}
          problem={problemAt(problems, 'quantity')}
          onChange={(text) => edit('quantity', (run) => void (run.quantity = text))}
        />
      </div>
      <div style={cell(3)}>
        <Choice
          label="General tolerance"
          value={part.generalTolerance ?? 'medium'}
          onChange={(value) =>
            edit('general', (run) => void (run.part.generalTolerance = value === 'fine' ? 'fine' : 'medium'))
          }
        >
          <option value="medium">medium</option>
          <option value="fine">fine</option>
        </Choice>
      </div>
      <div style={cell(3)}>
        <Field
          label="Promised for"
          type="date"
          value={file.due ?? ''}
          problem={problemAt(problems, 'due')}
          onChange={(text) => edit('due', (run) => void (run.due = text))}
        />
      </div>
    </>
  );
}

/** Which machine it is planned for, where there is a choice. */
function MachineChoice() {
  const { file, edit, shop, problems } = useWorkspace();
  const machine = typeof file.machine === 'object' ? file.machine : undefined;
  if (shop.machines.length < 2 && !machine) return null;
  return (
    <div style={cell(3)}>
      <Choice
        label="Machine"
        value={machine ? 'own' : String(file.machine ?? '')}
        problem={problemAt(problems, 'machine')}
        onChange={(value) =>
          edit('machine', (run) => {
            if (value === '') delete run.machine;
            else if (value !== 'own') run.machine = value;
          })
        }
      >
        <option value="">{shop.machines[0]?.name} (the first)</option>
        {machine && <option value="own">{machine.name} (in the file)</option>}
        {shop.machines.slice(1).map(({ id, name }) => (
          <option key={id} value={id}>
            {name}
          </option>
        ))}
      </Choice>
    </div>
  );
}

const LEFT_ON = { spigot: 'a spigot', centreEnd: 'a centre end' } as const;

/** What is kept until later: of a sawn blank to hold it by, of it and of the bar for a centre. */
function LeftOn() {
  const { file, edit, problems } = useWorkspace();
  const kinds = Object.keys(LEFT_ON) as (keyof typeof LEFT_ON)[];
  const left = (name: (typeof kinds)[number]) => file.allowances?.[name];
  const kind = kinds.find((name) => left(name) !== undefined && left(name) !== 'none');
  const length = kind && left(kind);
  const keep = (next: string, entry: string) =>
    edit('left on', (run) => {
      const allowances = (run.allowances ??= {});
      for (const name of kinds) {
        delete allowances[name];
        if (next === 'none') allowances[name] = 'none';
        if (name === next) allowances[name] = entry === '' ? 'choose' : entry;
      }
    });
  return (
    <>
      <div style={cell(3)}>
        <Choice
          label="Left on"
          value={kind ?? (kinds.some((name) => left(name) === 'none') ? 'none' : '')}
          problem={kind && problemAt(problems, `allowances.${kind}`)}
          onChange={(value) => keep(value, '')}
        >
          <option value="">what is needed</option>
          <option value="none">nothing</option>
          {kinds.map((name) => (
            <option key={name} value={name}>
              {LEFT_ON[name]}
            </option>
          ))}
        </Choice>
      </div>
      {kind && (
        <div style={cell(3)}>
          <Field
            label="Length left on"
            value={length === 'choose' ? '' : sayEntry(length ?? '')}
            placeholder="as needed"
            onChange={(text) => keep(kind, text)}
          />
        </div>
      )}
    </>
  );
}

/** A stock of another kind, with what is to be filled in of it; a piece that arrives is no bar, and is cut off none. */
function begin(run: RunFile, kind: 'choose' | 'named' | 'piece'): void {
  if (kind === 'piece') run.way = 'choose';
  run.stock =
    kind === 'choose' ? 'choose' : kind === 'named' ? { form: 'round', size: '', condition: 'drawn' } : pieceLike(run);
}

/** What it is made from: chosen, named, or a piece as it arrives. */
export function StockFields() {
  const { file, edit, problems } = useWorkspace();
  const given = file.stock === 'choose' ? undefined : file.stock;
  const piece = given?.form === 'piece' ? given : undefined;
  const named = given?.form === 'piece' ? undefined : given;
  return (
    <Group aria-labelledby="stock">
      <h2>
        <span id="stock">Stock</span>{' '}
        <small>left open, the bar that costs least and the quicker way are chosen and explained</small>
      </h2>
      <Grid>
        <div style={cell(3)}>
          <Choice
            label="Way"
            value={file.way ?? 'choose'}
            problem={problemAt(problems, 'way')}
            onChange={(value) => edit('way', (run) => void (run.way = value))}
          >
            <option value="choose">choose</option>
            <option value="from-bar">from the bar</option>
            <option value="sawn-blanks">sawn blanks</option>
            {piece && <option value="as-it-arrives">as it arrives</option>}
          </Choice>
        </div>
        <div style={cell(2)}>
          <Field
            label="Spare pieces"
            value={String(file.spares ?? '')}
            placeholder="usual"
            problem={problemAt(problems, 'spares')}
            onChange={(text) =>
              edit('spares', (run) => {
                if (text === '') delete run.spares;
                else run.spares = text;
              })
            }
          />
        </div>
        <div style={cell(3)}>
          <Choice
            label="Bar"
            value={piece ? 'piece' : named ? 'named' : 'choose'}
            onChange={(value) => edit('stock', (run) => begin(run, value))}
          >
            <option value="choose">choose</option>
            <option value="named">this one</option>
            <option value="piece">a piece as it is</option>
          </Choice>
        </div>
        <MachineChoice />
        <div style={cell(3)}>
          <Choice
            label="First end"
            value={file.firstEnd ?? 'choose'}
            onChange={(value) => edit('firstEnd', (run) => void (run.firstEnd = value))}
          >
            <option value="choose">choose</option>
            <option value="front">front</option>
            <option value="back">back</option>
          </Choice>
        </div>
        {file.way !== 'from-bar' && !piece && <LeftOn />}
        {named && <NamedBar bar={named} />}
        {piece && <PieceFields piece={piece} />}
      </Grid>
    </Group>
  );
}

/** The bar that is named: its form, size and condition. */
function NamedBar({ bar }: { bar: StockFile }) {
  const { edit, problems } = useWorkspace();
  const editBar = (field: string, recipe: (bar: StockFile) => void) =>
    edit(`stock ${field}`, (run) => {
      if (run.stock && run.stock !== 'choose' && run.stock.form !== 'piece') recipe(run.stock);
    });
  return (
    <>
      <div style={cell(2)}>
        <Choice
          label="Form"
          value={bar.form ?? 'round'}
          onChange={(value) =>
            editBar('form', (typed) => {
              typed.form = value;
              if (value === 'tube') typed.bore ??= '';
              else delete typed.bore;
            })
          }
        >
          <option value="round">round</option>
          <option value="hex">hexagon</option>
          <option value="square">square</option>
          <option value="tube">tube</option>
        </Choice>
      </div>
      <div style={cell(2)}>
        <Field
          label={bar.form === 'hex' || bar.form === 'square' ? 'Across flats of the bar' : 'Diameter of the bar'}
          value={sayEntry(bar.size)}
          problem={problemAt(problems, 'stock.size')}
          onChange={(text) => editBar('size', (typed) => void (typed.size = text))}
        />
      </div>
      {bar.form === 'tube' && (
        <div style={cell(2)}>
          <Field
            label="Bore of the tube"
            value={sayEntry(bar.bore ?? '')}
            problem={problemAt(problems, 'stock.bore')}
            onChange={(text) => editBar('bore', (typed) => void (typed.bore = text))}
          />
        </div>
      )}
      <div style={cell(2)}>
        <Choice
          label="Condition"
          value={bar.condition ?? 'drawn'}
          onChange={(value) => editBar('condition', (typed) => void (typed.condition = value))}
        >
          <option value="drawn">drawn</option>
          <option value="ground">ground</option>
          <option value="hot-rolled">hot-rolled</option>
          <option value="sawn">sawn pieces</option>
        </Choice>
      </div>
      <div style={cell(2)}>
        <Field
          label="Bar length"
          value={sayEntry(bar.barLength ?? '')}
          placeholder="as sold"
          problem={problemAt(problems, 'stock.barLength')}
          onChange={(text) =>
            editBar('barLength', (typed) => {
              if (text === '') delete typed.barLength;
              else typed.barLength = text;
            })
          }
        />
      </div>
    </>
  );
}
