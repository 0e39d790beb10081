'use client';
import { createContext, useContext, useEffect, useRef, useState } from 'react';
import { flushSync } from 'react-dom';
import type { Carry, CarriedProps, CarryAreaProps, CarryListProps } from './carryProps';

type Dragging = Pick<typeof import('./dragging'), 'Area' | 'List' | 'Carried'>;
const Context = createContext<Dragging | null>(null);
const STILL: Carry = { row: {}, grip: {}, carried: false };

const LOOK_MS = 300;

/** Is somebody in one of the rows, or choosing something for one? Only a hand on a grip waits for nothing else. */
const isBusy = (frame: HTMLElement | null): boolean => {
  if (document.querySelector('[data-radix-popper-content-wrapper], [role="dialog"]')) return true;
  const { activeElement } = document;
  return frame?.contains(activeElement) === true && activeElement?.hasAttribute('data-grip') === false;
};

/**
 * Rows stand and answer before what carries them is there: it is a third of the page's code and wanted by few presses. When it has come
 * the rows are drawn once more, carried; not while somebody is in one of them, who would lose the caret.
 */
function useDragging() {
  const frame = useRef<HTMLDivElement>(null);
  const [dragging, setDragging] = useState<Dragging | null>(null);
  useEffect(() => {
    let gone = false;
    let timer: ReturnType<typeof setTimeout> | undefined;
    import('./dragging').then(
      ({ Area, List, Carried: One }) => {
        const put = () => {
          if (gone) return;
          // at once: between a look and the drawing somebody might step in
          if (isBusy(frame.current)) timer = setTimeout(put, LOOK_MS);
          else flushSync(() => setDragging({ Area, List, Carried: One }));
        };
        put();
      },
      // without it everything is still moved by Alt and the arrows
      () => undefined,
    );
    return () => {
      gone = true;
      clearTimeout(timer);
    };
  }, []);
  return { frame, dragging };
}

/** Where lines or steps are carried to another place, by pointer or by keys, once that is fetched. */
export function CarryArea({ children, ...area }: CarryAreaProps) {
  const { frame, dragging } = useDragging();
  return (
    <div ref={frame} data-carry={dragging !== null}>
      {dragging ? (
        <Context value={dragging}>
          <dragging.Area {...area}>{children}</dragging.Area>
        </Context>
      ) : (
        children
      )}
    </div>
  );
}

export function CarryList(props: CarryListProps) {
  const dragging = useContext(Context);
  if (dragging) return <dragging.List {...props} />;
  const { as: Tag, className, children } = props;
  return <Tag className={className}>{children}</Tag>;
}

export function Carried({ id, children }: CarriedProps) {
  const dragging = useContext(Context);
  return dragging ? <dragging.Carried id={id}>{children}</dragging.Carried> : children(STILL);
}
