'use client';
import { useRef, useState, type KeyboardEvent, type PointerEvent } from 'react';
import type { TimedStep } from '@/core/run';
import { formatDuration } from '@/core/units';
import { cx } from '@/ui/cx';
import { words } from '@/wording/screens/run/StepBlock';

/** Where the steps lie under the picture, px: one lane for what follows, one for what runs beside. */
export const STEPS = { top: 292, height: 40 } as const;
const BESIDE = { top: 270, height: 18 } as const;

const STRETCH_FILL: Record<TimedStep['stretch'], string> = {
  before: 'var(--is-salt)',
  rise: 'var(--is-leaven)',
  heat: 'var(--is-fat)',
  cool: 'var(--is-liquid)',
  beside: 'var(--is-sweet)',
  later: 'var(--is-egg)',
};

interface StepBlockProps {
  step: TimedStep;
  fromX: number;
  toX: number;
  secondsPerPx: number;
  title: string;
  chosen: boolean;
  onChoose: () => void;
  onStretch: (durationS: number) => void;
  onSettle: () => void;
}

/** Whole minutes up to an hour, then five. */
const tidy = (s: number): number => {
  const step = s > 3600 ? 300 : 60;
  return Math.max(60, Math.round(s / step) * step);
};

/** A step on the clock: pressed it is in the hand, its end is dragged or moved by keys. */
export function StepBlock({
  step,
  fromX,
  toX,
  secondsPerPx,
  title,
  chosen,
  onChoose,
  onStretch,
  onSettle,
}: StepBlockProps) {
  const from = useRef<{ clientX: number; durationS: number; perPx: number } | null>(null);
  // an end that is being dragged stays in the hand however short its step becomes
  const [dragged, setDragged] = useState(false);
  const durationS = step.endS - step.startS;
  const beside = step.stretch === 'beside';
  const { top, height } = beside ? BESIDE : STEPS;
  const wide = Math.max(3, toX - fromX);
  const move = (event: PointerEvent) => {
    if (!from.current) return;
    onStretch(tidy(from.current.durationS + (event.clientX - from.current.clientX) * from.current.perPx));
  };
  const end = () => {
    if (!from.current) return;
    from.current = null;
    setDragged(false);
    onSettle();
  };
  const keys = (event: KeyboardEvent) => {
    const by = { ArrowRight: 1, ArrowUp: 1, ArrowLeft: -1, ArrowDown: -1, PageUp: 6, PageDown: -6 }[
      event.key
    ];
    if (!by) return;
    event.preventDefault();
    const step_ = durationS > 3600 ? 300 : 60;
    onStretch(Math.max(60, Math.round(durationS / step_) * step_ + by * step_));
    onSettle();
  };
  const fill = `color-mix(in oklab, ${STRETCH_FILL[step.stretch]} ${step.timed ? 38 : 20}%, var(--surface))`;
  const hint = `${title}, ${formatDuration(durationS)}${step.timed ? '' : words.aUsualTimeNoneIs}`;
  const style = { left: fromX, top, width: wide, height };
  // too narrow to be hit: it is chosen from the list below
  if (wide < 26 && !dragged) {
    return (
      <li className="absolute border-l-2 border-surface" style={{ ...style, background: fill }} title={hint}>
        <span className="sr-only">{hint}</span>
      </li>
    );
  }
  const held = !beside && (wide >= 64 || dragged);
  return (
    <li className="absolute flex border-l-2 border-surface" style={{ ...style, background: fill }}>
      <button
        type="button"
        onClick={onChoose}
        aria-pressed={chosen}
        aria-label={hint}
        title={hint}
        className={cx(
          'h-full min-w-0 flex-1 overflow-hidden px-1 text-left text-xs leading-tight text-ink',
          chosen && 'outline-2 -outline-offset-2 outline-ink',
        )}
      >
        {wide > 44 && <span className="block truncate">{title}</span>}
        {wide > 58 && !beside && <span className="block truncate">{formatDuration(durationS)}</span>}
      </button>
      {held && (
        <span
          role="slider"
          tabIndex={0}
          aria-label={words.howLong(title)}
          aria-valuemin={1}
          aria-valuemax={10_080}
          aria-valuenow={Math.round(durationS / 60)}
          aria-valuetext={formatDuration(durationS)}
          onKeyDown={keys}
          onPointerDown={(event) => {
            event.preventDefault();
            event.currentTarget.setPointerCapture(event.pointerId);
            setDragged(true);
            from.current = { clientX: event.clientX, durationS, perPx: secondsPerPx };
          }}
          onPointerMove={move}
          onPointerUp={end}
          onPointerCancel={end}
          className="flex h-full w-6 shrink-0 cursor-ew-resize touch-none items-center justify-center"
        >
          <span aria-hidden className="h-6 w-1 rounded bg-soft" />
        </span>
      )}
    </li>
  );
}
