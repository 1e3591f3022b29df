import { closeDatabase } from './database';
import { seedDemo } from './demo';
import { bringUpToDate, SchemaRefusal } from './schema';
import { completeRunList } from './runRepository';
import { seedRack } from './rackRepository';
import { seedShop } from './shopRepository';

/** Brings a database up to date: schema, start values, and demo data when it is empty. Run by the scripts. */
async function prepare(): Promise<void> {
  const applied = await bringUpToDate();
  const shop = await seedShop();
  const runs = await seedDemo();
  // The rack of a shop that has work already is its own affair.
  const bars = runs > 0 ? await seedRack() : 0;
  await completeRunList();
  const did = [
    applied > 0 && `${applied} migration(s)`,
    shop,
    runs > 0 && `${runs} demo runs`,
    bars > 0 && `${bars} bars on the demo rack`,
  ].filter(Boolean);
  console.log(did.length > 0 ? did.join(', ') : 'nothing to do');
}

try {
  await prepare();
} catch (error) {
  if (!(error instanceof SchemaRefusal)) throw error;
  console.error(error.message);
  process.exitCode = 1;
} finally {
  await closeDatabase();
}
