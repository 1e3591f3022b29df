import { closeDatabase } from './database';
import { hasPasscode } from './sessionRepository';

/** For the scripts: ends well when the shop has a passcode. */
try {
  process.exitCode = (await hasPasscode()) ? 0 : 1;
} finally {
  await closeDatabase();
}
