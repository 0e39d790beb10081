import { randomBytes } from 'node:crypto';
import {
  createServer,
  type IncomingMessage,
  type RequestListener,
  type Server,
  type ServerOptions,
  type ServerResponse,
} from 'node:http';
import { createServer as createSecureServer } from 'node:https';
import type { PairedDevice } from '@/core/network/pairedDevice';
import type { Duplex } from 'node:stream';
import { admit } from './admit';
import { standBefore } from './answering';
import { MOST_BYTES, mostBytesAt, readBody, swallow, withBody } from './body';
import { contentSecurityPolicy, securityHeaders } from './headers';
import type { Sniffed } from '@/core/photo/sniff';
import {
  deviceKeyIn,
  isTasteAt,
  MAY_HEADER,
  NETWORK_HEADER,
  ONLY_HEADER,
  PAIRING_AT,
} from '@/core/network/deviceKey';
import { hangUp } from './hangUp';
import { isArchiveType, isOurHost, isPhotoAt, TOLD_AT, type Standing } from './hosts';
import { allowedMethods, judge, STATUS, type Kind, type RefusalKind } from './judge';
import { Limits, type Pace } from './limits';
import { RefusalLog } from './refusalLog';
import { Turns, type TurnsOptions } from './turns';

export interface DoorOptions {
  readonly standing: Standing;
  /** The application, which never sees a request that was refused. */
  readonly handle: (request: IncomingMessage, response: ServerResponse) => Promise<void>;
  /** Hot reload's own socket, in development. */
  readonly upgrade?: (request: IncomingMessage, socket: Duplex, head: Buffer) => Promise<void>;
  readonly log: (line: string) => void;
  readonly dev?: boolean;
  /** For benchmarks, which come from one client on purpose. */
  readonly unlimited?: boolean;
  readonly trouble?: () => 'database' | 'full' | null;
  /** A door to the network: by a secure connection, for devices that were paired. Absent: this machine's own door. */
  readonly network?: Network;
}

interface Network {
  readonly key: string;
  readonly cert: string;
  /** Whose key this is; null: nobody's, or it was withdrawn. */
  readonly deviceOf: (key: string) => Promise<PairedDevice | null>;
}

export interface Door {
  readonly server: Server;
  /** Lets nobody in any more, lets those inside finish, and shows the rest out after `graceMs`. */
  readonly close: (graceMs: number) => Promise<void>;
}

const PATIENCE: ServerOptions = {
  requestTimeout: 30_000,
  headersTimeout: 10_000,
  keepAliveTimeout: 120_000,
  maxHeaderSize: 16 * 1024,
};
const PAGE_TURNS: TurnsOptions = { atOnce: 2, mostWaiting: 120, mostMs: 5000 };
/** An answer that takes longer waits for the database or a thread, not for the processor: the next may begin. */
const DATA_TURNS: TurnsOptions = { atOnce: 4, mostWaiting: 240, mostMs: 250 };

/** Headers by which a stranger could speak for a proxy or for the framework's own inside; there is no proxy. */
const NOT_FROM_OUTSIDE =
  /^(?:x-forwarded-.*|forwarded|x-middleware-.*|x-nextjs-.*|x-invoke-.*|x-matched-path|x-nonce|x-crumb-.*|content-security-policy.*|next-action|next-resume|x-now-.*|x-vercel-.*)$/;

const WORDS: Readonly<Record<RefusalKind, string>> = {
  foreignHost:
    'This name does not belong to this kitchen. Use http://127.0.0.1 with the port it was started on.',
  foreignOrigin: 'Only pages of this kitchen may change something in it.',
  badAddress: 'There is no such address.',
  badRequest: 'This request cannot be understood.',
  badMethod: 'This cannot be done here.',
  badType: 'Only JSON in UTF-8 is taken (content-type: application/json), or a picture where pictures go.',
  notPicture: 'This is no picture.',
  tooBig: `More than ${MOST_BYTES} bytes are not taken.`,
  tooFast: 'Too many requests; wait a second.',
  tooSlow: 'The request came too slowly.',
  notPaired: 'This device is not paired with a kitchen here.',
  notForDevice: 'This device may not do that.',
  tooBusy: 'Too much is asked for at once; try again in a moment.',
  stopping: 'The kitchen is closing; it will be back.',
};

const aboutRefusal = (request: IncomingMessage, why: RefusalKind) => ({
  why,
  client: request.socket.remoteAddress ?? '',
  method: request.method ?? '',
  url: request.url ?? '',
  host: request.headers.host ?? '',
});

