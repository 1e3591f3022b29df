import 'reflect-metadata';
import { webcrypto } from 'node:crypto';
import { chmodSync, existsSync, mkdirSync, readFileSync, writeFileSync } from 'node:fs';
import { isIP } from 'node:net';
import { join } from 'node:path';
import * as x509 from '@peculiar/x509';

/** The package's types are those of a browser's `crypto`; Node's is the same thing. */
x509.cryptoProvider.set(webcrypto as unknown as Crypto);

const CURVE = { name: 'ECDSA', namedCurve: 'P-256', hash: 'SHA-256' } as const;
const DAY_MS = 24 * 60 * 60 * 1000;

/** How long the authority and a certificate of it hold, days: tablets take none that is longer. */
const AUTHORITY_DAYS = 3650;
const CERTIFICATE_DAYS = 820;

/** Files of the shop's own authority and of the server's certificate, in their folder. */
export const CERTIFICATE_FILES = {
  authority: 'authority.pem',
  authorityKey: 'authority.key',
  certificate: 'server.pem',
  key: 'server.key',
} as const;

/** What was made: the files, the names that it holds for, and until when. */
export interface MadeCertificate {
  names: readonly string[];
  until: Date;
  /** Whether the authority was there already, so that devices which trust it need nothing new. */
  authorityKept: boolean;
}

interface Authority {
  certificate: x509.X509Certificate;
  keys: CryptoKeyPair;
}

const newKeys = () =>
  webcrypto.subtle.generateKey(CURVE, true, ['sign', 'verify']) as unknown as Promise<CryptoKeyPair>;

const from = (days: number) => {
  const start = new Date(Date.now() - DAY_MS);
  return { notBefore: start, notAfter: new Date(start.getTime() + days * DAY_MS) };
};

async function keyAsPem(key: CryptoKey): Promise<string> {
  const raw = await webcrypto.subtle.exportKey('pkcs8', key as never);
  return x509.PemConverter.encode(raw, 'PRIVATE KEY');
}

/** A file that only its owner reads. */
function keep(file: string, text: string): void {
  writeFileSync(file, `${text.trim()}\n`, { mode: 0o600 });
  chmodSync(file, 0o600);
}

async function newAuthority(folder: string): Promise<Authority> {
  const keys = await newKeys();
  const certificate = await x509.X509CertificateGenerator.createSelfSigned({
    name: 'CN=Shingle, the authority of this shop',
    ...from(AUTHORITY_DAYS),
    keys,
    signingAlgorithm: CURVE,
    extensions: [
      new x509.BasicConstraintsExtension(true, 0, true),
      new x509.KeyUsagesExtension(x509.KeyUsageFlags.keyCertSign | x509.KeyUsageFlags.cRLSign, true),
      await x509.SubjectKeyIdentifierExtension.create(keys.publicKey),
    ],
  });
  keep(join(folder, CERTIFICATE_FILES.authorityKey), await keyAsPem(keys.privateKey));
  writeFileSync(join(folder, CERTIFICATE_FILES.authority), `${certificate.toString('pem')}\n`);
  return { certificate, keys };
}

/** The authority that was made before; undefined where there is none. */
async function keptAuthority(folder: string): Promise<Authority | undefined> {
  const [file, keyFile] = [join(folder, CERTIFICATE_FILES.authority), join(folder, CERTIFICATE_FILES.authorityKey)];
  if (!existsSync(file) || !existsSync(keyFile)) return undefined;
  const certificate = new x509.X509Certificate(readFileSync(file, 'utf8'));
  const raw = x509.PemConverter.decode(readFileSync(keyFile, 'utf8'))[0] as ArrayBuffer;
  const privateKey = await webcrypto.subtle.importKey('pkcs8', raw, CURVE, false, ['sign']);
  const publicKey = await certificate.publicKey.export(CURVE, ['verify']);
  return { certificate, keys: { privateKey: privateKey as unknown as CryptoKey, publicKey } };
}

/**
 * Makes a certificate for the server, signed by the shop's own authority, which is made with the first one and kept:
 * a device that trusts it trusts those that follow.
 * @param names names and addresses under which the server is reached
 */
export async function makeCertificate(folder: string, names: readonly string[]): Promise<MadeCertificate> {
  mkdirSync(folder, { recursive: true, mode: 0o700 });
  const kept = await keptAuthority(folder);
  const authority = kept ?? (await newAuthority(folder));
  const keys = await newKeys();
  const valid = from(CERTIFICATE_DAYS);
  const certificate = await x509.X509CertificateGenerator.create({
    subject: `CN=${names[0]}`,
    issuer: authority.certificate.subject,
    ...valid,
    publicKey: keys.publicKey,
    signingKey: authority.keys.privateKey,
    signingAlgorithm: CURVE,
    extensions: [
      new x509.BasicConstraintsExtension(false, undefined, true),
      new x509.KeyUsagesExtension(x509.KeyUsageFlags.digitalSignature, true),
      new x509.ExtendedKeyUsageExtension([x509.ExtendedKeyUsage.serverAuth]),
      new x509.SubjectAlternativeNameExtension(
        names.map((name) => ({ type: isIP(name) ? ('ip' as const) : ('dns' as const), value: name })),
      ),
      await x509.AuthorityKeyIdentifierExtension.create(authority.keys.publicKey),
    ],
  });
  keep(join(folder, CERTIFICATE_FILES.key), await keyAsPem(keys.privateKey));
  writeFileSync(
    join(folder, CERTIFICATE_FILES.certificate),
    `${certificate.toString('pem')}\n${authority.certificate.toString('pem')}\n`,
  );
  return { names, until: valid.notAfter, authorityKept: kept !== undefined };
}
