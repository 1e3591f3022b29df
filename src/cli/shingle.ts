import { readFileSync } from 'node:fs';
import { shingle } from './commands';

const { code, out, err } = await shingle(process.argv.slice(2), (file) =>
  readFileSync(file === '-' ? 0 : file, 'utf8'),
);
process.stdout.write(out);
process.stderr.write(err);
process.exitCode = code;
