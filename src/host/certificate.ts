import 'reflect-metadata';
import { createHash, randomBytes, webcrypto } from 'node:crypto';
import { existsSync, readFileSync } from 'node:fs';
import { isIP } from 'node:net';
import { hostname } from 'node:os';
import path from 'node:path';
import * as x509 from '@peculiar/x509';
import { writePrivately } from './home';

/** What the network door shows, and by what devices know it. */
export interface Certificate {
  readonly key: string;
  readonly cert: string;
  /** The authority's certificate, which a device is told to trust: no secret. */
  readonly authority: string;
  /** SHA-256 of it, in pairs, as devices show it. */
  readonly fingerprint: string;
}

const ALGORITHM = { name: 'ECDSA', namedCurve: 'P-256', hash: 'SHA-256' } as const;
const DAY_MS = 86_400_000;
/** Devices take no certificate for longer; an authority is trusted by hand, so it lasts. */
const SERVER_MS = 390 * DAY_MS;
const AUTHORITY_MS = 3650 * DAY_MS;
const RENEW_MS = 30 * DAY_MS;

const pemOf = (label: string, bytes: ArrayBuffer): string => x509.PemConverter.encode(bytes, label);
const keysOf = (): Promise<webcrypto.CryptoKeyPair> =>
  webcrypto.subtle.generateKey(ALGORITHM, true, ['sign', 'verify']);
const secretOf = async ({ privateKey }: webcrypto.CryptoKeyPair): Promise<string> =>
  pemOf('PRIVATE KEY', await webcrypto.subtle.exportKey('pkcs8', privateKey));
const serial = (): string => `00${randomBytes(15).toString('hex')}`;

/** The key and the certificate in two files of the home, as long as both are whole. */
function load(folder: string, name: string): { readonly key: string; readonly cert: string } | null {
  const files = ['key', 'crt'].map((end) => path.join(folder, `${name}.${end}`));
  if (!files.every((file) => existsSync(file))) return null;
  const [key = '', cert = ''] = files.map((file) => readFileSync(file, 'utf8'));
  return key.includes('PRIVATE KEY') && cert.includes('CERTIFICATE') ? { key, cert } : null;
}

function save(folder: string, name: string, key: string, cert: string): void {
  writePrivately(path.join(folder, `${name}.crt`), cert);
  writePrivately(path.join(folder, `${name}.key`), key);
}

async function makeAuthority(
  folder: string,
  nowMs: number,
): Promise<{ readonly key: string; readonly cert: string }> {
  const keys = await keysOf();
  const cert = await x509.X509CertificateGenerator.createSelfSigned({
    serialNumber: serial(),
    name: `CN=Honest Crumb on ${hostname().replace(/[^A-Za-z0-9.-]/g, '')}`,
    notBefore: new Date(nowMs - DAY_MS),
    notAfter: new Date(nowMs + AUTHORITY_MS),
    keys,
    signingAlgorithm: ALGORITHM,
    extensions: [
      new x509.BasicConstraintsExtension(true, 0, true),
      new x509.KeyUsagesExtension(x509.KeyUsageFlags.keyCertSign, true),
      await x509.SubjectKeyIdentifierExtension.create(keys.publicKey),
    ],
  });
  const made = { key: await secretOf(keys), cert: cert.toString('pem') };
  save(folder, 'authority', made.key, made.cert);
  return made;
}

const namesOf = (cert: x509.X509Certificate): string[] => {
  const names = cert.getExtension(x509.SubjectAlternativeNameExtension);
  return (names?.names.items ?? []).map(({ value }) => value).sort();
};

async function makeServer(
  folder: string,
  authority: { readonly key: string; readonly cert: string },
  names: readonly string[],
  nowMs: number,
) {
  const issuer = new x509.X509Certificate(authority.cert);
  const [secret] = x509.PemConverter.decode(authority.key);
  const signingKey = await webcrypto.subtle.importKey('pkcs8', secret!, ALGORITHM, false, ['sign']);
  const keys = await keysOf();
  const cert = await x509.X509CertificateGenerator.create({
    serialNumber: serial(),
    subject: 'CN=Honest Crumb',
    issuer: issuer.subject,
    notBefore: new Date(nowMs - DAY_MS),
    notAfter: new Date(nowMs + SERVER_MS),
    publicKey: keys.publicKey,
    signingKey,
    signingAlgorithm: ALGORITHM,
    extensions: [
      new x509.BasicConstraintsExtension(false, undefined, true),
      new x509.KeyUsagesExtension(x509.KeyUsageFlags.digitalSignature, true),
      new x509.ExtendedKeyUsageExtension([x509.ExtendedKeyUsage.serverAuth]),
      new x509.SubjectAlternativeNameExtension(
        names.map((value) => ({ type: isIP(value) ? ('ip' as const) : ('dns' as const), value })),
      ),
      await x509.AuthorityKeyIdentifierExtension.create(issuer.publicKey),
    ],
  });
  const made = { key: await secretOf(keys), cert: cert.toString('pem') };
  save(folder, 'network', made.key, made.cert);
  return made;
}

/**
 * The certificate of this installation, from an authority of its own: both made once and kept with the home's keys, the certificate anew when it runs out or this
 * machine has other addresses. Devices trust the authority, so they notice nothing of that.
 *
 * @param addresses under which it is asked for
 */
export async function certificateOf(folder: string, addresses: readonly string[], nowMs: number): Promise<Certificate> {
  x509.cryptoProvider.set(webcrypto as Crypto);
  const host = hostname();
  const names = [...new Set(['localhost', '127.0.0.1', ...(/^[A-Za-z0-9.-]+$/.test(host) ? [host, `${host}.local`] : []), ...addresses])].sort();
  const authority = load(folder, 'authority') ?? (await makeAuthority(folder, nowMs));
  const known = load(folder, 'network');
  const cert = known && new x509.X509Certificate(known.cert);
  const root = new x509.X509Certificate(authority.cert);
  const holds =
    cert !== null &&
    cert.notAfter.getTime() - nowMs > RENEW_MS &&
    cert.issuer === root.subject &&
    (await cert.verify({ publicKey: root.publicKey, signatureOnly: true })) &&
    names.every((name) => namesOf(cert).includes(name));
  const server = known && holds ? known : await makeServer(folder, authority, names, nowMs);
  const hex = createHash('sha256').update(Buffer.from(root.rawData)).digest('hex').toUpperCase();
  return { ...server, authority: authority.cert, fingerprint: hex.match(/../g)!.join(':') };
} // prettier-ignore
