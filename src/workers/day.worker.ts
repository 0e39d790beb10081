import { startDayLane } from './dayLane';
import type { ToDayWorker } from './dayProtocol';
import { pause } from './pause';

const hear = startDayLane(
  (message) => postMessage(message),
  pause,
  () => performance.now(),
);
addEventListener('message', (event: MessageEvent<ToDayWorker>) => hear(event.data));
