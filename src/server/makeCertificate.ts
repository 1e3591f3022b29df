import { makeCertificate } from './certificate';

/** For the scripts: a certificate in the folder that is named, for this machine and for other names that it is reached by. */
const [folder = '', ...names] = process.argv.slice(2);
await makeCertificate(folder, ['localhost', '127.0.0.1', ...names]);
