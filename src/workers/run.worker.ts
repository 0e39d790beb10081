import { startLanes } from './lanes';
import { pause } from './pause';
import type { ToWorker } from './protocol';

const hear = startLanes((message) => postMessage(message), pause);
addEventListener('message', (event: MessageEvent<ToWorker>) => hear(event.data));
