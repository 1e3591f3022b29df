import { rackTable } from '@/core/formats/rackTable';
import { nameOfBar } from '@/core/plan/stock/nameOfBar';
import { listRack } from '@/server/rackRepository';
import { runNames } from '@/server/runList';
import { currentShop } from '@/server/shopRepository';
import { answered, tableAnswer } from '../../answers';

/** Every bar and offcut of the rack as a table. */
export const GET = () =>
  answered(async () => {
    const [items, runs, { materials }] = await Promise.all([listRack(), runNames(), currentShop()]);
    const rows = rackTable(
      items,
      (item) => `${materials.find(({ id }) => id === item.material)?.name ?? item.material} ${nameOfBar(item, 'mm')}`,
      (id) => runs.find((run) => run.id === id)?.number ?? `run ${id}`,
    );
    return tableAnswer('rack', rows);
  });
