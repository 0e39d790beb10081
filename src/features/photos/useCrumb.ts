'use client';
import { useCallback, useEffect, useRef, useState } from 'react';
import type { Mark } from '@/core/photo';
import { makeCrumbWorker } from '@/workers/makeCrumbWorker';
import type { CrumbAnswer, CrumbQuestion } from '@/workers/crumbProtocol';

export type Crumb = CrumbAnswer['read'] | 'reading' | 'broken';

/** Asks a thread of its own about one picture; it is ended with the page that asked. */
export class CrumbReader {
  private worker: Worker | null = null;
  private ids = 0;

  ask(question: { kind: 'read'; picture: Blob; marks: readonly Mark[] } | { kind: 'mend'; marks: readonly Mark[] }): Promise<CrumbAnswer['read'] | 'broken'> {
    const worker = (this.worker ??= makeCrumbWorker());
    const id = (this.ids += 1);
    return new Promise((resolve) => {
      const end = (answer: CrumbAnswer['read'] | 'broken') => {
        worker.removeEventListener('message', heard);
        worker.removeEventListener('error', broke);
        resolve(answer);
      };
      const heard = ({ data }: MessageEvent<CrumbAnswer>) => data.id === id && end(data.read);
      const broke = () => end('broken');
      worker.addEventListener('message', heard);
      worker.addEventListener('error', broke);
      worker.postMessage({ ...question, id } satisfies CrumbQuestion);
    });
  }

  end(): void {
    this.worker?.terminate();
    this.worker = null;
  }
} // prettier-ignore

/** The file behind an address of ours; null: it cannot be had now. */
export async function pictureAt(address: string): Promise<Blob | null> {
  try {
    const response = await fetch(address);
    return response.ok ? await response.blob() : null;
  } catch {
    return null;
  }
}

/**
 * A picture of a cut face as the reader sees it, with what was put right by hand.
 *
 * @param start the marks it was saved with
 */
export function useCrumb(address: string, start: readonly Mark[]) {
  const [reader] = useState(() => new CrumbReader());
  const [crumb, setCrumb] = useState<Crumb>('reading');
  const [marks, setMarks] = useState(start);
  const first = useRef(start);
  useEffect(() => {
    let gone = false;
    void pictureAt(address).then(async (picture) => {
      const read = picture
        ? await reader.ask({ kind: 'read', picture, marks: first.current })
        : ('broken' as const);
      if (!gone) setCrumb(read);
    });
    return () => {
      gone = true;
      reader.end();
    };
  }, [address, reader]);
  const mend = useCallback(
    (next: readonly Mark[]) => {
      setMarks(next);
      void reader.ask({ kind: 'mend', marks: next }).then(setCrumb);
    },
    [reader],
  );
  return { crumb, marks, mend };
}
