/** Calls about every second, also while the page is in the background. Ends it. */
export function tickEverySecond(tick: () => void): () => void {
  const worker = new Worker(new URL('./tick.worker.ts', import.meta.url));
  worker.onmessage = tick;
  return () => worker.terminate();
}
