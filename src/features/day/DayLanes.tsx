'use client';
import { DndContext, PointerSensor, useDraggable, useSensor, useSensors } from '@dnd-kit/core';
import { Pin, TriangleAlert } from 'lucide-react';
import { useEffect, useId, useRef, type KeyboardEvent } from 'react';
import type { BatchView, BlockView, DayView, OvenView } from '@/core/day/dayView';
import { formatDuration } from '@/core/units';
import { cx } from '@/ui/cx';
import { useWidth } from '@/ui/useWidth';
import { words } from '@/wording/screens/day/DayLanes';
import { BLOCK_WORD } from '@/wording/words';
import { useDayEdit, useDayValue, useDayWords } from './DayContext';
import { colourOf, drawnSpan, lookOf, rowsOf } from './laneLayout';

const SLOT_MS = 300_000;
const HOUR_MS = 3_600_000;
/** So wide is an hour at the least, px: a step of five minutes can still be pointed at. */
const LEAST_HOUR_PX = 88;
const LABEL_PX = 148;

interface Chosen {
  readonly batchId: string;
  readonly blockId: string;
}

interface DayLanesProps {
  readonly view: DayView;
  readonly chosen: Chosen | null;
  readonly onChoose: (chosen: Chosen | null) => void;
}

/** The day drawn: a lane for each dough and its loads, each oven with its heat, and everybody's hands; what is to be done as blocks that can be moved. */
export function DayLanes({ view, chosen, onChoose }: DayLanesProps) {
  const { nowMs } = useDayValue();
  const edit = useDayEdit();
  const span = drawnSpan(view);
  const { ref: scroller, frame, width: room } = useWidth();
  const hourPx = Math.max(LEAST_HOUR_PX, (room - LABEL_PX) / ((span.toMs - span.fromMs) / HOUR_MS));
  const x = (ms: number) => ((ms - span.fromMs) / HOUR_MS) * hourPx;
  const width = x(span.toMs);
  const sensors = useSensors(useSensor(PointerSensor, { activationConstraint: { distance: 5 } }));
  const id = useId();
  const hintId = useId();
  // what comes first may be tomorrow's
  const firstMs = Math.min(...view.batches.flatMap(({ blocks }) => blocks.flatMap(({ endMs, startMs }) => (endMs > nowMs ? [startMs] : []))));
  const anchor = Math.max(0, x(Number.isFinite(firstMs) && firstMs > nowMs + 4 * HOUR_MS ? firstMs : nowMs) - 1.5 * LEAST_HOUR_PX);
  const shown = useRef(0);
  useEffect(() => {
    // whoever looks elsewhere wants to stay there
    if (!frame || Math.abs(frame.scrollLeft - shown.current) > 2) return;
    frame.scrollTo({ left: anchor });
    shown.current = frame.scrollLeft;
    // only where there is another plan: the clock alone scrolls nothing
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, [frame, view]);
  const move = (batchId: string, block: BlockView, byMs: number) => {
    const startMs = Math.round((block.startMs + byMs) / SLOT_MS) * SLOT_MS;
    if (startMs !== block.startMs) edit({ type: 'pin', batchId, blockId: block.id, startMs });
  };
  return (
    <DndContext
      id={id}
      sensors={sensors}
      onDragEnd={({ active, delta }) => {
        const { batchId, block } = active.data.current as { batchId: string; block: BlockView };
        move(batchId, block, (delta.x / hourPx) * HOUR_MS);
      }}
    >
      <p id={hintId} className="mb-1 text-sm text-soft max-sm:hidden">
        {words.hint}
      </p>
      <div ref={scroller} className="docket overflow-x-auto rounded-b-md" role="group" aria-label={words.lanes}>
        <div className="relative" style={{ width: LABEL_PX + width }}>
          <Hours fromMs={span.fromMs} toMs={span.toMs} x={x} />
          <Hands view={view} x={x} toMs={span.toMs} fromMs={span.fromMs} />
          {view.batches.map((batch) => (
            <BatchLane key={batch.id} batch={batch} x={x} toMs={span.toMs} chosen={chosen} onChoose={onChoose} move={move} hintId={hintId} />
          ))}
          {view.ovens.filter(({ points }) => points.length > 0).map((oven) => (
            <OvenLane key={oven.id} oven={oven} x={x} width={width} />
          ))}
          <div aria-hidden className="pointer-events-none absolute top-0 bottom-0 z-20 w-0.5 bg-now" style={{ left: LABEL_PX + x(nowMs) }}>
            <span className="absolute bottom-0 left-1 rounded bg-now px-1 text-xs font-semibold text-now-ink">{words.now}</span>
          </div>
        </div>
      </div>
    </DndContext>
  );
} // prettier-ignore

type X = (ms: number) => number;

function Label({ children }: { children: React.ReactNode }) {
  return (
    <div className="sticky left-0 z-10 flex shrink-0 flex-col justify-center border-r border-edge bg-surface px-2 py-1" style={{ width: LABEL_PX }}>
      {children}
    </div>
  );
} // prettier-ignore

function Hours({ fromMs, toMs, x }: { fromMs: number; toMs: number; x: X }) {
  const { clock, dayOf, day } = useDayWords();
  const count = Math.round((toMs - fromMs) / HOUR_MS);
  const hours = Array.from({ length: count }, (_, index) => fromMs + index * HOUR_MS);
  return (
    <div className="flex border-b border-edge">
      <Label>
        <span className="text-xs text-soft">{dayOf(fromMs)}</span>
      </Label>
      <div className="relative mt-1 h-8 flex-1">
        {hours.map((ms) => (
          <span key={ms} className={cx('absolute top-0 bottom-0 border-l pl-1 text-xs whitespace-nowrap', midnight(clock(ms)) ? 'border-ink font-bold' : 'border-rule text-soft')} style={{ left: x(ms) }}>
            {midnight(clock(ms)) ? dayOf(ms) || day(ms) : clock(ms)}
          </span>
        ))}
      </div>
    </div>
  );
} // prettier-ignore

const midnight = (clock: string): boolean => clock === '00:00' || clock === '12:00 am';

/** Who is there, and when somebody is busy. */
function Hands({ view, x, fromMs, toMs }: { view: DayView; x: X; fromMs: number; toMs: number }) {
  const say = useDayWords();
  const free = [...view.hands].sort((a, b) => a.fromMs - b.fromMs);
  const away: { fromMs: number; toMs: number }[] = [];
  let until = fromMs;
  for (const each of free) {
    if (each.fromMs > until) away.push({ fromMs: until, toMs: Math.min(each.fromMs, toMs) });
    until = Math.max(until, each.toMs);
  }
  if (until < toMs) away.push({ fromMs: until, toMs });
  const lacking = view.batches.flatMap(({ id, collision }) => (collision?.cause.kind === 'hands' ? collision.cause.spans.map((each) => ({ batchId: id, ...each })) : []));
  const busy = view.batches.flatMap(({ id, blocks }) => blocks.flatMap(({ id: blockId, hands }) => hands.map((each, at) => ({ ...each, key: `${id} ${blockId} ${at}` }))));
  return (
    <div className="flex border-b border-rule">
      <Label>
        <span className="text-sm font-semibold">{words.hands}</span>
      </Label>
      <div className="relative h-9 flex-1">
        {away.filter((each) => each.toMs > each.fromMs && each.fromMs < toMs).map((each) => (
          <span key={each.fromMs} title={words.nobody} className="absolute top-0 bottom-0 bg-[repeating-linear-gradient(135deg,var(--rule)_0_2px,transparent_2px_7px)]" style={{ left: x(Math.max(fromMs, each.fromMs)), width: x(each.toMs) - x(Math.max(fromMs, each.fromMs)) }}>
            <span className="sr-only">{words.nobody}</span>
          </span>
        ))}
        {free.filter(({ unwanted }) => unwanted).map((each) => (
          <span key={each.fromMs} title={words.unwanted} className="absolute top-0 h-1.5 bg-edge" style={{ left: x(each.fromMs), width: x(each.toMs) - x(each.fromMs) }} />
        ))}
        {lacking.map(({ batchId, fromMs: from, toMs: to }) => {
          const told = words.handsFor(say.batch(batchId));
          return (
            <span key={`${batchId} ${from}`} title={told} className="absolute top-0 bottom-0 border-x-2 border-alarm bg-alarm-wash" style={{ left: x(from), width: Math.max(8, x(to) - x(from)) }}>
              <span className="sr-only">{told}</span>
            </span>
          );
        })}
        {busy.map(({ key, fromMs: from, toMs: to }) => (
          <span key={key} aria-hidden className="absolute top-3 h-3 rounded-sm bg-ink" style={{ left: x(from), width: Math.max(3, x(to) - x(from) - 1) }} />
        ))}
      </div>
    </div>
  );
} // prettier-ignore

interface BatchLaneProps {
  readonly batch: BatchView;
  readonly x: X;
  readonly toMs: number;
  readonly chosen: Chosen | null;
  readonly onChoose: (chosen: Chosen | null) => void;
  readonly move: (batchId: string, block: BlockView, byMs: number) => void;
  readonly hintId: string;
}

function BatchLane({ batch, x, toMs, chosen, onChoose, move, hintId }: BatchLaneProps) {
  const say = useDayWords();
  const { day } = useDayValue();
  const { collision, readyMs } = batch;
  const promiseMs = day.batches.find(({ id }) => id === batch.id)?.ready?.toMs;
  const late = collision && (collision.lateMs === null ? words.noPlace : words.late(formatDuration(collision.lateMs / 1000)));
  return (
    <div className="flex border-b border-rule">
      <Label>
        <span className="line-clamp-2 text-sm leading-tight font-semibold">{say.batch(batch.id)}</span>
        {readyMs !== null && <span className="text-xs text-soft">{say.at(readyMs)}</span>}
        {late && <span className="flex items-center gap-1 text-xs font-semibold text-alarm"><TriangleAlert size={12} aria-hidden className="shrink-0" />{late}</span>}
      </Label>
      <div className="relative flex-1 py-1">
        {late && readyMs !== null && promiseMs !== undefined && readyMs > promiseMs && (
          <span className="absolute top-0 bottom-0 border-l-2 border-alarm bg-alarm-wash" title={late} style={{ left: x(promiseMs), width: x(readyMs) - x(promiseMs) }} />
        )}
        {rowsOf(batch).map((row, at) => (
          <div key={at} className="relative h-11">
            {row.map((block) => (
              <Block key={block.id} batchId={batch.id} block={block} x={x} toMs={toMs} hintId={hintId} move={move}
                chosen={chosen?.batchId === batch.id && chosen.blockId === block.id} onChoose={() => onChoose({ batchId: batch.id, blockId: block.id })} />
            ))}
          </div>
        ))}
        {batch.blocks.length === 0 && <div className="h-11" />}
      </div>
    </div>
  );
} // prettier-ignore

interface BlockProps {
  readonly batchId: string;
  readonly block: BlockView;
  readonly x: X;
  readonly toMs: number;
  readonly chosen: boolean;
  readonly onChoose: () => void;
  readonly move: (batchId: string, block: BlockView, byMs: number) => void;
  readonly hintId: string;
}

function Block({ batchId, block, x, toMs, chosen, onChoose, move, hintId }: BlockProps) {
  const say = useDayWords();
  const edit = useDayEdit();
  const { setNodeRef, listeners, transform, isDragging } = useDraggable({ id: `${batchId} ${block.id}`, data: { batchId, block }, disabled: block.state !== 'todo' });
  const [first] = block.steps;
  const name = (block.steps.length === 1 && first?.title) || BLOCK_WORD[block.kind];
  const width = Math.max(8, x(block.endMs) - x(block.startMs) - 2);
  const told = words.block(name, say.batch(batchId), say.fromTo(block.startMs, block.endMs)) + (block.latestMs === null ? '' : words.latest(say.at(block.latestMs))) + (block.pinned ? words.pinned : '') + (block.state === 'running' ? words.running : block.state === 'done' ? words.done : '');
  const press = (event: KeyboardEvent) => {
    if (event.key === 'Escape') return;
    if (block.state !== 'todo') return;
    if (event.key === 'ArrowLeft' || event.key === 'ArrowRight') {
      event.preventDefault();
      onChoose();
      move(batchId, block, event.key === 'ArrowLeft' ? -SLOT_MS : SLOT_MS);
    } else if (event.key.toLowerCase() === 'p' && block.pinned) edit({ type: 'unpin', batchId, blockId: block.id });
  };
  return (
    <>
      {block.latestMs !== null && block.state === 'todo' && block.latestMs > block.startMs && (
        <span aria-hidden className="absolute bottom-0 border-b-2 border-dotted border-edge" style={{ left: x(block.startMs), width: x(Math.min(block.latestMs, toMs)) - x(block.startMs) }} />
      )}
      <button
        ref={setNodeRef}
        type="button"
        {...listeners}
        onKeyDown={press}
        onClick={onChoose}
        aria-label={told}
        aria-describedby={hintId}
        aria-pressed={chosen}
        title={told}
        data-block={`${batchId} ${block.id}`}
        className={cx(
          'absolute top-1 flex h-8 touch-manipulation items-center gap-1 overflow-hidden rounded-sm border px-1 text-left text-xs leading-none whitespace-nowrap',
          colourOf(lookOf(block), block.state === 'done'), block.state === 'running' && 'border-2 border-now', chosen && 'outline-3 outline-link', isDragging && 'z-30 cursor-grabbing shadow-lg',
        )}
        style={{ left: x(block.startMs), width, ...(transform && { transform: `translateX(${transform.x}px)` }) }}
      >
        {block.pinned && <Pin size={11} aria-hidden className="shrink-0" />}
        {width > 26 && <span aria-hidden>{name}{block.load && block.load.of > 1 ? ` ${block.load.at}` : ''}</span>}
      </button>
      {block.looksMs.map((ms) => ms < block.endMs && block.state !== 'done' && (
        <span key={ms} aria-hidden className="pointer-events-none absolute top-6 z-10 size-2 rounded-full border border-ink bg-surface" style={{ left: x(ms) - 4 }} />
      ))}
    </>
  );
} // prettier-ignore

const OVEN_PX = 60;

/** An oven's heat through the day, as it really rises and falls. */
function OvenLane({ oven, x, width }: { oven: OvenView; x: X; width: number }) {
  const say = useDayWords();
  const { nowMs } = useDayValue();
  // the next time it has to be lit
  const lit = oven.lit.find(({ atMs }) => atMs >= nowMs) ?? oven.lit.at(-1);
  const hottest = Math.max(100, ...oven.points.map(({ tempC }) => tempC));
  const y = (tempC: number) => OVEN_PX - 6 - (tempC / hottest) * (OVEN_PX - 22);
  const path = oven.points.map(({ ms, tempC }, at) => `${at === 0 ? 'M' : 'L'}${x(ms).toFixed(1)} ${y(tempC).toFixed(1)}`).join(' ');
  // a figure at every heat that is held, where there is room for it
  const marks: { readonly ms: number; readonly tempC: number }[] = [];
  oven.points.forEach(({ ms, tempC }, at) => {
    const holds = tempC > 60 && tempC !== oven.points[at - 1]?.tempC && tempC === oven.points[at + 1]?.tempC;
    if (holds && x(ms) - x(marks.at(-1)?.ms ?? 0) > 48) marks.push({ ms, tempC });
  });
  return (
    <div className="flex border-b border-rule">
      <Label>
        <span className="text-sm font-semibold">{say.oven(oven.id)}</span>
        {lit && <span className="text-xs text-soft">{say.at(lit.atMs)}</span>}
      </Label>
      <svg width={width} height={OVEN_PX} role="img" aria-label={oven.lit.length > 0 ? oven.lit.map(({ setC, atMs }) => words.ovenAt(say.oven(oven.id), say.temp(setC), say.at(atMs))).join('; ') : words.ovenIsCold(say.oven(oven.id))}>
        <path d={`${path} L${x(oven.points.at(-1)?.ms ?? 0).toFixed(1)} ${OVEN_PX} L${x(oven.points[0]?.ms ?? 0).toFixed(1)} ${OVEN_PX} Z`} fill="var(--alarm-wash)" />
        <path d={path} fill="none" stroke="var(--alarm)" strokeWidth={2} />
        {marks.map(({ ms, tempC }) => (
          <text key={ms} x={x(ms) + 3} y={y(tempC) - 4} fontSize={12} fill="var(--ink)">{say.temp(tempC)}</text>
        ))}
      </svg>
    </div>
  );
} // prettier-ignore
