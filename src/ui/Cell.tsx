'use client';
import {
  useId,
  useRef,
  useState,
  type ChangeEvent,
  type FocusEvent,
  type HTMLAttributes,
  type KeyboardEvent,
} from 'react';
import { cx } from './cx';
import { useAwake } from './useAwake';

interface CellProps {
  label: string;
  /** What the sheet holds now, as text. Shown whenever the cell is not being typed in. */
  value: string;
  /**
   * Called at each change with the text. Answers with the reason when the text can't be used: the cell then keeps the text
   * and shows the reason until it is mended or Escape brings the old value back.
   */
  onType: (text: string) => string | null;
  /**
   * Puts back what was held when the typing began; asked when the text can't be used, and by Escape. What is handed in at that
   * first key is what is called, so it may simply close over the present value. Without it "45", typed on the way to a
   * refused "4500", would stay.
   */
  restore?: () => void;
  /**
   * What still has to arrive before a text can be refused for good; null when nothing does. A text that can't be used is then
   * held without complaint and asked about again once it is there.
   */
  later?: () => Promise<unknown> | null;
  /** The cell was left; the next typing is a new edit. */
  onLeave?: () => void;
  unit?: string;
  inputMode?: HTMLAttributes<HTMLInputElement>['inputMode'];
  placeholder?: string;
  align?: 'left' | 'right';
  size?: 'table' | 'bench';
  className?: string;
  inputClassName?: string;
  maxLength?: number;
  testId?: string;
  /** Text that may need more than one line: the cell grows with it instead of cutting it off. */
  grows?: boolean;
}

/** What is being typed into a cell: the text, why it can't be used, and what becomes of it. */
function useTyping({
  onType,
  restore,
  later,
  onLeave,
}: Pick<CellProps, 'onType' | 'restore' | 'later' | 'onLeave'>) {
  const [typed, setTyped] = useState<string | null>(null);
  const [reason, setReason] = useState<string | null>(null);

  const restoreTyping = useRef<(() => void) | undefined>(undefined);
  /** The text that waits to be asked about again, and whether the cell was left meanwhile. */
  const waiting = useRef<{ text: string; left: boolean } | null>(null);

  const stop = () => {
    waiting.current = null;
    setTyped(null);
    setReason(null);
  };
  const take = (text: string) => {
    const refused = onType(text);
    if (refused !== null) restoreTyping.current?.();
    const coming = refused === null ? null : (later?.() ?? null);
    const mine = coming && { text, left: false };
    waiting.current = mine;
    setTyped(text);
    setReason(coming ? null : refused);
    void coming?.then(() => {
      if (waiting.current !== mine) return;
      const again = onType(text);
      waiting.current = null;
      if (again !== null) restoreTyping.current?.();
      setReason(again);
      if (mine?.left && again === null) {
        setTyped(null);
        onLeave?.();
      }
    });
  };
  const change = (text: string) => {
    if (typed === null) restoreTyping.current = restore;
    take(text);
  };
  const escape = () => {
    restoreTyping.current?.();
    stop();
  };
  const leave = () => {
    if (waiting.current) waiting.current.left = true;
    else if (reason === null) setTyped(null);
    onLeave?.();
  };
  return { typed, reason, change, escape, leave };
}

/** One typed value on a sheet. Answers as you type, never loses what was typed, and says why it could not take it. */
export function Cell({
  label,
  value,
  onType,
  restore,
  later,
  onLeave,
  unit,
  inputMode = 'decimal',
  placeholder,
  align = 'right',
  size = 'table',
  className,
  inputClassName,
  maxLength = 200,
  testId,
  grows = false,
}: CellProps) {
  const id = useId();
  const awake = useAwake();
  const { typed, reason, change, escape, leave } = useTyping({ onType, restore, later, onLeave });
  type Typing = HTMLInputElement | HTMLTextAreaElement;
  const shared = {
    id,
    autoComplete: 'off',
    spellCheck: false,
    'aria-label': label,
    'aria-invalid': reason !== null,
    'aria-errormessage': reason ? `${id}-why` : undefined,
    'data-testid': testId,
    placeholder,
    maxLength,
    readOnly: !awake,
    value: typed ?? value,
    onFocus: (event: FocusEvent<Typing>) => event.currentTarget.select(),
    onChange: (event: ChangeEvent<Typing>) => change(event.currentTarget.value),
    onKeyDown: (event: KeyboardEvent<Typing>) => {
      if (event.key === 'Escape' && typed !== null) {
        event.stopPropagation();
        escape();
      }
      if (event.key === 'Enter') {
        event.preventDefault();
        // down the column, as on paper; at its end the caret stays, with what stands there ready to be typed over
        const column = testId ? [...document.querySelectorAll<HTMLElement>(`[data-testid="${testId}"]`)] : [];
        const next = column[column.indexOf(event.currentTarget) + 1];
        leave();
        if (next) next.focus();
        else event.currentTarget.select();
      }
    },
    onBlur: leave,
    className: cx(
      'w-full min-w-0 bg-transparent outline-none focus-visible:outline-none',
      align === 'right' && 'text-right',
      size === 'bench' ? 'min-h-14 text-2xl' : 'min-h-8',
      grows && 'field-sizing-content resize-none overflow-hidden py-1',
      inputClassName,
    ),
  };

  return (
    <span className={cx('relative block', className)}>
      <span
        className={cx(
          'cell flex items-baseline rounded border',
          reason && 'cell-refused',
          size === 'bench' ? 'cell-bench px-3' : 'px-1.5',
        )}
      >
        {grows ? <textarea rows={1} {...shared} /> : <input type="text" inputMode={inputMode} {...shared} />}
        {unit && (typed !== null || !/[a-z]$/i.test(value)) && (
          <span className={cx('pl-1 text-soft', size === 'bench' ? 'text-xl' : 'text-xs')}>{unit}</span>
        )}
      </span>
      {reason && (
        <span
          id={`${id}-why`}
          role="alert"
          className="absolute top-full right-0 z-20 mt-1 block w-max max-w-[min(20rem,80vw)] rounded border border-alarm bg-alarm-wash px-2 py-1 text-left text-xs font-normal text-alarm shadow"
        >
          {reason}
        </span>
      )}
    </span>
  );
}
