/**
 * Who may talk to the server. It listens on loopback, but a page on the internet can have its own name resolve to
 * 127.0.0.1 and be let in by the browser as "same origin": so the name asked for has to be ours.
 */
const LOOPBACK = new Set(['localhost', '127.0.0.1', '[::1]']);

const nameOf = (host: string): string => host.replace(/:\d+$/, '').toLowerCase();

/** Listening beyond the machine was asked for (CRUMB_LISTEN): then a bare address is trusted too, which no page can fake. */
const beyond = (): boolean => !!process.env.CRUMB_LISTEN && !LOOPBACK.has(process.env.CRUMB_LISTEN);

export function isTrustedHost(host: string | null): boolean {
  if (host === null) return false;
  const name = nameOf(host);
  return LOOPBACK.has(name) || (beyond() && /^(?:\d{1,3}(?:\.\d{1,3}){3}|\[[0-9a-f:]+\])$/.test(name));
}

/** A write must come from a page of the very host it is sent to. Programs that send no Origin are no browsers. */
export function isTrustedOrigin(headers: Headers): boolean {
  const origin = headers.get('origin');
  if (origin === null) return headers.get('sec-fetch-site') === null;
  try {
    return new URL(origin).host === headers.get('host');
  } catch {
    return false;
  }
}
