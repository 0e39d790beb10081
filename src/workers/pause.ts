const { port1, port2 } = new MessageChannel();

/** A macrotask that is not slowed down as nested timeouts are. */
export const pause = (): Promise<void> =>
  new Promise((resolve) => {
    port2.onmessage = () => resolve();
    port1.postMessage(null);
  });
