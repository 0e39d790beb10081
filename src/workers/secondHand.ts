/** What a ticking thread is to the page: so that a test can put another in its place. */
export interface TickPort {
  onmessage: ((event: unknown) => void) | null;
  onerror: ((event: { preventDefault(): void }) => void) | null;
  terminate(): void;
}

/** With its thread lost, a page looks for a new one this often: its network may be back. */
const AGAIN_S = 30;

/**
 * Calls about every second, also while the page is in the background. A thread whose files cannot be loaded (the network went
 * while the page opened) is replaced by the page's own clock, which a page in the background slows down to one a minute, until
 * one can be started. Returns what ends it.
 */
export function secondHand(start: () => TickPort, tick: () => void): () => void {
  let own: ReturnType<typeof setInterval> | undefined;
  let port: TickPort;
  let ticks = 0;
  const begin = (): void => {
    port = start();
    port.onmessage = () => {
      clearInterval(own);
      own = undefined;
      tick();
    };
    port.onerror = (event) => {
      // answered here: not a fault of the page
      event.preventDefault();
      port.terminate();
      own ??= setInterval(() => {
        ticks += 1;
        tick();
        if (ticks % AGAIN_S === 0) begin();
      }, 1000);
    };
  };
  begin();
  return () => {
    clearInterval(own);
    port.terminate();
  };
}