function writeRefusal(
  request: IncomingMessage,
  response: ServerResponse,
  why: RefusalKind,
  kind: Kind,
  sniffed: Sniffed | undefined,
): void {
  if (why === 'badMethod') response.setHeader('allow', allowedMethods(kind));
  if (why === 'tooFast' || why === 'tooBusy' || why === 'stopping') response.setHeader('retry-after', '1');
  // a request without a body counts as complete only once somebody has looked
  const sendsBody =
    request.headers['transfer-encoding'] !== undefined || Number(request.headers['content-length'] ?? 0) > 0;
  const unread = sendsBody && !request.complete;
  if (unread) response.setHeader('connection', 'close');
  const asData = kind === 'api';
  response.setHeader(
    'content-type',
    asData ? 'application/json; charset=utf-8' : 'text/plain; charset=utf-8',
  );
  const path = (request.url ?? '').split('?', 1)[0] ?? '';
  const more = why === 'tooBig' ? { mostBytes: mostBytesAt(path, request.headers['content-type']) } : {};
  response.writeHead(STATUS[why]);
  // told as the application tells it: what kind of file it was is for whoever sent it
  const error =
    why === 'notPicture'
      ? { kind: 'invalid', problems: [{ code: 'noPhoto', path: '', params: { why: sniffed ?? 'other' } }] }
      : { kind: why, ...more };
  response.end(asData ? JSON.stringify({ error }) : `${WORDS[why]}\n`);
  if (unread) swallow(request);
}

/** Every socket of the server, also those that leave HTTP; what is no HTTP is answered by hand, as there is no response object for it. */
function followSockets(
  server: Server,
  { upgrade, standing }: Pick<DoorOptions, 'upgrade' | 'standing'>,
): ReadonlySet<Duplex> {
  // the HTTP server forgets a socket that leaves HTTP by CONNECT or an upgrade, and still waits for it when it closes
  const sockets = new Set<Duplex>();
  server.on('connection', (socket: Duplex) => {
    sockets.add(socket);
    socket.on('close', () => sockets.delete(socket));
  });
  server.on('clientError', (error: Error & { code?: string }, socket: Duplex) => {
    const status =
      error.code === 'HPE_HEADER_OVERFLOW' ? '431 Request Header Fields Too Large' :
      error.code === 'ERR_HTTP_REQUEST_TIMEOUT' ? '408 Request Timeout' : '400 Bad Request'; // prettier-ignore
    hangUp(socket, status);
  });
  server.on('connect', (_request: IncomingMessage, socket: Duplex) =>
    hangUp(socket, '405 Method Not Allowed'),
  );
  server.on('upgrade', (request: IncomingMessage, socket: Duplex, head: Buffer) => {
    if (upgrade && isOurHost(request.headers.host, standing)) {
      upgrade(request, socket, head).catch(() => socket.destroy());
    } else hangUp(socket, '400 Bad Request');
  });
  return sockets;
}

/** What is told as it comes has no end of its own. */
function endStreams(inside: ReadonlySet<ServerResponse>): void {
  for (const response of inside)
    if (String(response.getHeader('content-type')).startsWith('text/event-stream')) response.destroy();
}

/** So many pictures are in memory at once. */
const MOST_PICTURES = 4;

const AGAIN_MS = 5000;

/** A device whose key was withdrawn hears no more news either. @returns how to stop looking */
function watchStreams(inside: ReadonlySet<ServerResponse>, { deviceOf }: Network): () => void {
  const look = async (): Promise<void> => {
    for (const response of inside) {
      const key = deviceKeyIn(response.req.headers.cookie);
      const isStream = String(response.getHeader('content-type')).startsWith('text/event-stream');
      // a database that is away says nothing of anybody
      if (isStream && key && (await deviceOf(key).catch(() => undefined)) === null) response.destroy();
    }
  };
  const watching = setInterval(() => void look(), AGAIN_MS).unref();
  return () => clearInterval(watching);
}

/**
 * The one way in: a plain HTTP server round the application. Every request is judged here, and every answer leaves by here, errors and
 * malformed addresses included.
 */
