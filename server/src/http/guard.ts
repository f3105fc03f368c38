import { hostname, networkInterfaces } from 'node:os';
import type { MiddlewareHandler } from 'hono';
import { secureHeaders } from 'hono/secure-headers';
import { ApiError } from '../errors';

const THIS_COMPUTER = ['localhost', '127.0.0.1', '[::1]'];

export const isOpenToAll = (host: string): boolean => host === '0.0.0.0' || host === '::';

/** The addresses of this computer in the networks it is in; an IPv6 one in brackets, as addresses write it. */
const ownAddresses = (): string[] =>
  Object.values(networkInterfaces()).flatMap((list = []) =>
    list.map(({ address, family }) => (family === 'IPv6' ? `[${address}]` : address)),
  );

/** The names that this server answers to: this computer's own, and what it listens on. */
export function namesOf(host: string): Set<string> {
  const names = isOpenToAll(host)
    ? [...ownAddresses(), hostname().toLowerCase(), `${hostname().toLowerCase()}.local`]
    : [host];
  return new Set([...THIS_COMPUTER, ...names]);
}

/** Where other devices reach this computer, by its addresses in the network; nowhere while it answers no other. */
const originsInNetwork = (host: string, port: string): string[] =>
  isOpenToAll(host)
    ? Object.values(networkInterfaces())
        .flat()
        .flatMap((one) => (one && !one.internal && one.family === 'IPv4' ? [one.address] : []))
        .map((address) => `http://${address}${port === '' ? '' : `:${port}`}`)
    : [];

/** The pages on which another device enters a code; none while this computer answers no other. */
export const pagesToPair = (host: string, port: string, code: string): string[] =>
  originsInNetwork(host, port).map((origin) => `${origin}/pair?code=${code}`);

/**
 * Where a printed code leads: to the address that the page was asked at, and if that is this computer's own name for
 * itself, to its address in the network while other devices are answered.
 */
export function printedOrigin(host: string, asked: string): string {
  const { origin, hostname, port } = new URL(asked);
  const [inNetwork] = THIS_COMPUTER.includes(hostname) ? originsInNetwork(host, port) : [];
  return inNetwork ?? origin;
}

/** An address taken apart; null where it is none. */
function urlOf(address: string): URL | null {
  try {
    return new URL(address);
  } catch {
    return null;
  }
}

/**
 * Answers only under its own names and only to its own pages: a page of another origin cannot make a browser of the
 * shop ask here, not even by giving its own name this computer's address (DNS rebinding).
 */
export function onlyOwnPages(reach: { host: string }): MiddlewareHandler {
  return async (c, next) => {
    const asked = urlOf(c.req.url);
    // Asked for each time: a computer is given another address while it runs.
    if (!asked || !namesOf(reach.host).has(asked.hostname))
      throw new ApiError(403, 'wrong-host', 'The shop’s computer does not answer under this name.');
    const origin = c.req.header('origin');
    const isForeign = origin !== undefined && asked.host !== urlOf(origin)?.host;
    if (isForeign || c.req.header('sec-fetch-site') === 'cross-site')
      throw new ApiError(403, 'wrong-origin', 'Only the shop’s own pages may ask here.');
    await next();
  };
}

const HEADERS = {
  contentSecurityPolicy: {
    defaultSrc: ["'self'"],
    scriptSrc: ["'self'"],
    workerSrc: ["'self'"],
    // Styles are written by the components into the page; they load nothing.
    styleSrc: ["'self'", "'unsafe-inline'"],
    imgSrc: ["'self'", 'data:', 'blob:'],
    fontSrc: ["'self'"],
    connectSrc: ["'self'"],
    objectSrc: ["'none'"],
    baseUri: ["'none'"],
    formAction: ["'self'"],
    frameAncestors: ["'none'"],
  },
  xFrameOptions: 'DENY',
  referrerPolicy: 'no-referrer',
  // Spoken in plain http on this computer.
  strictTransportSecurity: false,
} satisfies Parameters<typeof secureHeaders>[0];

/** Browsers heed these only where nobody can read along, and complain of them elsewhere. */
const UNHEEDED = { crossOriginOpenerPolicy: false, originAgentCluster: false } as const;

/**
 * The workers that read drawings, set letters, make stitches and lay cloth run compiled code, whose package writes the calls into it
 * as functions. They see no page, and what a drawing says is never made into code.
 */
const WITH_COMPILED = /^\/workers\/(design|stitch|cut)-[0-9A-Z]{8}\.js$/;
const COMPILED = {
  ...HEADERS,
  contentSecurityPolicy: {
    ...HEADERS.contentSecurityPolicy,
    scriptSrc: ["'self'", "'wasm-unsafe-eval'", "'unsafe-eval'"],
  },
};

/** What a page of the shop may load and do: its own files; no script that is not one, and in nobody's frame. */
export function pageHeaders(): MiddlewareHandler {
  const ways = [HEADERS, COMPILED].map((headers) => ({
    whole: secureHeaders(headers),
    plain: secureHeaders({ ...headers, ...UNHEEDED }),
  }));
  const [page, worker] = ways as [(typeof ways)[0], (typeof ways)[0]];
  return (c, next) => {
    const { protocol, hostname: name } = new URL(c.req.url);
    const { whole, plain } = WITH_COMPILED.test(c.req.path) ? worker : page;
    return (protocol === 'https:' || THIS_COMPUTER.includes(name) ? whole : plain)(c, next);
  };
}
