import { spawnSync } from 'node:child_process';
import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { runOf, step } from '@/core/testing';
import { shingle as call } from './commands';

const root = join(__dirname, '../..');

/** Runs the command line as npm does. */
function spawned(words: string[], input = '') {
  const { status, stdout, stderr } = spawnSync(process.execPath, ['--import', 'tsx', 'src/cli/shingle.ts', ...words], {
    cwd: root,
    input,
    encoding: 'utf8',
  });
  return { status, stdout, stderr };
}

/** The same without a process of its own. */
async function shingle(words: string[], input = '') {
  const { code, out, err } = await call(words, (file) =>
    file === '-' ? input : readFileSync(join(root, file), 'utf8'),
  );
  return { status: code, stdout: out, stderr: err };
}

const file = (changes: object) =>
  JSON.stringify({
    format: 'shingle-run/1',
    part: { number: 'T-1', material: 'brass-cw614n', outside: [{ shape: 'cylinder', diameter: 10, length: 20 }] },
    quantity: 10,
    ...changes,
  });

/** A pin that somebody decided to let stand out 60 mm of ⌀8, which no route makes good. */
const slender = {
  format: 'shingle-run/1',
  part: { number: 'T-2', material: 'mild-steel', outside: [{ shape: 'cylinder', diameter: '7.9 h8', length: 20 }] },
  quantity: 10,
  way: 'from-bar',
  firstEnd: 'front',
  overrules: [{ setup: 1, stickOut: 60 }],
};

test('a plan for people: stock, set-ups, operations, times', () => {
  const { status, stdout, stderr } = spawned(['plan', 'examples/sensor-spacer.json']);
  expect([status, stderr]).toEqual([0, '']);
  for (const words of [
    'WS-210 revision B',
    '120 off in aluminium 6082',
    'length per piece 25.10 mm, 116 a bar',
    'sequences can be planned. ',
    'routes tried',
    'Set-up 2, from the back',
    '70 Finish ⌀14 h8, spigot',
    '9.025',
    'The shop’s rules',
  ])
    expect(stdout).toContain(words);
});

test('the heaviest cut of each operation, with what holds it', async () => {
  const { stdout } = await shingle(['plan', 'examples/sensor-spacer.json']);
  const rows = stdout.split('\n');
  expect(rows.find((row) => row.startsWith('Heaviest cuts'))).toMatch(
    /force +torque +power +deflection +Ra +chip +held by/,
  );
  // Three cuts of 2.002 into a shoulder, 240 mm a minute: 600 · 0.15^0.76 · 2.002 N at 133.2 m/min; 0.15² / (32 · 0.8) of Ra.
  expect(rows.find((row) => /30 Rough .* material$/.test(row))).toMatch(/ 284 +0\.631 +0\.0005 +0\.88 +broken/);
});

test('the same as data', async () => {
  const { status, stdout } = await shingle(['plan', 'examples/terminal-pillar.json', '--json']);
  expect(status).toBe(0);
  expect(JSON.parse(stdout)).toMatchObject({
    format: 'shingle-plan/1',
    run: { part: 'WS-402', quantity: 500 },
    stock: { form: 'round', way: 'from-bar' },
  });
  const { time } = JSON.parse(stdout) as { time: { running: unknown[]; cost: { piece: number; batch: number } } };
  expect(time.running).toHaveLength(6);
  expect(time.cost.piece).toBeCloseTo(time.cost.batch / 500, 2);
});

test('from standard input', () => {
  expect(spawned(['plan', '-', '--json'], file({})).status).toBe(0);
});

test('a process that was given a wrong file ends with 2 and says why', () => {
  expect(spawned(['plan', '-'], file({ quantity: 0 }))).toMatchObject({
    status: 2,
    stdout: '',
    stderr: expect.not.stringMatching(/\bat .*\.ts:\d+/),
  });
});

