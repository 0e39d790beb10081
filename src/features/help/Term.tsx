'use client';
import { useId, useLayoutEffect, useRef, useState, type ReactNode } from 'react';
import { cx } from '@/ui/cx';
import type { TermId } from '@/wording/glossary';

/** Room that is left beside the explanation. */
const EDGE_PX = 8;

/**
 * A word of the craft, explained where it stands: by pointing at it, by a tap, or by Enter. Esc, a second tap or leaving it takes the
 * explanation away again.
 */
export function Term({ id, children }: { id: TermId; children: ReactNode }) {
  const [open, setOpen] = useState(false);
  const [means, setMeans] = useState('');
  const [shiftPx, setShiftPx] = useState(0);
  // a mouse opened it by coming near: its click must not close it again
  const near = useRef(false);
  const box = useRef<HTMLSpanElement>(null);
  const name = useId();
  useLayoutEffect(() => {
    const { current } = box;
    if (!open || !current) return;
    const { left, right } = current.getBoundingClientRect();
    const beyond = right - shiftPx - (document.documentElement.clientWidth - EDGE_PX);
    setShiftPx(Math.max(EDGE_PX - (left - shiftPx), Math.min(0, -beyond)));
    // placed once each time it opens
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, [open, means]);
  const show = () => {
    setOpen(true);
    // the words are fetched when somebody asks
    import('@/wording/glossary').then(
      ({ GLOSSARY }) => setMeans(GLOSSARY[id].means),
      () => undefined,
    );
  };
  return (
    <span
      className="relative inline-block"
      onPointerEnter={(event) => {
        if (event.pointerType !== 'mouse') return;
        near.current = true;
        show();
      }}
      onPointerLeave={() => {
        near.current = false;
        setOpen(false);
      }}
    >
      <button
        type="button"
        aria-expanded={open}
        aria-describedby={open ? name : undefined}
        className="cursor-help text-left underline decoration-dotted underline-offset-4"
        onClick={() => (open && !near.current ? setOpen(false) : show())}
        onBlur={() => setOpen(false)}
        onKeyDown={(event) => {
          if (event.key !== 'Escape' || !open) return;
          event.stopPropagation();
          setOpen(false);
        }}
      >
        {children}
      </button>
      <span
        ref={box}
        id={name}
        role="tooltip"
        style={{ transform: `translateX(${shiftPx}px)` }}
        className={cx(
          'absolute top-full left-0 z-40 mt-1 w-72 max-w-[90vw] rounded-md border border-ink bg-surface px-3 py-2 text-left font-sans text-sm font-normal tracking-normal whitespace-normal text-ink shadow-lg',
          (!open || !means) && 'hidden',
        )}
      >
        {means}
      </span>
    </span>
  );
}
