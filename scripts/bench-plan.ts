import type { RunFile } from '../src/core/read/runFile';
import { planFile } from '../src/core/plan/plan';
import { proofOf } from '../src/core/plan/proved';
import { startValues } from '../src/core/model/shop/startValues';

/** A turned part of so many features: steps of rising diameter, a chamfer at the front, a hole. */
function partOf(features: number): RunFile {
  const steps = features - 2;
  return {
    format: 'shingle-run/1',
    units: 'mm',
    part: {
      number: `B-${features}`,
      material: 'brass-cw614n',
      outside: Array.from({ length: steps }, (_, index) => ({
        shape: 'cylinder',
        diameter: Number((8 + (index * 18) / steps).toFixed(2)),
        length: index === steps - 1 ? 12 : Number((60 / steps).toFixed(2)),
      })),
      details: [{ kind: 'chamfer', at: 0, size: 0.3 }],
      bores: [{ from: 'front', shape: 'drill', diameter: 4, depth: 10 }],
    },
    quantity: 100,
  };
}

/** Median and worst of many plans of one part, ms, after the first few have warmed up. */
function timePlans(features: number): {
  features: number;
  file: RunFile;
  operations: number;
  route: number;
  median: number;
  worst: number;
  proof: number;
} {
  const file = partOf(features);
  const plan = planFile(file, startValues);
  if (!plan.ok) throw new Error(JSON.stringify(plan.problems));
  const timed = (work: () => unknown) =>
    Array.from({ length: 120 }, () => {
      const from = performance.now();
      work();
      return performance.now() - from;
    })
      .slice(20)
      .sort((a, b) => a - b);
  const times = timed(() => planFile(file, startValues));
  // As an edit plans it: the route that is shown, and nothing else.
  const routes = timed(() => planFile(file, startValues, 'wanted', { only: [plan.value.skeleton] }));
  const proofs = timed(() => proofOf(plan.value));
  return {
    features,
    file,
    operations: plan.value.setups.reduce((total, { operations }) => total + operations.length, 0),
    route: routes[50] ?? 0,
    median: times[50] ?? 0,
    worst: times.at(-1) ?? 0,
    proof: proofs[50] ?? 0,
  };
}

process.stdout.write(JSON.stringify([3, 6, 12, 24, 40].map(timePlans)));
