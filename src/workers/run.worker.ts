import { startLanes } from './lanes';
import type { ToWorker } from './protocol';

const { port1, port2 } = new MessageChannel();
/** A macrotask that is not slowed down as nested timeouts are. */
const pause = (): Promise<void> =>
  new Promise((resolve) => {
    port2.onmessage = () => resolve();
    port1.postMessage(null);
  });

const hear = startLanes((message) => postMessage(message), pause);
addEventListener('message', (event: MessageEvent<ToWorker>) => hear(event.data));