export function makeDoor(options: DoorOptions): Door {
  const { standing, handle, log, dev = false, network } = options;
  const limits = new Limits();
  const refusals = new RefusalLog(log);
  const turns = { page: new Turns(PAGE_TURNS), api: new Turns(DATA_TURNS) };
  const inside = new Set<ServerResponse>();
  const refused = new WeakSet<ServerResponse>();
  let closing = false;
  let pictures = 0;

  const refuse = (
    request: IncomingMessage,
    response: ServerResponse,
    why: RefusalKind,
    kind: Kind,
    sniffed?: Sniffed,
  ): void => {
    refusals.note(aboutRefusal(request, why), performance.now());
    refused.add(response);
    writeRefusal(request, response, why, kind, sniffed);
  };

  const answer = async (request: IncomingMessage, response: ServerResponse): Promise<void> => {
    const nonce = randomBytes(16).toString('base64');
    const policy = contentSecurityPolicy(nonce, dev);
    const asked = { method: request.method ?? '', url: request.url ?? '', headers: request.headers };
    const judged = judge(asked, standing);
    standBefore(response, {
      kind: judged.kind,
      headers: securityHeaders(policy),
      nonce,
      light: /(?:^|;\s*)crumb-view=dim\b/.test(request.headers.cookie ?? '') ? 'dim' : 'day',
      wantsPage: () =>
        !refused.has(response) &&
        judged.kind === 'page' &&
        request.headers.rsc === undefined &&
        request.method === 'GET',
      trouble: options.trouble ?? (() => null),
      closes: () => closing,
    });
    if (closing) return refuse(request, response, 'stopping', judged.kind);
    if (!judged.ok) return refuse(request, response, judged.why, judged.kind);
    if (judged.kind !== 'asset' && !options.unlimited) {
      const client = request.socket.remoteAddress ?? '';
      const inTime = (who: string, pace: Pace) => limits.take(who, pace, performance.now());
      const ok =
        judged.path === PAIRING_AT || (isTasteAt(judged.path) && judged.kind === 'api')
          ? inTime(client, 'pair') && inTime('', 'pairAll')
          : judged.path === TOLD_AT
            ? inTime(client, 'bridge') && inTime(`${client} ${request.headers.authorization}`, 'instrument')
            : inTime(client, judged.writes ? 'write' : 'read');
      if (!ok) return refuse(request, response, 'tooFast', judged.kind);
    }
    for (const name of Object.keys(request.headers))
      if (NOT_FROM_OUTSIDE.test(name)) delete request.headers[name];
    const admitted = await admit(judged, request.headers.cookie, network?.deviceOf);
    if (admitted.kind === 'no') return refuse(request, response, admitted.why, judged.kind);
    if (admitted.kind === 'elsewhere') {
      response.writeHead(303, { location: admitted.path });
      return void response.end();
    }
    if (network) request.headers[NETWORK_HEADER] = '1';
    if (admitted.only !== null) request.headers[ONLY_HEADER] = admitted.only;
    if (admitted.may !== null) request.headers[MAY_HEADER] = admitted.may;
    if (!judged.writes) {
      if (judged.kind === 'asset') return handle(request, response);
      // the framework reads the nonce out of here and gives it to the scripts it writes
      if (judged.kind === 'page') request.headers['content-security-policy'] = policy;
      const turn = await turns[judged.kind].take(response, () => handle(request, response));
      return turn === 'full' ? refuse(request, response, 'tooBusy', judged.kind) : undefined;
    }
    const picture = isPhotoAt(judged.path);
    const type = request.headers['content-type'];
    // as much as three pictures at once
    const weight = picture ? 1 : isArchiveType(type) ? 3 : 0;
    if (weight > 0 && pictures + weight > MOST_PICTURES)
      return refuse(request, response, 'tooBusy', judged.kind);
    pictures += weight;
    try {
      const body = await readBody(request, {
        mostBytes: mostBytesAt(judged.path, type),
        picture,
        patient: weight > 0,
      });
      // awaited: so long its bytes are held
      if (body.ok) return await handle(withBody(request, body.bytes), response);
      if (body.why === 'gone') return void response.destroy();
      refuse(request, response, body.why, judged.kind, body.why === 'notPicture' ? body.kind : undefined);
    } finally {
      pictures -= weight;
    }
  };

  const listener: RequestListener = (request, response) => {
    inside.add(response);
    response.on('close', () => inside.delete(response));
    answer(request, response).catch((error: unknown) => {
      console.error(error);
      if (!response.headersSent) response.writeHead(500);
      response.end();
    });
  };
  const server = network
    ? createSecureServer({ ...PATIENCE, key: network.key, cert: network.cert }, listener)
    : createServer(PATIENCE, listener);
  const unwatch = network ? watchStreams(inside, network) : () => undefined;
  const sockets = followSockets(server, options);

  const close = async (graceMs: number): Promise<void> => {
    closing = true;
    unwatch();
    endStreams(inside);
    let isEmpty: () => void = () => undefined;
    // a server that is handed its sockets does not wait for them by itself
    const closed = Promise.all([
      new Promise<void>((resolve) => server.close(() => resolve())),
      new Promise<void>((resolve) => (isEmpty = resolve)),
    ]);
    server.closeIdleConnections();
    const showOut = (): void => {
      server.closeAllConnections();
      for (const socket of sockets) socket.destroy();
      isEmpty();
    };
    const late = setTimeout(showOut, graceMs);
    // connections that have said nothing yet are no request under way: nobody is asked to wait for them
    const idle = setInterval(() => {
      server.closeIdleConnections();
      if (inside.size === 0) showOut();
    }, 50);
    await closed;
    clearTimeout(late);
    clearInterval(idle);
  };
  return { server, close };
}
