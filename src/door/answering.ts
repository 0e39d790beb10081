import type { ServerResponse } from 'node:http';
import type { Kind } from './judge';
import { TROUBLE, troublePage } from './troublePage';

interface Answering {
  readonly kind: Kind;
  readonly headers: Readonly<Record<string, string>>;
  readonly nonce: string;
  readonly light: 'day' | 'dim';
  /** A person's browser asks for a whole page, not for a part of one, and it is not the door itself that answers. */
  readonly wantsPage: () => boolean;
  /** What went wrong last with the database, if it is that. */
  readonly trouble: () => 'database' | 'full' | null;
  readonly closes: () => boolean;
}

/**
 * Stands between whatever answers and the wire: every answer gets the headers, whoever wrote it; nothing is kept by a cache unless it
 * is a file that never changes; and a page that could not be made becomes the page that says so.
 */
export function standBefore(response: ServerResponse, answering: Answering): void {
  const writeHead = response.writeHead.bind(response) as (
    status: number,
    ...rest: unknown[]
  ) => ServerResponse;
  const write = response.write.bind(response) as (...args: unknown[]) => boolean;
  const end = response.end.bind(response) as (...args: unknown[]) => ServerResponse;
  const flushHeaders = response.flushHeaders.bind(response);
  let replaced = false;

  const head = (status: number, ...rest: unknown[]): ServerResponse => {
    if (response.headersSent) return response;
    const given = rest.find((each) => typeof each === 'object' && each !== null);
    if (given && !Array.isArray(given)) {
      for (const [name, value] of Object.entries(given as Record<string, string>))
        response.setHeader(name, value);
    }
    for (const [name, value] of Object.entries(answering.headers)) response.setHeader(name, value);
    response.removeHeader('x-powered-by');
    if (answering.closes()) response.setHeader('connection', 'close');
    if (status >= 400 || !response.hasHeader('cache-control')) {
      if (answering.kind !== 'asset' || status >= 400) response.setHeader('cache-control', 'no-store');
    }
    if (status < 500 || !answering.wantsPage()) return writeHead(status);
    replaced = true;
    const trouble = answering.trouble();
    const page = troublePage(TROUBLE[trouble ?? 'ours'], answering.nonce, answering.light);
    for (const name of ['content-encoding', 'transfer-encoding', 'etag', 'link', 'vary'])
      response.removeHeader(name);
    response.setHeader('content-type', 'text/html; charset=utf-8');
    response.setHeader('content-length', Buffer.byteLength(page));
    if (trouble) response.setHeader('retry-after', '2');
    writeHead(trouble ? 503 : 500);
    return end(page);
  };
  const begin = (): void => {
    // not `head` itself: the framework's compression has put its own in front of it
    if (!response.headersSent) response.writeHead(response.statusCode);
  };
  const called = (args: readonly unknown[]): void => {
    const then = args.at(-1);
    if (typeof then === 'function') process.nextTick(then);
  };
  response.writeHead = head;
  response.flushHeaders = () => {
    begin();
    if (!replaced) flushHeaders();
  };
  response.write = ((...args: unknown[]) => {
    begin();
    if (!replaced) return write(...args);
    called(args);
    return true;
  }) as typeof response.write;
  response.end = ((...args: unknown[]) => {
    begin();
    if (!replaced) return end(...args);
    called(args);
    return response;
  }) as typeof response.end;
}
