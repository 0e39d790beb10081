import { randomBytes } from 'node:crypto';
import type { Duplex } from 'node:stream';
import { SWALLOW_MS, swallowFrom } from './body';
import { contentSecurityPolicy, securityHeaders } from './headers';

/**
 * Answers by hand what is no HTTP (any more), and ends the connection: whatever is still being said is thrown away for a moment, that the
 * answer can be read; nobody holds the socket longer by going on.
 */
export function hangUp(socket: Duplex, status: string): void {
  if (!socket.writable) return void socket.destroy();
  const destroy = (): void => void socket.destroy();
  const late = setTimeout(destroy, SWALLOW_MS);
  socket.on('close', () => clearTimeout(late));
  socket.on('error', destroy);
  swallowFrom(socket, destroy);
  const headers = Object.entries({
    ...securityHeaders(contentSecurityPolicy(randomBytes(16).toString('base64'), false)),
    'cache-control': 'no-store',
    'content-length': '0',
    connection: 'close',
  });
  socket.end(`HTTP/1.1 ${status}\r\n${headers.map(([name, value]) => `${name}: ${value}\r\n`).join('')}\r\n`);
}
