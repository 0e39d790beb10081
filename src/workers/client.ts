import type { Progress } from '@/core/heat';
import type { Ask, Asks, FromWorker, ToWorker } from './protocol';

interface Asked {
  readonly resolve: (answer: Asks[Ask]['answer'] | null) => void;
  readonly reject: (error: Error) => void;
  readonly onProgress: (progress: Progress) => void;
}

/** What a worker is to the client: so that a test can put another in its place. */
export interface Port {
  postMessage(message: ToWorker): void;
  onmessage: ((event: { readonly data: FromWorker }) => void) | null;
  onerror: ((event: unknown) => void) | null;
  terminate(): void;
}

export interface RunClient {
  /** Null when a newer question of its lane took its place. */
  ask<A extends Ask>(
    type: A,
    lane: string,
    question: Asks[A]['question'],
    onProgress?: (progress: Progress) => void,
  ): Promise<Asks[A]['answer'] | null>;
  leave(lane: string): void;
  close(): void;
}

/** Speaks with a worker: promises for questions, the newest of a lane wins, a worker that breaks fails what waits and is made anew. */
export function runClient(makeWorker: () => Port): RunClient {
  let id = 0;
  let worker: Port | null = null;
  const open = new Map<number, Asked>();
  const failAll = (why: string) => {
    const waiting = [...open.values()];
    open.clear();
    worker?.terminate();
    worker = null;
    for (const each of waiting) each.reject(new Error(why));
  };
  const ready = (): Port => {
    if (worker) return worker;
    worker = makeWorker();
    worker.onmessage = ({ data }) => {
      const asked = open.get(data.id);
      if (!asked) return;
      if (data.type === 'progress') return asked.onProgress(data);
      open.delete(data.id);
      if (data.type === 'answer') asked.resolve(data.result);
      else if (data.type === 'left') asked.resolve(null);
      else asked.reject(new Error(data.why));
    };
    worker.onerror = () => failAll('the worker stopped');
    return worker;
  };
  return {
    ask: <A extends Ask>(
      type: A,
      lane: string,
      question: Asks[A]['question'],
      onProgress: (progress: Progress) => void = () => undefined,
    ) =>
      new Promise<Asks[A]['answer'] | null>((resolve, reject) => {
        id += 1;
        // an id is answered by what was asked under it
        const asked: Asked = { resolve: resolve, reject, onProgress };
        open.set(id, asked);
        ready().postMessage({ type, id, lane, question } as ToWorker);
      }),
    leave: (lane) => worker?.postMessage({ type: 'leave', lane }),
    close: () => {
      for (const each of open.values()) each.resolve(null);
      open.clear();
      worker?.terminate();
      worker = null;
    },
  };
}
