import { createServer } from 'node:http';
import next from 'next';
import { isIPv6 } from 'node:net';
import { closePool } from '@/db/pool';
import { makeDoor } from '@/door/door';
import { machineAddresses } from '@/door/hosts';
import { HostFailure, say } from './hostFailure';

export interface ServeOptions {
  /** The project's folder. */
  readonly root: string;
  readonly listen: string;
  readonly port: number;
  readonly dev: boolean;
}

export interface Serving {
  readonly close: () => Promise<void>;
}

/** At the most so long are requests under way waited for. */
const GRACE_MS = 4000;

/** What went wrong last with the database, as the application's instrumentation noted it. */
const noted = globalThis as typeof globalThis & {
  crumbTrouble?: { kind: 'database' | 'full'; atMs: number };
};
const RECENT_MS = 6000;

/** Serves the built application (or, in development, the sources) behind its door. */
export async function serve({ root, listen, port, dev }: ServeOptions): Promise<Serving> {
  // the framework would take socket upgrades from our server by itself; it gets them from the door only
  const noServer = createServer();
  const app = next({ dev, dir: root, hostname: listen, port, quiet: !dev, httpServer: noServer });
  const handle = app.getRequestHandler();
  let tellPrepared: () => void = () => undefined;
  const prepared = new Promise<void>((resolve) => (tellPrepared = resolve));
  const standing = { port, listen, addresses: machineAddresses() };
  const door = makeDoor({
    standing,
    handle: async (request, response) => {
      await prepared;
      await handle(request, response);
    },
    ...(dev && { upgrade: (request, socket, head) => app.getUpgradeHandler()(request, socket, head) }),
    log: say,
    dev,
    unlimited: process.env.CRUMB_BENCH === '1',
    trouble: () =>
      noted.crumbTrouble && performance.now() - noted.crumbTrouble.atMs < RECENT_MS
        ? noted.crumbTrouble.kind
        : null,
  });
  // taken first: a port that is taken is told before anything else is begun
  await new Promise<void>((resolve, reject) => {
    door.server.once('error', (error: NodeJS.ErrnoException) => reject(wordListenError(error, listen, port)));
    door.server.listen(
      port,
      isIPv6(listen.replace(/[[\]]/g, '')) ? listen.replace(/[[\]]/g, '') : listen,
      resolve,
    );
  });
  await app.prepare();
  tellPrepared();
  return {
    close: async () => {
      await door.close(GRACE_MS);
      await closePool(500);
    },
  };
}

function wordListenError(error: NodeJS.ErrnoException, listen: string, port: number): Error {
  switch (error.code) {
    case 'EADDRINUSE':
      return new HostFailure(`port ${port} is taken; choose another: PORT=${port + 1} ./crumb start`);
    case 'EACCES':
      return new HostFailure(
        `this user may not listen on port ${port}; choose one above 1024: PORT=4310 ./crumb start`,
      );
    case 'EADDRNOTAVAIL':
    case 'ENOTFOUND':
      return new HostFailure(`${listen} is no address of this machine; see CRUMB_LISTEN in ./crumb help`);
    default:
      return error;
  }
}