describe('bad input ends with 2, a path and a reason, and no trace', () => {
  test.each([
    ['a file that is not there', ['plan', 'nothing.json'], '', 'nothing.json: cannot be read'],
    ['no JSON', ['plan', '-'], '{ "format": ', '-: is not JSON'],
    ['another format', ['plan', '-'], file({ format: 'x' }), 'format: “x” is not a run file'],
    ['a part that cannot be', ['plan', '-'], file({ stock: { size: 8 } }), 'stock.size: ⌀8 drawn: will not clean up'],
    ['several problems', ['plan', '-'], file({ quantity: 0, due: 'soon' }), 'due: “soon” is not a day'],
    ['no command', [], '', 'usage: npm run --silent shingle -- plan FILE'],
    ['an option nobody knows', ['plan', 'examples/pivot-pin.json', '--xml'], '', 'usage:'],
  ])('%s', async (_, words, input, said) => {
    const { status, stdout, stderr } = await shingle(words, input);
    expect([status, stdout]).toEqual([2, '']);
    expect(stderr).toContain(said);
    expect(stderr).not.toMatch(/\bat .*\.ts:\d+/);
  });
});

describe('what if', () => {
  const pin = 'examples/pivot-pin.json';

  test('searched to the end of the space, and no further than so many seconds', async () => {
    const whole = await shingle(['plan', pin, '--proven', '--json']);
    expect(JSON.parse(whole.stdout)).toMatchObject({ complete: true, missing: [], route: { proven: true } });
    const none = await shingle(['plan', pin, '--within', '0', '--json']);
    expect(JSON.parse(none.stdout)).toMatchObject({ route: { proven: false, compared: 2 } });
    expect((await shingle(['plan', pin, '--within', 'long'])).status).toBe(2);
    expect((await shingle(['prove', pin, '--proven'])).status).toBe(2);
  });

  test('of a run without a plan: what was tried, and what would do', async () => {
    const thin = JSON.stringify({
      format: 'shingle-run/1',
      units: 'mm',
      part: {
        number: 'WS-963',
        material: 'brass-cw614n',
        outside: [
          { shape: 'cylinder', diameter: 6, length: 1.5 },
          { shape: 'cylinder', diameter: 20, length: 1.5 },
        ],
      },
      quantity: 20,
      way: 'from-bar',
    });
    const { status, stdout } = await shingle(['plan', '-', '--json'], thin);
    expect(status).toBe(2);
    expect(JSON.parse(stdout)).toMatchObject({
      format: 'shingle-refusal/1',
      problems: [{ path: 'part.outside' }],
      tried: expect.arrayContaining([expect.objectContaining({ route: 'From the bar' })]),
      // The house gives way before the drawing does.
      remedies: [{ path: 'rules.nib', value: 'as-parted' }, { path: 'part.outside[0].length' }],
    });
    const said = await shingle(['plan', '-'], thin);
    expect(said.stderr).toContain('would do:');
  });

  test('the difference of two plans: only what changes, before and after', async () => {
    const { status, stdout } = await shingle(['what-if', pin, '--set', 'quantity=400']);
    expect(status).toBe(0);
    expect(stdout).toMatch(/cost of a piece +[\d.]+ +→ +[\d.]+/);
    expect(stdout).not.toContain('setting up');
  });

  test('of the shop: which operations cut otherwise, what holds them back, and how far the work stands out', async () => {
    const { stdout } = await shingle([
      'what-if',
      'examples/sensor-spacer.json',
      '--set',
      'shop.cutting.gripForce.3-jaw=1500',
      '--set',
      'overrules=[{"setup":1,"stickOut":50}]',
    ]);
    expect(stdout).toMatch(/Set-up 1 · Rough ⌀26\.5, feed +0\.150 +→ +0\.080/);
    expect(stdout).toMatch(/Set-up 1, standing out +30\.10 +→ +50\.00/);
    expect(stdout).toMatch(/New to mind\n +20 Rough ⌀26\.5: Held back: more force could turn the work/);
  });

  test('several at once, also of the shop, and as data', async () => {
    const { stdout } = await shingle([
      'what-if',
      pin,
      '--set',
      'shop.timeAllowance=0.24',
      '--set',
      'rules.nib=as-parted',
      '--json',
    ]);
    const { time } = JSON.parse(stdout) as { time: { what: string; before: number; after: number }[] };
    expect(time.length).toBeGreaterThan(0);
  });

  test.each([
    ['a path that leads nowhere', 'part.outside[9].diameter=4', 'part.outside.9: is not there'],
    ['no value', 'quantity', '--set: “quantity” is not PATH=VALUE'],
    ['a value that cannot be', 'quantity=0', 'quantity: “0” must be a whole number'],
  ])('%s is said', async (_, set, words) => {
    expect(await shingle(['what-if', pin, '--set', set])).toMatchObject({
      status: 2,
      stderr: expect.stringContaining(words),
    });
  });

  test('without anything set there is nothing to compare', async () => {
    expect((await shingle(['what-if', pin])).stderr).toContain('usage:');
  });
});

