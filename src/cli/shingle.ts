import { readFileSync } from 'node:fs';
import { shingle } from './commands';
import { house, HOUSE } from './house';

const words = process.argv.slice(2);
const { code, out, err } = HOUSE.includes(words[0] ?? '')
  ? await house(words)
  : await shingle(words, (file) => readFileSync(file === '-' ? 0 : file, 'utf8'));
process.stdout.write(out);
process.stderr.write(err);
process.exitCode = code;
