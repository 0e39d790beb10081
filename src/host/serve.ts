import { createServer } from 'node:http';
import next from 'next';
import type { Server } from 'node:net';
import type { NetworkPlace, PairedDevice } from '@/core/network/pairedDevice';
import { closePool, pool } from '@/db/pool';
import { makeDoor, type Door, type DoorOptions } from '@/door/door';
import { bracketed, EVERYWHERE, LOOPBACK, machineAddresses } from '@/door/hosts';
import { kitchenClock } from '@/server/clock';
import { deviceOf } from '@/server/devices';
import { certificateOf } from './certificate';
import { HostFailure, say } from './hostFailure';
import { insecureServer, openLobby } from './lobby';

export interface ServeOptions {
  /** The project's folder. */
  readonly root: string;
  readonly listen: string;
  readonly port: number;
  readonly dev: boolean;
  /** Where the certificate of the network's door is kept. */
  readonly keyFolder: string;
}

export interface Serving {
  /** How paired devices reach it; null: only this machine does. */
  readonly network: NetworkPlace | null;
  readonly close: () => Promise<void>;
}

/** At the most so long are requests under way waited for. */
const GRACE_MS = 4000;

/** What went wrong last with the database, as the application's instrumentation noted it. */
const noted = globalThis as typeof globalThis & {
  crumbTrouble?: { kind: 'database' | 'full'; atMs: number };
};
const RECENT_MS = 6000;

const bare = (address: string): string => address.replace(/[[\]]/g, '');
/** So long a withdrawn key may still open the door. */
const DEVICE_MS = 2000;
const MOST_REMEMBERED = 500;

/** Asks whose a key is, and remembers it for a moment: a page asks for many things at once. */
function rememberedDevices(): (key: string) => Promise<PairedDevice | null> {
  const known = new Map<string, { readonly atMs: number; readonly device: Promise<PairedDevice | null> }>();
  return (key) => {
    const found = known.get(key);
    if (found && performance.now() - found.atMs < DEVICE_MS) return found.device;
    const device = deviceOf(pool(), key, new Date(kitchenClock().nowMs()));
    device.catch(() => known.delete(key));
    known.delete(key);
    known.set(key, { atMs: performance.now(), device });
    if (known.size > MOST_REMEMBERED) known.delete(known.keys().next().value ?? '');
    return device;
  };
}

/** The addresses of this machine that the network reaches it by. */
const reachedBy = (listen: string, addresses: readonly string[]): string[] =>
  (EVERYWHERE.has(listen) ? addresses : [bracketed(listen)]).filter(
    (each) => !LOOPBACK.includes(each) && !each.startsWith('[fe80'),
  );

/** Serves the built application (or, in development, the sources) behind its door. */
export async function serve({ root, listen, port, dev, keyFolder }: ServeOptions): Promise<Serving> {
  // the framework would take socket upgrades from our server by itself; it gets them from the door only
  const noServer = createServer();
  const app = next({ dev, dir: root, hostname: listen, port, quiet: !dev, httpServer: noServer });
  const handle = app.getRequestHandler();
  let tellPrepared: () => void = () => undefined;
  const prepared = new Promise<void>((resolve) => (tellPrepared = resolve));
  const addresses = machineAddresses();
  const isOpen = !LOOPBACK.includes(bracketed(listen));
  const shared: Omit<DoorOptions, 'standing'> = {
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
  };
  // with the network let in, this machine's own door is for this machine alone
  const door = makeDoor({ ...shared, standing: { port, listen: isOpen ? '127.0.0.1' : listen, addresses } });
  const open = isOpen
    ? await openToNetwork({ listen, port, keyFolder, addresses, shared, local: door })
    : null;
  // taken first: a port that is taken is told before anything else is begun
  if (open) await listenAt(open.server, listen, port);
  if (!EVERYWHERE.has(listen)) await listenAt(door.server, isOpen ? '127.0.0.1' : listen, port);
  await app.prepare();
  tellPrepared();
  return {
    network: open?.place ?? null,
    close: async () => {
      open?.stop();
      await Promise.all([door.close(GRACE_MS), open?.door.close(GRACE_MS)]);
      await closePool(500);
    },
  };
}

const listenAt = (server: Server, address: string, port: number): Promise<void> =>
  new Promise((resolve, reject) => {
    server.once('error', (error: NodeJS.ErrnoException) => reject(wordListenError(error, address, port)));
    server.listen(port, bare(address), resolve);
  });

interface OpenOptions extends Pick<ServeOptions, 'listen' | 'port' | 'keyFolder'> {
  readonly addresses: () => readonly string[];
  readonly shared: Omit<DoorOptions, 'standing'>;
  readonly local: Door;
}

/** A second door for devices that were paired, behind one lobby with this machine's own. */
async function openToNetwork({ listen, port, keyFolder, addresses, shared, local }: OpenOptions) {
  const reached = reachedBy(listen, addresses());
  const { key, cert, authority, fingerprint } = await certificateOf(keyFolder, reached.map(bare), Date.now());
  const standing = { port, listen, addresses, scheme: 'https' as const };
  const door = makeDoor({ ...shared, standing, network: { key, cert, deviceOf: rememberedDevices() } });
  const insecure = insecureServer(standing, authority, fingerprint);
  const lobby = openLobby({ local: local.server, network: door.server, insecure });
  const place: NetworkPlace = {
    addresses: reached.map((each) => `https://${each}:${port}`),
    fingerprint,
  };
  const stop = (): void => {
    lobby.close();
    insecure.close();
    insecure.closeAllConnections();
  };
  return { server: lobby.server, door, place, stop };
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
