import { existsSync, mkdirSync, readFileSync, writeFileSync } from 'node:fs';
import { isIP } from 'node:net';
import { join } from 'node:path';
import { generate } from 'selfsigned';

/** What the shop's computer shows by https, and the authority of the shop's own that vouches for it. PEM. */
export interface Certificates {
  authority: string;
  key: string;
  cert: string;
}

const YEAR_MS = 365 * 24 * 60 * 60 * 1000;
/** Phones trust no computer's certificate for longer. */
const COMPUTER_MS = YEAR_MS;
const AUTHORITY_MS = 10 * YEAR_MS;
const KEYS = { keyType: 'ec', curve: 'P-256', algorithm: 'sha256' } as const;
const ONLY_ME = 0o600;

interface Pair {
  key: string;
  cert: string;
}

async function newAuthority(nowMs: number): Promise<Pair> {
  const made = await generate([{ name: 'commonName', value: 'This shop’s own authority' }], {
    ...KEYS,
    notBeforeDate: new Date(nowMs),
    notAfterDate: new Date(nowMs + AUTHORITY_MS),
    extensions: [
      { name: 'basicConstraints', cA: true, pathLenConstraint: 0, critical: true },
      { name: 'keyUsage', keyCertSign: true, cRLSign: true, critical: true },
    ],
  });
  return { key: made.private, cert: made.cert };
}

/** The authority that is kept in a folder; made there the first time. Devices trust it, so it stays the same. */
async function authorityIn(folder: string, nowMs: number): Promise<Pair> {
  const [keyFile, certFile] = [join(folder, 'authority.key'), join(folder, 'authority.crt')];
  if (existsSync(keyFile) && existsSync(certFile))
    return { key: readFileSync(keyFile, 'utf8'), cert: readFileSync(certFile, 'utf8') };
  const authority = await newAuthority(nowMs);
  mkdirSync(folder, { recursive: true });
  writeFileSync(keyFile, authority.key, { mode: ONLY_ME });
  writeFileSync(certFile, authority.cert);
  return authority;
}

const altName = (name: string) =>
  isIP(name) > 0 ? { type: 7 as const, ip: name } : { type: 2 as const, value: name };

/**
 * The certificates of the shop's computer under its names: its own is made anew at each start, since its addresses
 * change; the authority's is kept in the folder. Nobody else vouches for either.
 */
export async function certificatesFor(
  names: Iterable<string>,
  folder: string,
  nowMs: number,
): Promise<Certificates> {
  const authority = await authorityIn(folder, nowMs);
  const plain = [...names].map((name) => name.replace(/^\[|\]$/g, '').replace(/%.*$/, ''));
  const made = await generate([{ name: 'commonName', value: 'The shop’s computer' }], {
    ...KEYS,
    notBeforeDate: new Date(nowMs),
    notAfterDate: new Date(nowMs + COMPUTER_MS),
    ca: authority,
    extensions: [
      { name: 'basicConstraints', cA: false, critical: true },
      { name: 'keyUsage', digitalSignature: true, critical: true },
      { name: 'extKeyUsage', serverAuth: true },
      { name: 'subjectAltName', altNames: plain.map(altName) },
    ],
  });
  return { authority: authority.cert, key: made.private, cert: made.cert };
}
