import type { Knex } from 'knex';
import * as partsRunsShop from './001-parts-runs-shop';
import * as rack from './002-rack';
import * as partUnits from './003-part-units';
import * as stockLevels from './004-stock-levels';
import * as partNames from './005-part-names';
import * as runList from './006-run-list';
import * as keysAndSessions from './007-keys-and-sessions';
import * as askedUnder from './008-asked-under';
import * as finerLengths from './009-finer-lengths';
import * as foundBy from './010-found-by';
import * as runStates from './011-run-states';
import * as copiedFrom from './012-copied-from';
import * as attachments from './013-attachments';
import * as events from './014-events';
import * as learnedRuns from './015-learned-runs';
import * as days from './016-days';
import * as begunWith from './017-begun-with';
import * as lathesBySetup from './018-lathes-by-setup';
import * as deviceLines from './019-device-lines';

const migrations: Record<string, Knex.Migration> = {
  '001-parts-runs-shop': partsRunsShop,
  '002-rack': rack,
  '003-part-units': partUnits,
  '004-stock-levels': stockLevels,
  '005-part-names': partNames,
  '006-run-list': runList,
  '007-keys-and-sessions': keysAndSessions,
  '008-asked-under': askedUnder,
  '009-finer-lengths': finerLengths,
  '010-found-by': foundBy,
  '011-run-states': runStates,
  '012-copied-from': copiedFrom,
  '013-attachments': attachments,
  '014-events': events,
  '015-learned-runs': learnedRuns,
  '016-days': days,
  '017-begun-with': begunWith,
  '018-lathes-by-setup': lathesBySetup,
  '019-device-lines': deviceLines,
};

/** Their names in order: what a database or a backup of ours has been through. */
export const migrationNames: readonly string[] = Object.keys(migrations);

/** The migrations in order, by name; listed rather than read from a folder, so that a bundle has them too. */
export const migrationSource: Knex.MigrationSource<string> = {
  getMigrations: async () => [...migrationNames],
  getMigrationName: (name) => name,
  getMigration: async (name) => {
    const migration = migrations[name];
    if (!migration) throw new Error(`no migration is called ${name}`);
    return migration;
  },
};
