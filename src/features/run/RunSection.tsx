'use client';
import { lazy, Suspense, useEffect, useRef, useState } from 'react';

const RunPanel = lazy(() => import('./RunPanel').then((module) => ({ default: module.RunPanel })));

/** The run's place under the method. Its code and its computation begin when somebody comes near it. */
export function RunSection({ formulaId }: { formulaId: string }) {
  const ref = useRef<HTMLElement>(null);
  const [near, setNear] = useState(false);
  useEffect(() => {
    const { current } = ref;
    if (!current) return undefined;
    const observer = new IntersectionObserver(([entry]) => entry?.isIntersecting && setNear(true), {
      rootMargin: '300px',
    });
    observer.observe(current);
    return () => observer.disconnect();
  }, []);
  return (
    <section ref={ref} aria-labelledby="run-title" className="mt-6 scroll-mt-16">
      <h2 id="run-title" className="text-lg">
        The run
      </h2>
      <div className="docket mt-1 min-h-[36rem] rounded-b-md px-3 pt-4 pb-2 sm:px-4">
        {near && (
          <Suspense fallback={<p className="text-sm text-soft">…</p>}>
            <RunPanel formulaId={formulaId} />
          </Suspense>
        )}
      </div>
    </section>
  );
}
