import { makeCertificate } from './certificate';

/** For the scripts: a certificate for this machine alone, in the folder that is named. */
await makeCertificate(process.argv[2] ?? '', ['localhost', '127.0.0.1']);
