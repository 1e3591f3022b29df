import { existsSync } from 'node:fs';
import { join } from 'node:path';
import { made, project } from './folder.mjs';
import { run } from './processes.mjs';
import { Refusal } from './say.mjs';

/**
 * What was asked for beyond loopback: `SHINGLE_LISTEN`, an address of this machine, with TLS on `SHINGLE_TLS_PORT`. The
 * certificate is the one that is given, or the shop's own.
 * @returns nothing where only this machine is to reach it
 */
export function networkSettings() {
  const { SHINGLE_LISTEN: listen, SHINGLE_TLS_PORT: port = '4611' } = process.env;
  if (!listen) return undefined;
  if (!/^\d{1,5}$/.test(port) || Number(port) < 1 || Number(port) > 65535)
    throw new Refusal(`SHINGLE_TLS_PORT is “${port}”; it must be a number from 1 to 65535.`);
  const certificate = process.env.SHINGLE_CERTIFICATE ?? join(made, 'certificate/server.pem');
  const key = process.env.SHINGLE_CERTIFICATE_KEY ?? join(made, 'certificate/server.key');
  for (const file of [certificate, key])
    if (!existsSync(file))
      throw new Refusal(
        `Beyond this machine Shingle speaks TLS only, and ${file} is not there. Make the shop's own certificate with npm run shingle -- certificate, or name the files in SHINGLE_CERTIFICATE and SHINGLE_CERTIFICATE_KEY.`,
      );
  const hosts = [process.env.SHINGLE_HOSTS, /^(0\.0\.0\.0|::)$/.test(listen) ? undefined : listen];
  return {
    address: `https://${listen}:${port}`,
    env: {
      SHINGLE_LISTEN: listen,
      SHINGLE_TLS_PORT: port,
      SHINGLE_CERTIFICATE: certificate,
      SHINGLE_CERTIFICATE_KEY: key,
      SHINGLE_HOSTS: hosts.filter(Boolean).join(','),
    },
  };
}

/** Refuses to listen beyond loopback as long as the shop has no passcode. */
export async function mayListen(url, { address }) {
  const { code } = await run(process.execPath, ['--import', 'tsx', join(project, 'src/server/hasPasscode.ts')], {
    cwd: project,
    env: { DATABASE_URL: url },
  });
  if (code !== 0)
    throw new Refusal(
      `${address} is beyond this machine, and the shop has no passcode: whoever is on the network could change everything. Start without SHINGLE_LISTEN, set one under Devices or with npm run shingle -- passcode, then start again.`,
    );
}