describe('a cut list', () => {
  const list = 'examples/cut-lists/week-48.json';

  test('as data, by its published format', async () => {
    const { status, stdout } = await shingle(['cut', list, '--json']);
    expect(status).toBe(0);
    const cuts = JSON.parse(stdout) as { patterns: { times: number; pieces: { count: number }[] }[] };
    expect(cuts).toMatchObject({ format: 'shingle-cuts/1', barsOpened: 2, lowerBound: 2, proven: true });
    const sawn = cuts.patterns.flatMap(({ times, pieces }) => pieces.map(({ count }) => times * count));
    expect(sawn.reduce((a, b) => a + b, 0)).toBe(124 + 40 + 12);
  });

  test('for people: what to open, the stop of each length, what is left', async () => {
    const { stdout } = await shingle(['cut', list]);
    for (const words of ['2 bars, at least 2 needed', 'offcut A-07', 'stop    146.00', 'left'])
      expect(stdout).toContain(words);
  });

  test.each([
    [{ pieces: [{ length: 4000, count: 1 }] }, 'pieces[0].length: 4000 mm is longer than any bar gives'],
    [{ bars: [{ length: 3000, count: 0 }] }, 'bars: no bars are left'],
    [{ pieces: [{ length: 10, count: -3 }] }, 'pieces[0].count: -3 must be at least 1'],
    [{ kerf: 'wide' }, 'kerf: must be a number'],
    [{ format: 'other/1' }, 'format: “other/1” is not a cut list'],
  ])('is refused with where and what: %j', async (change, words) => {
    const file = {
      format: 'shingle-cutlist/1',
      kerf: 2,
      bars: [{ length: 3000, count: null }],
      pieces: [{ length: 10, count: 3 }],
      ...change,
    };
    const { status, stderr } = await shingle(['cut', '-'], JSON.stringify(file));
    expect([status, stderr]).toEqual([2, expect.stringContaining(words)]);
  });
});

