import { createServer as createHttpServer, type Server as HttpServer } from 'node:http';
import { createServer, type Server, type Socket } from 'node:net';
import { randomBytes } from 'node:crypto';
import { contentSecurityPolicy, securityHeaders } from '@/door/headers';
import { isOurHost, type Standing } from '@/door/hosts';
import { insecurePage } from '@/door/insecurePage';

const FIRST_BYTE_MS = 10_000;
/** A secure connection begins with the record type of a handshake. */
const HANDSHAKE = 22;

const isThisMachine = (address: string | undefined): boolean =>
  /^(?:::ffff:)?127\.|^::1$/.test(address ?? '');

interface LobbyOptions {
  /** This machine's own door, the network's, and what is said to whoever comes to the network's without a secure connection. */
  readonly local: HttpServer;
  readonly network: HttpServer;
  readonly insecure: HttpServer;
}

/** One port for all: who comes how is seen by the first byte, and shown to the door that is meant for it. */
export function openLobby({ local, network, insecure }: LobbyOptions): { readonly server: Server; readonly close: () => void } {
  const waiting = new Set<Socket>();
  const server = createServer((socket) => {
    waiting.add(socket);
    const leave = () => void socket.destroy();
    const late = setTimeout(leave, FIRST_BYTE_MS);
    socket.on('error', leave);
    socket.once('close', () => {
      clearTimeout(late);
      waiting.delete(socket);
    });
    const look = (): void => {
      const first = socket.read(1) as Buffer | null;
      if (first === null) {
        // the end, or nothing yet
        if (!socket.readableEnded) socket.once('readable', look);
        return;
      }
      clearTimeout(late);
      waiting.delete(socket);
      socket.off('error', leave);
      socket.unshift(first);
      const isSecure = first[0] === HANDSHAKE;
      (isSecure ? network : isThisMachine(socket.remoteAddress) ? local : insecure).emit('connection', socket);
    };
    socket.once('readable', look);
  });
  // their clocks for those who say nothing begin when they listen, which the lobby does for them
  for (const each of [local, network, insecure]) each.emit('listening');
  return {
    server,
    close: () => {
      server.close();
      for (const socket of waiting) socket.destroy();
    },
  };
} // prettier-ignore

/** Says what is missing, and gives the certificate; nothing of a kitchen is behind it. */
export const insecureServer = (standing: Standing, authority: string, fingerprint: string): HttpServer =>
  createHttpServer({ requestTimeout: 10_000, headersTimeout: 10_000, keepAliveTimeout: 5000, maxHeaderSize: 8192 }, (request, response) => {
    const nonce = randomBytes(16).toString('base64');
    for (const [name, value] of Object.entries(securityHeaders(contentSecurityPolicy(nonce, false)))) response.setHeader(name, value);
    response.setHeader('cache-control', 'no-store');
    response.setHeader('connection', 'close');
    request.resume();
    const isRead = request.method === 'GET' || request.method === 'HEAD';
    if (!isRead || !isOurHost(request.headers.host, standing)) {
      response.writeHead(403, { 'content-type': 'text/plain; charset=utf-8' });
      return void response.end('By a secure connection only.\n');
    }
    if (request.url === '/honest-crumb.crt') {
      response.writeHead(200, { 'content-type': 'application/x-x509-ca-cert', 'content-disposition': 'attachment; filename="honest-crumb.crt"' });
      return void response.end(authority);
    }
    response.writeHead(200, { 'content-type': 'text/html; charset=utf-8' });
    response.end(insecurePage(`https://${request.headers.host}`, fingerprint, nonce));
  }); // prettier-ignore
