import { networkInterfaces } from 'node:os';

/**
 * Under which names this server is ours. It listens on loopback, but a page elsewhere can have its own name resolve to 127.0.0.1 and
 * be let in by the browser as "same origin": so the name asked for has to be ours, with our port.
 */
export interface Standing {
  readonly port: number;
  /** What it listens on: 127.0.0.1, or what CRUMB_LISTEN asked for. */
  readonly listen: string;
  /** This machine's own addresses, looked up when it listens on all of them. */
  readonly addresses: () => readonly string[];
  /** How pages of it are asked for: from this machine plainly, from the network by a secure connection. */
  readonly scheme?: 'http' | 'https';
}

export const LOOPBACK = ['localhost', '127.0.0.1', '[::1]'];
export const EVERYWHERE = new Set(['0.0.0.0', '::', '[::]']);

/** As it stands in an address: one of IPv6 in brackets. */
export const bracketed = (address: string): string =>
  address.includes(':') && !address.startsWith('[') ? `[${address}]` : address;

/** The addresses of this machine as they stand in a Host header; asked anew now and then, since a router may give another one. */
export function machineAddresses(): () => readonly string[] {
  let found: readonly string[] = [];
  let askedAtMs = -Infinity;
  return () => {
    if (performance.now() - askedAtMs > 10_000) {
      askedAtMs = performance.now();
      found = Object.values(networkInterfaces()).flatMap((each) =>
        (each ?? []).map(({ address }) => bracketed(address)),
      );
    }
    return found;
  };
}

/** Is this Host header one of ours? Loopback names, and the address asked for; listening on all, this machine's own; our port. */
export function isOurHost(
  host: string | undefined,
  { port, listen, addresses, scheme = 'http' }: Standing,
): boolean {
  if (host === undefined) return false;
  const [, name = '', stated] = /^(\[[0-9a-f:.]+\]|[^:[\]]+)(?::(\d{1,5}))?$/i.exec(host) ?? [];
  if (name === '' || Number(stated ?? (scheme === 'https' ? 443 : 80)) !== port) return false;
  const asked = name.toLowerCase();
  if (LOOPBACK.includes(asked)) return true;
  return EVERYWHERE.has(listen) ? addresses().includes(asked) : bracketed(listen.toLowerCase()) === asked;
}

/** Where instruments tell what they read. */
export const TOLD_AT = '/api/instruments/readings';

/** Said by a browser: no instrument does, and no page may tell readings. */
export const isFromBrowser = (headers: {
  readonly origin?: string;
  readonly 'sec-fetch-site'?: unknown;
}): boolean => headers.origin !== undefined || headers['sec-fetch-site'] !== undefined;

/**
 * A write comes from a page of the very host it is sent to, over the same scheme. Programs that send no Origin are no browsers: those
 * say `Sec-Fetch-Site` even where they leave the origin out.
 */
export function isOurOrigin(
  headers: {
    readonly host?: string;
    readonly origin?: string;
    readonly 'sec-fetch-site'?: string | string[];
  },
  scheme: 'http' | 'https' = 'http',
): boolean {
  if (headers.origin === undefined) return headers['sec-fetch-site'] === undefined;
  return headers.origin.toLowerCase() === `${scheme}://${headers.host?.toLowerCase()}`;
}

/** Where a photograph of a bake goes, and lies. */
export const isPhotoAt = (path: string): boolean =>
  /^\/api\/k\/[^/]+\/bakes\/[0-9a-f-]{36}\/photos\/[0-9a-f-]{36}$/i.test(path);

/** Where a kitchen comes in as a file: its text, or an archive with its pictures. */
export const IMPORT_AT = '/api/kitchens/import';
export const isArchiveType = (type: string | undefined): boolean => /^application\/zip$/i.test(type ?? '');