describe('prove', () => {
  const plan = async (name: string) => {
    const { stdout } = await shingle(['plan', `examples/${name}.json`, '--json']);
    return JSON.parse(stdout) as { setups: { operations: { name: string; passes: { depth: number }[] }[] }[] };
  };
  /** With a plan file that is not on disk. */
  const proved = (name: string, file: unknown) =>
    call(['prove', `examples/${name}.json`, '--plan', 'plan.json'], (path) =>
      path === 'plan.json' ? JSON.stringify(file) : readFileSync(join(root, path), 'utf8'),
    );

  test('the plan of a run: 0 where it passes, 1 with place and amount where it does not', async () => {
    const good = await shingle(['prove', 'examples/sensor-spacer.json']);
    expect([good.status, good.stderr]).toEqual([0, '']);
    expect(good.stdout).toMatch(/^Proved/);
    const bad = await shingle(['prove', '-'], JSON.stringify(slender));
    expect(bad.status).toBe(1);
    expect(bad.stdout).toMatch(/^NOT PROVED/);
    expect(bad.stdout).toContain('10: the work stands out too far');
  });

  test('any plan file for that run, and what it found as data', async () => {
    const file = await plan('sensor-spacer');
    expect((await proved('sensor-spacer', file)).code).toBe(0);
    const finish = file.setups
      .flatMap(({ operations }) => operations)
      .find(({ name }) => name.startsWith('Finish ⌀14'));
    finish?.passes.pop();
    const { code, out } = await proved('sensor-spacer', file);
    expect(code).toBe(1);
    expect(out).toContain('metal is left that the drawing does not allow');
    const data = await call(['prove', 'examples/sensor-spacer.json', '--plan', 'plan.json', '--json'], (path) =>
      path === 'plan.json' ? JSON.stringify(file) : readFileSync(join(root, path), 'utf8'),
    );
    expect(JSON.parse(data.out)).toMatchObject({ passed: false, faults: [{ code: 'too-much-metal' }] });
  });

  test('what is no plan file, or one of another part, is told with its path', async () => {
    expect(await proved('sensor-spacer', { format: 'shingle-plan/1' })).toMatchObject({
      code: 2,
      err: expect.stringContaining('setups: is missing'),
    });
    expect(await proved('sensor-spacer', await plan('gland-body'))).toMatchObject({
      code: 2,
      err: 'run.part: is a plan of “WS-340”, and the run is of “WS-210”\n',
    });
    expect((await shingle(['plan', 'examples/sensor-spacer.json', '--plan', 'x.json'])).status).toBe(2);
  });
});

test('the setting sheet alone: master, screws, quill, what would be next best, and what one more would save', async () => {
  const said = await shingle(['stops', 'examples/gland-body.json']);
  expect(said.status).toBe(0);
  expect(said.stdout).toMatch(/Set-up 1\n {3}1 spindle stop to/);
  expect(said.stdout).toMatch(/master: clean the face up/);
  expect(said.stdout).toMatch(/station 1.*next best .*more/);
  expect(said.stdout).toContain('One station more would save');
  const file = JSON.parse((await shingle(['stops', 'examples/gland-body.json', '--json'])).stdout) as object[];
  expect(file).toMatchObject([{ setup: 1, settingSheet: expect.any(Array) }, { setup: 2 }]);
  expect((await shingle(['stops', 'examples/gland-body.json', '--within', '3'])).stderr).toContain('usage:');
});

test('one set of stops for a family of files: each run’s stops, and what it takes against setting them for each', async () => {
  const file = (length: number) =>
    JSON.stringify(
      runOf(
        { number: `T-${length}`, outside: [step(12, length), step(20, 8)] },
        { way: 'from-bar', firstEnd: 'front', quantity: 10, overrules: [{ setup: 1, stickOut: 53.6 }] },
      ),
    );
  const read = (name: string) => file(Number(name));
  const { code, out } = await call(['stops', '18', '28'], read);
  expect(code).toBe(0);
  expect(out).toMatch(/^One set of stops for T-18, T-28/);
  expect(out).toMatch(/T-18 +\w +18\.000 {2}station \d, spacer 10/);
  const data = JSON.parse((await call(['stops', '18', '28', '--json'], read)).out) as {
    apart: number;
    together: number;
  };
  expect(data.together).toBeLessThan(data.apart);
  const wrong = await call(['stops', '18', '28'], (name) => (name === '28' ? '{}' : file(18)));
  expect([wrong.code, wrong.err]).toEqual([2, expect.stringMatching(/^file 2: /)]);
  expect((await call(['plan', '18', '28'], read)).code).toBe(2);
});
